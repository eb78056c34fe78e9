"use client";
// The pipeline: what may come, with its probability and value; looked at as won, lost or begun at another time, and kept so.
import type { Redacted } from "../../client/seen.ts";
import { usePlan } from "../../client/session.tsx";
import type { PipelineCase, PipelineRow } from "../../core/answers/horizon.ts";
import { Button, TextButton } from "../../ui/button.tsx";
import { DraftInput } from "../../ui/draftInput.tsx";
import { hoursText, longDay, moneyText, shareText } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { wordOptions } from "../../ui/options.ts";
import { ProjectDot } from "../../ui/projectDot.tsx";
import { Segmented } from "../../ui/segmented.tsx";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { usePlanFacts } from "../scope/facts.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { EarliestStart } from "./earliestStart.tsx";
import { PipelineBar } from "./pipelineBar.tsx";
import { texts } from "./words.ts";

const outcomes = { chance: "Weighted", won: "Won", lost: "Lost" } as const;
const MOST_WEEKS = 260;

interface Props {
  pipeline: readonly Redacted<PipelineRow>[];
  cases: readonly PipelineCase[];
  onCases: (cases: readonly PipelineCase[]) => void;
  onClose: () => void;
}

export function PipelineSheet({ pipeline, cases, onCases, onClose }: Props) {
  const set = (projectId: string, change: Partial<PipelineCase>) => {
    const known = cases.find((own) => own.projectId === projectId) ?? { projectId, outcome: null, days: 0 };
    const next = { ...known, ...change };
    const others = cases.filter((own) => own.projectId !== projectId);
    onCases(next.outcome === null && next.days === 0 ? others : [...others, next]);
  };
  return (
    <Sheet title={texts.pipeline} subtitle="Projects in the pipeline, and the demand each would add" onClose={onClose}>
      {pipeline.length === 0 && (
        <SheetSection>
          <p className="text-ink-2">{texts.noProject}</p>
        </SheetSection>
      )}
      {pipeline.map((row) => (
        <Project
          key={row.projectId}
          row={row}
          known={cases.find((own) => own.projectId === row.projectId)}
          onSet={(change) => set(row.projectId, change)}
        />
      ))}
      {cases.length > 0 && <AsWritten onReset={() => onCases([])} />}
    </Sheet>
  );
}

function AsWritten({ onReset }: { onReset: () => void }) {
  return (
    <SheetSection>
      <p className="pb-2 text-side">{texts.theChartsShowThePipeline}</p>
      <Button onClick={onReset}>{texts.resetToThePlan}</Button>
    </SheetSection>
  );
}

interface ProjectProps {
  row: Redacted<PipelineRow>;
  known: PipelineCase | undefined;
  onSet: (change: Partial<PipelineCase>) => void;
}

function Project({ row, known, onSet }: ProjectProps) {
  const { projectId, name, projectRow, start, finish, begins } = row;
  return (
    <SheetSection>
      <AsItStands row={row} />
      <div className="flex flex-wrap items-center gap-2 pt-1.5">
        <Segmented
          label={`${name} is`}
          value={known?.outcome ?? "chance"}
          options={wordOptions(outcomes)}
          onChange={(next) => onSet({ outcome: next === "chance" ? null : next })}
        />
      </div>
      <PipelineBar
        name={name}
        projectRow={projectRow}
        start={begins}
        finish={finish - (start - begins)}
        days={known?.days ?? 0}
        onMove={(days) => onSet({ days })}
      />
      <div className="flex items-center gap-2 pt-1.5">
        <span>{texts.weeksLater}</span>
        <DraftInput
          value={Math.round(((known?.days ?? 0) * 10) / 7) / 10}
          write={String}
          read={readWeeks}
          onSave={(weeks) => onSet({ days: weeks * 7 })}
          says={texts.wholeWeeksBelow0}
          aria-label={`Weeks later, ${name}`}
          width={64}
          isSmall
          isFigure
        />
        <WriteDown projectId={projectId} outcome={known?.outcome ?? null} onDone={() => onSet({ outcome: null })} />
      </div>
      <EarliestStart projectId={projectId} name={name} begins={begins} onShow={(days) => onSet({ days })} />
    </SheetSection>
  );
}

/** Its name, chance, hours and dates, as the plan has them. */
function AsItStands({ row: { projectId, name, projectRow, probability, value, start, finish, minutes } }: { row: Redacted<PipelineRow> }) {
  const { currency } = usePlanFacts();
  const linkTo = useLinkTo();
  return (
    <>
      <p className="flex items-baseline gap-2">
        <ProjectDot row={projectRow} />
        <Link href={linkTo(`/work/${encodeURIComponent(projectId)}`)} className="min-w-0 flex-1 truncate font-medium hover:underline">
          {name}
        </Link>
        <span>{shareText(probability)}</span>
      </p>
      <p className="text-side">
        {hoursText(minutes)} h here{value !== 0 && `, worth ${currency} ${moneyText(value, 0)}`}
        <br />
        {longDay(start)} – {longDay(finish)}
      </p>
    </>
  );
}

interface WriteDownProps {
  projectId: string;
  outcome: PipelineCase["outcome"];
  onDone: () => void;
}

/** Makes the outcome that is looked at the one in the plan. */
function WriteDown({ projectId, outcome, onDone }: WriteDownProps) {
  const session = usePlan();
  if (outcome === null) return null;
  const keep = async () => {
    const set = { probability: outcome === "won" ? 100 : 0 };
    if ((await session.edit({ kind: "changeProject", id: projectId, set })).length === 0) onDone();
  };
  return <TextButton onClick={() => void keep()}>record it as {outcomes[outcome].toLowerCase()}</TextButton>;
}

function readWeeks(text: string): { value: number } | null {
  if (!/^[-−]?\d{1,3}$/.test(text.trim())) return null;
  const value = Number(text.replace("−", "-"));
  return Math.abs(value) <= MOST_WEEKS ? { value } : null;
}

"use client";
// Earned value: every project against a baseline, what it was to have done and spent by now, and what it will cost.
import { parseAsString, useQueryStates } from "nuqs";
import type { Initial } from "../../../client/initial.ts";
import type { AnswerOf } from "../../../client/questions.ts";
import type { Redacted } from "../../../client/seen.ts";
import { useAnswer } from "../../../client/session.tsx";
import type { Earned as EarnedAnswer } from "../../../core/answers/earned.ts";
import { isNegative } from "../../../core/plan/moneySides.ts";
import { Button, TextButton } from "../../../ui/button.tsx";
import { marginText, moneyText } from "../../../ui/format.ts";
import { DataTable } from "../../../ui/table/dataTable.tsx";
import { Empty, Figure } from "../../frame/screen.tsx";
import { MoneyScreen } from "../moneyScreen.tsx";
import { BaselinePicker } from "./baselinePicker.tsx";
import { BaselineSheet } from "./baselineSheet.tsx";
import { earnedColumns } from "./earnedColumns.tsx";
import { EarnedSheet } from "./earnedSheet.tsx";
import { TakeBaseline } from "./takeBaseline.tsx";
import { texts } from "./words.ts";

const params = { baseline: parseAsString, project: parseAsString, sheet: parseAsString };

export function Earned({ initial }: { initial: Initial<AnswerOf<"earned">> }) {
  const [view, setView] = useQueryStates(params, { shallow: true });
  const earned = useAnswer("earned", { baselineId: view.baseline }, initial);
  const { baselines, baselineId, projects } = earned;
  const close = () => void setView({ project: null, sheet: null });
  const take = () => void setView({ project: null, sheet: "take" });
  return (
    <MoneyScreen
      figures={<EarnedTotals earned={earned} />}
      actions={
        <>
          {baselineId !== null && (
            <>
              <BaselinePicker baselines={baselines} value={baselineId} onChange={(baseline) => void setView({ baseline, project: null })} />
              <Button onClick={() => void setView({ project: null, sheet: "baseline" })}>{texts.details}</Button>
            </>
          )}
          <Button look="main" onClick={take}>
            {texts.takeABaseline}
          </Button>
        </>
      }
      sheet={<EarnedPart view={view} earned={earned} onTaken={(baseline) => void setView({ baseline, sheet: null })} onClose={close} />}
    >
      {baselineId === null ? (
        <Empty title={texts.noBaselineYet}>
          A baseline keeps what the plan promises today. Later you see what has moved, and what the work done so far is worth.{" "}
          <TextButton onClick={take}>{texts.takeTheFirstOne}</TextButton>.
        </Empty>
      ) : (
        <DataTable
          name="earned"
          label={texts.projects}
          columns={earnedColumns}
          rows={projects}
          idOf={({ id }) => id}
          nameOf={({ name }) => name}
          selectedId={view.project}
          onOpen={({ id }) => void setView({ project: id, sheet: null })}
          rowHeight={44}
          empty={texts.noneOfItsProjectsIsLeft}
        />
      )}
    </MoneyScreen>
  );
}

interface PartProps {
  view: { project: string | null; sheet: string | null };
  earned: Redacted<EarnedAnswer>;
  onTaken: (id: string) => void;
  onClose: () => void;
}

/** The side sheet: a baseline to take, the one that is shown, or a project against it. */
function EarnedPart({ view, earned, onTaken, onClose }: PartProps) {
  const { baselines, baselineId, projects } = earned;
  if (view.sheet === "take") return <TakeBaseline onTaken={onTaken} onClose={onClose} />;
  const baseline = baselines.find(({ id }) => id === baselineId);
  if (!baseline) return null;
  if (view.sheet === "baseline") return <BaselineSheet key={baseline.id} baseline={baseline} onClose={onClose} />;
  const project = projects.find(({ id }) => id === view.project);
  return project ? <EarnedSheet key={project.id} project={project} earned={earned} baselineId={baseline.id} onClose={onClose} /> : null;
}

function EarnedTotals({ earned: { totals, currency } }: { earned: Redacted<EarnedAnswer> }) {
  if (!totals?.promised) return null;
  const { atCompletion, varianceAtCompletion } = totals.promised;
  return (
    <Figure
      value={moneyText(atCompletion, 0)}
      says={`${currency} at completion · ${marginText(totals.percent)} done`}
      isOver={isNegative(varianceAtCompletion)}
    />
  );
}

"use client";
// A project against its baseline: the figures in sentences, the running totals, and its tasks, the largest delay first.
import dynamic from "next/dynamic";
import type { Redacted } from "../../../client/seen.ts";
import { useMaybeAnswer } from "../../../client/session.tsx";
import type { Earned, EarnedRow } from "../../../core/answers/earned.ts";
import { ChartLegend } from "../../../ui/chartParts.tsx";
import { moneyText } from "../../../ui/format.ts";
import Link from "../../../ui/link.tsx";
import { Sheet, SheetSection } from "../../../ui/sheet.tsx";
import { useLinkTo } from "../../scope/windowed.ts";
import { Causes } from "./causes.tsx";
import { earnedMarks } from "./earnedMarks.ts";
import { daysText, finishSentence, moreHours, moreMoney, overPromise, sentencesOf } from "./earnedWords.ts";
import { texts } from "./words.ts";

const EarnedChart = dynamic(() => import("./earnedChart.tsx"), { ssr: false, loading: () => null });

interface EarnedSheetProps {
  row: Redacted<EarnedRow>;
  /** False for a task, which has no curve and no tasks of its own here. */
  isProject: boolean;
  earned: Redacted<Earned>;
  baselineId: string;
  onClose: () => void;
}

export function EarnedSheet({ row, isProject, earned: { status, currency }, baselineId, onClose }: EarnedSheetProps) {
  const asked = isProject ? { baselineId, projectId: row.id } : null;
  const points = useMaybeAnswer("earnedCurve", asked, null) ?? [];
  const tasks = useMaybeAnswer("earnedTasks", asked, null) ?? [];
  return (
    <Sheet title={row.name} subtitle={finishSentence(row)} onClose={onClose}>
      {points.length > 1 && (
        <SheetSection title={texts.theCurve}>
          <div className="h-[190px]">
            <EarnedChart points={points} status={status} earned={row.promised?.earnedValue ?? 0} currency={currency} />
          </div>
          <ChartLegend marks={earnedMarks} />
        </SheetSection>
      )}
      <Causes baselineId={baselineId} projectId={row.projectId} taskId={isProject ? null : row.id} />
      <SheetSection title={`${texts.workAndCost}, ${currency}`}>
        <dl className="space-y-1.5">
          {sentencesOf(row, status).map(({ name, figure, says, isBad }) => (
            <div key={name}>
              <div className="flex items-baseline justify-between gap-3">
                <dt>{name}</dt>
                <dd className={isBad ? "figure-bad" : "font-semibold"}>{figure}</dd>
              </div>
              <p className="text-side">{says}</p>
            </div>
          ))}
        </dl>
      </SheetSection>
      {isProject && <Tasks projectId={row.id} tasks={tasks} />}
    </Sheet>
  );
}

/** Tasks that are listed; those after them are in the outline. */
const MOST_TASKS = 12;

function Tasks({ projectId, tasks }: { projectId: string; tasks: readonly Redacted<EarnedRow>[] }) {
  const linkTo = useLinkTo();
  const leaves = tasks.filter(({ isSummary }) => !isSummary);
  return (
    <SheetSection title={texts.tasks}>
      <ul className="space-y-1" aria-label={texts.tasks}>
        {leaves.slice(0, MOST_TASKS).map((task) => (
          <li key={task.id}>
            <Link href={linkTo(`/work/${encodeURIComponent(projectId)}`, { task: task.id })} className="text-link">
              {task.name}
            </Link>
            <p className="text-side">{deviationOf(task)}</p>
          </li>
        ))}
      </ul>
    </SheetSection>
  );
}

/** The differences of a task from what was promised, in one line. */
function deviationOf(task: Redacted<EarnedRow>): string {
  const { promised } = task;
  if (!promised || (promised.start === null && promised.minutes === 0)) return `${texts.newTasks}, ${moneyText(overPromise(task), 0)}`;
  const start = daysText(promised.startDays);
  const finish = daysText(promised.finishDays);
  const parts = [
    start && `start ${start}`,
    finish && `finish ${finish}`,
    moreHours(promised.workMinutes),
    promised.costDifference !== 0 && `cost ${moreMoney(promised.costDifference)}`,
  ];
  return parts.filter(Boolean).join(" · ") || texts.asPromised;
}

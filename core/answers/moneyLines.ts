// The lines that a figure of money is made of, each with what it is about and why it is what it is.
import { wholePeriods } from "../calendar/horizon.ts";
import type { Range } from "../calendar/periods.ts";
import type { MoneyLine } from "../cost/costs.ts";
import { explainMoney, type MoneyWhy } from "../cost/explainMoney.ts";
import { type Ledger, ledgerOf } from "../cost/ledger.ts";
import { type LineDetails, lineDetails, type MoneySubject } from "../cost/lineDetails.ts";
import { linesOf, type MoneyQuery } from "../cost/moneyQuery.ts";
import { countedShare } from "../load/counting.ts";
import type { Model } from "../model.ts";
import type { Money } from "../plan/moneySides.ts";
import { rowById } from "../plan/rows.ts";
import type { Work } from "../work/work.ts";

export interface MoneyLineDetails extends LineDetails {
  /** Minor units in the range; of a margin or a budget, cost is removed. */
  amount: Money;
  /** Hundredths of a percent by which the amount of a pipeline project is weighted; null where it counts in full. */
  probability: number | null;
  /** Minor units of the line itself, before it is weighted or removed. */
  whole: Money;
}

export interface MoneyLinesQuery extends MoneyQuery {
  /** The row, and the period; null for all of them. */
  key: string | null;
  period: number | null;
}

export interface MoneyLines {
  /** The largest first. */
  lines: MoneyLineDetails[];
  /** Days that they are summed over. */
  range: Range;
  total: Money;
}

/** The lines behind a figure of the table; together they are the figure, or its deduction from a budget. */
export function moneyLinesOf(model: Model, query: MoneyLinesQuery): MoneyLines {
  const asked = wholePeriods(model.plan, query);
  const ledger = ledgerOf(model, asked);
  const { key, period } = query;
  const amountOf = ({ amounts }: MoneyLine) => (period === null ? amounts.reduce((sum, amount) => sum + amount, 0) : amounts[period]);
  const wholes = query.pipeline === "weighted" ? wholeLines(model, ledger, query) : null;
  const lines = linesOf(model, ledger, query).flatMap(({ line, sign }): MoneyLineDetails[] => {
    if (key !== null && ledger.keyOf(line, query.by) !== key) return [];
    const own = amountOf(line);
    if (own === 0) return [];
    const share = countedShare(model.plan.projects[line.project], query.pipeline);
    const whole = wholes?.get(lineKey(line)) ?? line;
    return [{ ...lineDetails(model, line), amount: sign * own, probability: share === 10_000 ? null : share, whole: amountOf(whole) }];
  });
  lines.sort((a, b) => Math.abs(b.amount) - Math.abs(a.amount));
  const range = period === null ? asked.range : ledger.periods[period];
  return { lines, range, total: lines.reduce((sum, { amount }) => sum + amount, 0) };
}

const lineKey = ({ kind, project, row, booking = -1 }: MoneyLine): string => `${kind} ${project} ${row} ${booking}`;

/** The same lines before they are weighted. */
function wholeLines(model: Model, ledger: Ledger, query: MoneyQuery): Map<string, MoneyLine> {
  return new Map(linesOf(model, ledger, { ...query, pipeline: "full" }).map(({ line }) => [lineKey(line), line]));
}

/** The explanation of a line over a range; null if there is no such line any more. */
export function moneyWhy(model: Model, { subject, range, total }: { subject: MoneySubject; range: Range; total: number }): MoneyWhy | null {
  const project = rowById(model.plan.projects).get(subject.projectId);
  const booking = rowById(model.plan.actualCosts).get(subject.actualCostId ?? "");
  const row = booking === undefined ? rowOfSubject(model, subject) : -1;
  if (project === undefined || row === undefined) return null;
  return explainMoney(model, { kind: subject.kind, project, row, ...(booking !== undefined && { booking }) }, range, total);
}

/** The row that a line with this subject has; −1 for a fee that falls on the finish. */
function rowOfSubject({ plan, work }: Model, { kind, assignmentId, taskId, expenseId, personId }: MoneySubject): number | undefined {
  if (expenseId !== undefined) return rowById(plan.expenses).get(expenseId);
  if (assignmentId !== undefined) return rowById(plan.assignments).get(assignmentId);
  if (taskId === undefined) return -1;
  const task = rowById(plan.tasks).get(taskId);
  if (kind === "fixed" || task === undefined) return task;
  if (personId !== undefined) return recordedRow(work, task, rowById(plan.people).get(personId) ?? -1);
  return work.implicitRow[task] < 0 ? undefined : work.implicitRow[task];
}

/** The row of hours that a person recorded on a task without an assignment of their own. */
function recordedRow({ firstRecorded, rows, task, person }: Work, taskRow: number, personRow: number): number | undefined {
  for (let row = firstRecorded; row < rows; row++) if (task[row] === taskRow && person[row] === personRow) return row;
  return undefined;
}

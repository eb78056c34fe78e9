// The ledger: every line of money with what it is about, so that it can be added up by any of it.
import type { ReportRange } from "../calendar/periods.ts";
import type { Placed } from "../placing/placed.ts";
import { rowById } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import { type Costs, type MoneyLine, moneyLines } from "./costs.ts";
import { type MoneyBy, NONE } from "./moneyKeys.ts";
import { costRole } from "./rateBook.ts";

export interface Ledger {
  lines: readonly MoneyLine[];
  periods: readonly { start: number; stop: number }[];
  /** The key of a line: an id, a word, or `none:` with its kind. */
  keyOf(line: MoneyLine, by: MoneyBy): string;
}

const known = new WeakMap<Placed, { key: string; ledger: Ledger }>();

/** The ledger of the periods of a range; the one that was asked for last is kept. */
export function ledgerOf(model: Placed & { costsOfHorizon(): Costs }, asked: ReportRange): Ledger {
  const key = `${asked.range.start} ${asked.range.stop} ${asked.grain}`;
  const last = known.get(model);
  if (last?.key === key) return last.ledger;
  const keys = new LedgerKeys(model);
  const ledger = { ...moneyLines(model, asked), keyOf: (line: MoneyLine, by: MoneyBy) => keys.of(line, by) };
  known.set(model, { key, ledger });
  return ledger;
}

/** Row of the task that a line belongs to; −1 for none. */
export function taskOf({ plan, work }: Placed, { kind, row, booking }: MoneyLine): number {
  if (booking !== undefined) return rowById(plan.tasks).get(plan.actualCosts[booking].taskId ?? "") ?? -1;
  if (row < 0) return -1;
  if (kind === "fixed") return row;
  if (kind === "expense" || kind === "tax") return rowById(plan.tasks).get(plan.expenses[row].taskId ?? "") ?? -1;
  return work.task[row];
}

/** The row of work with the hours of a line; null if it has none or is material. */
export function labourRowOf({ work }: Placed, { kind, row }: MoneyLine): number {
  const isOfWork = kind === "labour" || (kind === "revenue" && row >= 0);
  return isOfWork && work.isMaterial[row] === 0 ? row : -1;
}

/** Keys that a project has as a whole. */
const ofProject: ReadonlySet<MoneyBy> = new Set(["client", "category"]);

/** The keys of lines, without their periods. */
export class LedgerKeys {
  readonly #phases: Int32Array;

  constructor(private readonly model: Placed) {
    this.#phases = phasesOf(model.plan);
  }

  of(line: MoneyLine, by: MoneyBy): string {
    return this.#named(line, by) ?? (ofProject.has(by) ? NONE : `${NONE}${line.kind}`);
  }

  #named(line: MoneyLine, by: MoneyBy): string | undefined {
    const { plan, work } = this.model;
    const project = plan.projects[line.project];
    const row = labourRowOf(this.model, line);
    switch (by) {
      case "project":
        return project.id;
      case "client":
        return project.clientId;
      case "category":
        return project.category;
      case "phase":
      case "task": {
        const task = taskOf(this.model, line);
        return plan.tasks[by === "phase" ? (this.#phases[task] ?? -1) : task]?.id;
      }
      case "person":
        return row < 0 ? undefined : plan.people[work.person[row]]?.id;
      case "role":
        return row < 0 ? undefined : costRole(plan, work.role[row], work.person[row]);
      case "kind":
        return line.kind;
      case "supplier":
        return sourceOf(plan, line)?.supplier;
      case "costType":
        return sourceOf(plan, line)?.costType;
      case "treatment":
        return expenseOf(plan, line)?.treatment;
    }
  }
}

const expenseOf = (plan: Plan, { kind, row }: MoneyLine) => (kind === "expense" || kind === "tax" ? plan.expenses[row] : undefined);

/** The expense or the booking of a line. */
const sourceOf = (plan: Plan, line: MoneyLine) => (line.booking === undefined ? expenseOf(plan, line) : plan.actualCosts[line.booking]);

/** The row of the topmost task above each task; a task at the top is its own phase. */
export function phasesOf({ tasks }: Plan): Int32Array {
  const rows = rowById(tasks);
  const phases = new Int32Array(tasks.length).fill(-1);
  const phaseOf = (row: number): number => {
    if (phases[row] >= 0) return phases[row];
    const { parentId } = tasks[row];
    const parent = parentId === undefined ? undefined : rows.get(parentId);
    phases[row] = parent === undefined ? row : phaseOf(parent);
    return phases[row];
  };
  for (let row = 0; row < tasks.length; row++) phaseOf(row);
  return phases;
}

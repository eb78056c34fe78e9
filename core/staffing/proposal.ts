// A proposal for many openings as a list to go through: who takes what, and the edit that each line is.
import { formatDay } from "../calendar/day.ts";
import type { SingleEdit } from "../edits/edit.ts";
import type { Model } from "../model.ts";
import type { Money } from "../plan/moneySides.ts";
import { findRow } from "../plan/rows.ts";
import type { Assignment } from "../plan/schema.ts";
import { grouped } from "../values/grouped.ts";
import { fillOpening, type Share } from "./fillOpening.ts";
import { quickProposal } from "./greedy.ts";
import { openingRow } from "./match.ts";
import { type Problem, problemOf, type Transfer, worthOf } from "./problem.ts";
import { bestProposal, type SolveOptions, type Solver } from "./program.ts";

export interface ProposalLine {
  openingId: string;
  taskName: string;
  projectName: string;
  /** The people assigned, with their minutes; two if it may be shared. */
  recipients: { personId: string; name: string; minutes: number; fit: number }[];
  /** Minutes they take, of those needed. */
  minutes: number;
  total: number;
  /** Minor units of what they take. */
  cost: Money<"cost">;
  edits: SingleEdit[];
}

export interface Proposal {
  lines: ProposalLine[];
  /** Openings that nobody can take any of, by task name. */
  left: string[];
  covered: number;
  total: number;
  /** The minutes that a quick proposal would have covered. */
  quick: number;
  /** The way it was found: proven optimal; the best found in time; or one opening after the other. */
  found: "best" | "inTime" | "oneByOne";
}

export interface ProposeOptions extends SolveOptions {
  /** Begins the ids of work that is added. */
  idStem: string;
}

/** Works out a proposal for openings. Where the solver finds nothing better, the quick one is. */
export async function propose(
  model: Model,
  openingIds: readonly string[],
  solve: Solver,
  { idStem, ...options }: ProposeOptions,
): Promise<Proposal> {
  const problem = problemOf(model, openingIds);
  const quick = quickProposal(problem);
  const best = await bestProposal(problem, solve, options);
  // Whole minutes are taken of what the solver gives: one a week of an opening may be lost by that alone.
  const lost = problem.openings.reduce((sum, { needs }) => sum + needs.length, 0);
  const isBetter = best !== null && worthOf(problem, best.transfers).covered + lost >= worthOf(problem, quick).covered;
  const transfers = isBetter ? best.transfers : quick;
  const lines = proposalOf(model, problem, transfers, idStem);
  const taken = new Set(lines.map(({ openingId }) => openingId));
  const { plan } = model;
  return {
    lines,
    left: problem.openings
      .filter(({ id }) => !taken.has(id))
      .map(({ id }) => findRow(plan.tasks, findRow(plan.assignments, id)?.taskId ?? id)?.name ?? id),
    covered: worthOf(problem, transfers).covered,
    total: problem.openings.reduce((sum, { total }) => sum + total, 0),
    quick: worthOf(problem, quick).covered,
    found: !isBetter ? "oneByOne" : best.isOptimal ? "best" : "inTime",
  };
}

/** Turns transfers into lines, in the order of the openings. @param idStem Begins the ids of work that is added. */
function proposalOf(model: Model, problem: Problem, transfers: readonly Transfer[], idStem: string): ProposalLine[] {
  const { plan } = model;
  const byOpening = grouped(transfers, ({ option }) => problem.options[option].opening);
  return problem.openings.flatMap((opening, at): ProposalLine[] => {
    const own = byOpening.get(at);
    const edits = own && editsOf(model, problem, own, `${idStem}-${at + 1}`);
    if (!edits) return [];
    const task = plan.tasks[model.work.task[openingRow(model, opening.id)]];
    const recipients = own.map(({ option, minutes }) => {
      const { person, fit } = problem.options[option];
      const { id: personId, name } = plan.people[problem.people[person]];
      return { personId, name, minutes: sumOf(minutes), fit };
    });
    return [
      {
        openingId: opening.id,
        taskName: task.name,
        projectName: findRow(plan.projects, task.projectId)?.name ?? "",
        recipients,
        minutes: recipients.reduce((sum, { minutes }) => sum + minutes, 0),
        total: opening.total,
        cost: Math.round(worthOf(problem, own).cost),
        edits,
      },
    ];
  });
}

const sumOf = (minutes: readonly number[]): number => minutes.reduce((sum, own) => sum + own, 0);

/** All of an opening as it is; a part of it, or of what two share, week by week as the room lies. */
function editsOf(model: Model, problem: Problem, transfers: readonly Transfer[], idStem: string): SingleEdit[] | null {
  const { opening } = problem.options[transfers[0].option];
  const { id, total, needs } = problem.openings[opening];
  const given = transfers.reduce((sum, { minutes }) => sum + sumOf(minutes), 0);
  // A few minutes are lost to rounding: what is all but whole is meant whole.
  const isWhole = given >= total - needs.length * transfers.length;
  const shares = transfers.map(({ option, minutes }, at): Share => {
    const { id: personId } = model.plan.people[problem.people[problem.options[option].person]];
    const isRest = isWhole && at === transfers.length - 1;
    return isRest ? { personId } : { personId, hours: Math.floor(sumOf(minutes) / 0.6) / 100 };
  });
  const edits = fillOpening(model, { openingId: id, shares, isPencilled: false, idStem });
  const row = model.work.task[openingRow(model, id)];
  const dates = model.schedule.of(row);
  if ((isWhole && transfers.length === 1) || !edits || !dates || model.plan.tasks[row].sizing === "effort") return edits;
  // Typed weeks follow their task from where it begins now.
  const customFrom = formatDay(dates.start.day);
  let at = 0;
  return edits.map((edit) =>
    edit.kind === "addAssignment"
      ? { ...edit, assignment: { ...byWeeks(edit.assignment, problem, opening, transfers[at++].minutes), customFrom } }
      : edit,
  );
}

function byWeeks(
  { hours: _, shape: __, from: ___, to: ____, ...assignment }: Assignment,
  { openings, weeks }: Problem,
  opening: number,
  minutes: readonly number[],
): Assignment {
  const custom = openings[opening].needs.flatMap(({ week }, at) => {
    const from = formatDay(Math.max(weeks[week].start, openings[opening].days.start));
    const to = formatDay(Math.min(weeks[week].stop, openings[opening].days.stop) - 1);
    return minutes[at] === 0 ? [] : [{ from, to, hours: Math.floor(minutes[at] / 0.6) / 100 }];
  });
  return { ...assignment, custom };
}

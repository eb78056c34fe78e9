// A proposal for many openings as a list to go through: who takes what, and the edit that each line is.
import { formatDay } from "../calendar/day.ts";
import type { SingleEdit } from "../edits/edit.ts";
import type { Model } from "../model.ts";
import { findRow } from "../plan/rows.ts";
import type { Assignment } from "../plan/schema.ts";
import { fillOpening } from "./fillOpening.ts";
import { quickProposal } from "./greedy.ts";
import { openingRow } from "./match.ts";
import { type Gift, type Problem, problemOf, worthOf } from "./problem.ts";
import { bestProposal, type Solver } from "./program.ts";

export interface ProposalLine {
  openingId: string;
  taskName: string;
  projectName: string;
  personId: string;
  name: string;
  /** Minutes they take, of those needed. */
  minutes: number;
  total: number;
  fit: number;
  /** Minor units of what they take. */
  cost: number;
  edits: SingleEdit[];
}

export interface Proposal {
  lines: ProposalLine[];
  /** Openings that nobody can take any of, by task name. */
  left: string[];
  covered: number;
  total: number;
  /** What a quick proposal would have covered. */
  quick: number;
  isBest: boolean;
}

/** Works out a proposal for openings. Where the solver finds nothing, the quick one stands.
 * @param idStem Begins the ids of work that is added. */
export async function propose(model: Model, openingIds: readonly string[], solve: Solver, idStem: string): Promise<Proposal> {
  const problem = problemOf(model, openingIds);
  const quick = quickProposal(problem);
  const best = await bestProposal(problem, solve);
  const gifts = best && worthOf(problem, best).covered >= worthOf(problem, quick).covered ? best : quick;
  const lines = proposalOf(model, problem, gifts, idStem);
  const taken = new Set(lines.map(({ openingId }) => openingId));
  const { plan } = model;
  return {
    lines,
    left: problem.openings
      .filter(({ id }) => !taken.has(id))
      .map(({ id }) => findRow(plan.tasks, findRow(plan.assignments, id)?.taskId ?? id)?.name ?? id),
    covered: worthOf(problem, gifts).covered,
    total: problem.openings.reduce((sum, { total }) => sum + total, 0),
    quick: worthOf(problem, quick).covered,
    isBest: gifts === best,
  };
}

/** Turns gifts into lines, in the order of the openings. @param idStem Begins the ids of work that is added. */
function proposalOf(model: Model, problem: Problem, gifts: readonly Gift[], idStem: string): ProposalLine[] {
  const { plan } = model;
  return problem.openings.flatMap((opening, at): ProposalLine[] => {
    const gift = gifts.find(({ option }) => problem.options[option].opening === at);
    if (!gift) return [];
    const { person, fit } = problem.options[gift.option];
    const minutes = gift.minutes.reduce((sum, own) => sum + own, 0);
    const personRow = plan.people[problem.people[person]];
    const row = openingRow(model, opening.id);
    const task = plan.tasks[model.work.task[row]];
    const edits = editsOf(model, problem, gift, `${idStem}-${at + 1}`);
    if (!edits) return [];
    return [
      {
        openingId: opening.id,
        taskName: task.name,
        projectName: findRow(plan.projects, task.projectId)?.name ?? "",
        personId: personRow.id,
        name: personRow.name,
        minutes,
        total: opening.total,
        fit,
        cost: Math.round(worthOf(problem, [gift]).cost),
        edits,
      },
    ];
  });
}

/** All of an opening as it is; a part of it week by week, as the room lies. */
function editsOf(model: Model, problem: Problem, { option, minutes }: Gift, idStem: string): SingleEdit[] | null {
  const { opening, person } = problem.options[option];
  const { id, total, needs } = problem.openings[opening];
  const personId = model.plan.people[problem.people[person]].id;
  const given = minutes.reduce((sum, own) => sum + own, 0);
  // A few minutes are lost to rounding: what is all but whole is meant whole.
  if (given >= total - needs.length) return fillOpening(model, { openingId: id, shares: [{ personId }], isPencilled: false, idStem });
  const hours = Math.floor(given / 0.6) / 100;
  const edits = fillOpening(model, { openingId: id, shares: [{ personId, hours }], isPencilled: false, idStem });
  const row = model.work.task[openingRow(model, id)];
  const dates = model.schedule.of(row);
  if (!edits || !dates || model.plan.tasks[row].sizing === "effort") return edits;
  // Typed weeks follow their task from where it begins now.
  const customFrom = formatDay(dates.start.day);
  return edits.map((edit) =>
    edit.kind === "addAssignment" ? { ...edit, assignment: { ...byWeeks(edit.assignment, problem, opening, minutes), customFrom } } : edit,
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

// The work that counts towards a load, and its weight.
import type { Placed } from "../placing/placed.ts";
import { columnOf } from "../plan/rows.ts";
import type { Project } from "../plan/schema.ts";
import { percentHundredths } from "../values/units.ts";

/** The counting of work; by default pencilled work counts and pipeline projects do not. */
export interface Counting {
  pencilled: boolean;
  pipeline: "none" | "weighted" | "full";
}

export const defaultCounting: Counting = { pencilled: true, pipeline: "none" };

/** Everything but cancelled projects, in full: the counting of overtime and cost. */
export const countAll: Counting = { pencilled: true, pipeline: "full" };

/** True for a project that is not won yet; ideas count as pipeline. */
export function isPipeline(project: Project): boolean {
  return project.stage === "idea" || project.stage === "pipeline";
}

/** True for a project that is won and not over. */
export function isGoingOn({ stage }: Project): boolean {
  return stage === "approved" || stage === "active";
}

/** The share of work that is not counted. What is counted at a probability of 0 adds nothing, but is listed. */
export const NOT_COUNTED = -1;

/** The share of a project's work that counts, in hundredths of a percent; `NOT_COUNTED` where none does. */
export function countedShare(project: Project, pipeline: Counting["pipeline"]): number {
  if (project.stage === "cancelled") return NOT_COUNTED;
  if (!isPipeline(project) || pipeline === "full") return 10_000;
  return pipeline === "none" ? NOT_COUNTED : percentHundredths(project.probability ?? 100);
}

/** For each row of work, the share of its minutes that counts, in hundredths of a percent; `NOT_COUNTED` where it does not. */
export function countedShares({ plan, work }: Placed, counting: Counting): Int32Array {
  const ofProject = columnOf(plan.projects, (project) => countedShare(project, counting.pipeline));
  const shares = new Int32Array(work.rows).fill(NOT_COUNTED);
  for (let row = 0; row < work.rows; row++) {
    if (work.isPencilled[row] === 0 || counting.pencilled) shares[row] = ofProject[work.project[row]];
  }
  return shares;
}

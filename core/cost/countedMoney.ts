// The share of a project's money that counts: of pipeline projects nothing, their probability, or all of it.
import { type Counting, countedShare, NOT_COUNTED } from "../load/counting.ts";
import type { Project } from "../plan/schema.ts";
import { roundedQuotient } from "../values/units.ts";
import type { MoneyLine } from "./costs.ts";

const WHOLE = 10_000;

/** True where money of a project counts at all. */
export const isCounted = (project: Project, pipeline: Counting["pipeline"]): boolean => countedShare(project, pipeline) !== NOT_COUNTED;

/** Minor units of a project as they count, rounded half up; 0 where the project does not count. */
export function countedMoney(project: Project, pipeline: Counting["pipeline"], minor: number): number {
  const share = countedShare(project, pipeline);
  return share === NOT_COUNTED ? 0 : roundedQuotient(minor * share, WHOLE);
}

/** Lines as they count. The running total of a weighted line is rounded, so that its periods add up to it.
 * @returns The lines of projects that count; those of others are left out. */
export function countedLines(
  projects: readonly Project[],
  lines: readonly MoneyLine[],
  pipeline: Counting["pipeline"],
): readonly MoneyLine[] {
  if (pipeline === "full") return lines;
  const shares = projects.map((project) => countedShare(project, pipeline));
  return lines.flatMap((line): MoneyLine[] => {
    const share = shares[line.project];
    if (share === NOT_COUNTED) return [];
    return [share === WHOLE ? line : { ...line, amounts: weightedRun(line.amounts, share) }];
  });
}

function weightedRun(amounts: readonly number[], share: number): number[] {
  let [running, rounded] = [0, 0];
  return amounts.map((amount) => {
    running += amount;
    const before = rounded;
    rounded = roundedQuotient(running * share, WHOLE);
    return rounded - before;
  });
}

// Runs of consecutive whole numbers, such as days or revisions.

export interface Run {
  first: number;
  last: number;
}

/** Numbers in ascending order as runs without a gap. */
export function runsOf(numbers: readonly number[]): Run[] {
  const runs: Run[] = [];
  for (const number of numbers) {
    const run = runs.at(-1);
    if (run?.last === number - 1) run.last = number;
    else runs.push({ first: number, last: number });
  }
  return runs;
}

/** The numbers between runs, as runs. */
export const gapsOf = (runs: readonly Run[]): Run[] =>
  runs.slice(1).map(({ first }, at) => ({ first: runs[at].last + 1, last: first - 1 }));

// The board in the moment after a drop: what was worked out while the bar hung over somebody stands until the plan's
// own answer comes.
import type { Board } from "../../core/load/board.ts";
import type { PeopleLoads } from "../../core/load/peopleLoads.ts";

/** A drop that the board has not answered yet. */
export interface Drop {
  /** The board it was made on. */
  board: Board;
  assignmentIds: readonly string[];
  personId: string;
  /** Figures of the people concerned, over the periods of the board. */
  loads: PeopleLoads;
}

/** The board with the figures and bars of those who gave and the one who took. Sums of groups and of everybody are
 * still those of before. */
export function afterDrop({ board, assignmentIds, personId, loads }: Drop): Board {
  const count = board.periods.length;
  const [load, peakOver] = [board.load.slice(), board.peakOver.slice()];
  for (let row = 0; row < board.filled; row++) {
    if (board.rows[row].kind !== "person") continue;
    const at = loads.people.findIndex(({ id }) => id === board.rows[row].id);
    if (at < 0) continue;
    load.set(loads.load.subarray(at * count, (at + 1) * count), row * count);
    peakOver.set(loads.peakOver.subarray(at * count, (at + 1) * count), row * count);
  }
  return { ...board, load, peakOver, bars: barsAfter(board, new Set(assignmentIds), personId) };
}

function barsAfter({ bars }: Board, assignmentIds: ReadonlySet<string>, personId: string): Board["bars"] {
  const taken = Object.values(bars)
    .flat()
    .filter((bar) => assignmentIds.has(bar.assignmentId));
  const after = Object.fromEntries(
    Object.entries(bars).map(([id, own]) => [id, own.filter((bar) => !assignmentIds.has(bar.assignmentId))]),
  );
  if (after[personId]) after[personId] = [...after[personId], ...taken].sort((a, b) => a.start - b.start || b.stop - a.stop);
  return after;
}

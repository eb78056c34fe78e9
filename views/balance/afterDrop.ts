// The board in the moment after a drop: what was worked out while the bar hung over a person is shown until the plan's own answer
// comes. These figures are those of the answer; sums of groups and of everyone follow with it.
import type { Board } from "../../core/answers/board.ts";
import type { PeopleLoads } from "../../core/answers/peopleLoads.ts";

const columns = ["load", "peakOver", "state", "tentative"] as const;

/** The board with the figures and bars of some people in place of those it has. @param loads Over the periods of the board. */
export function afterDrop(board: Board, loads: PeopleLoads): Board {
  const count = board.periods.length;
  const places = new Map(loads.people.map(({ id }, at) => [id, at]));
  const shown = {
    ...board,
    load: board.load.slice(),
    peakOver: board.peakOver.slice(),
    state: board.state.slice(),
    tentative: board.tentative.slice(),
  };
  for (let row = 0; row < board.filled; row++) {
    const at = board.rows[row].kind === "person" ? places.get(board.rows[row].id) : undefined;
    if (at !== undefined) for (const name of columns) shown[name].set(loads[name].subarray(at * count, (at + 1) * count), row * count);
  }
  const bars = Object.entries(loads.bars).filter(([id]) => id in board.bars);
  return { ...shown, bars: { ...board.bars, ...Object.fromEntries(bars) } };
}

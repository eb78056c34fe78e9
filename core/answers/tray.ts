// The tray: work that nobody would otherwise see.

import { incompleteWork, type TrayItem, type TrayKind } from "../attention/incompleteWork.ts";
import type { Model } from "../model.ts";

export interface Tray {
  /** Number of items of each kind. */
  counts: Record<TrayKind, number>;
  /** The first of each kind. */
  items: TrayItem[];
}

/** Most items of a kind that are listed. */
const MOST_LISTED = 60;

/** Items of one kind, as many as are asked for. */
export const trayItems = (model: Model, { kind, most }: { kind: TrayKind; most: number }): TrayItem[] =>
  incompleteWork(model)
    .filter((item) => item.kind === kind)
    .slice(0, most);

/** Openings, tasks with nobody, no estimate, no dates or no role, hours that could not be placed, dates that cannot
 * hold; work of projects that do not count (pipeline, cancelled, done) is left out. */
export function trayOf(model: Model): Tray {
  const counts: Tray["counts"] = { opening: 0, unplaced: 0, conflict: 0, noDates: 0, noPerson: 0, noEstimate: 0, noRole: 0 };
  const items = incompleteWork(model).filter(({ kind }) => ++counts[kind] <= MOST_LISTED);
  return { counts, items };
}

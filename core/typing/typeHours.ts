// Hours typed into cells of a grid: each cell is a period of an assignment, and many make one edit.

import { type BarFault, placeOf } from "../bars/moveBar.ts";
import { type Day, formatDay } from "../calendar/day.ts";
import type { Edit, SingleEdit } from "../edits/edit.ts";
import type { Model } from "../model.ts";
import { isRecordedPast } from "../progress/progress.ts";
import { grouped } from "../values/grouped.ts";
import { type Bucket, bucketsBeside, statedBy } from "./typedBuckets.ts";

/** Hours for the days from `start` up to, and without, `stop`. */
export interface TypedCell {
  assignmentId: string;
  start: Day;
  stop: Day;
  hours: number;
}

export interface TypedHours {
  /** Null where nothing can be typed. */
  edit: Edit | null;
  refused: { assignmentId: string; fault: BarFault }[];
}

/** Types hours into periods of assignments. What a rule gave in other periods stays there, as typed weeks.
 * @param cells Of one assignment none over another.
 * @param words What it results in where several assignments are typed in. */
export function typeHours(model: Model, cells: readonly TypedCell[], words = "type hours"): TypedHours {
  const edits: SingleEdit[] = [];
  const refused: TypedHours["refused"] = [];
  for (const [assignmentId, own] of grouped(cells, (cell) => cell.assignmentId)) {
    const place = placeOf(model, assignmentId);
    if ("fault" in place) {
      refused.push({ assignmentId, fault: place.fault });
      continue;
    }
    const isRecorded = (cell: TypedCell) => isRecordedPast(model.progress, model.work.task[place.row], cell);
    if (own.some(isRecorded)) refused.push({ assignmentId, fault: "recorded" });
    const periods = own.filter((cell) => !isRecorded(cell)).toSorted((a, b) => a.start - b.start);
    if (periods.length === 0) continue;
    const typed = periods.flatMap(({ start, stop, hours }): Bucket[] =>
      hours > 0 ? [{ from: formatDay(start), to: formatDay(stop - 1), hours }] : [],
    );
    const custom = [...bucketsBeside(model, place, periods), ...typed].sort((a, b) => (a.from < b.from ? -1 : 1));
    edits.push(statedBy(place, custom));
  }
  if (edits.length === 0) return { edit: null, refused };
  return { edit: edits.length === 1 ? edits[0] : { kind: "together", words, edits }, refused };
}

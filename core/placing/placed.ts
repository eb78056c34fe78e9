// A plan with what follows from it up to the placements: what load, cost and conflicts are calculated from.
import type { CapacityBook } from "../calendar/capacityBook.ts";
import type { WorkingLine } from "../calendar/workingLine.ts";
import type { Plan } from "../plan/schema.ts";
import type { Progress } from "../progress/progress.ts";
import type { Recorded } from "../recorded/recorded.ts";
import type { Schedule } from "../schedule/dates.ts";
import type { Work } from "../work/work.ts";
import type { Placements } from "./placements.ts";

export interface Placed {
  readonly plan: Plan;
  /** By calendar row. */
  readonly lines: readonly WorkingLine[];
  /** By person row: the line of each person's own calendar. */
  readonly personLines: readonly WorkingLine[];
  readonly capacity: CapacityBook;
  readonly schedule: Schedule;
  readonly work: Work;
  /** Approved hours. */
  readonly recorded: Recorded;
  readonly progress: Progress;
  readonly placements: Placements;
}

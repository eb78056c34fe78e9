// Rows of an hours grid for tests.
import type { HoursGrid, HoursRow } from "../../core/answers/hoursGrid.ts";
import type { Range } from "../../core/calendar/periods.ts";

/** A row that is known by the name of its task. */
export const gridRow = (taskName: string, minutes: number[], fault: HoursRow["fault"] = null): HoursRow => ({
  assignmentId: taskName,
  taskId: taskName,
  taskName,
  projectId: "p",
  projectName: "P",
  projectRow: 0,
  who: "Mara",
  personId: "mara",
  minutes,
  total: minutes.reduce((sum, own) => sum + own, 0),
  typed: new Uint8Array(minutes.length),
  recorded: new Uint8Array(minutes.length),
  fault,
});

export const gridOf = (periods: Range[], rows: HoursRow[]): HoursGrid => ({ name: "P", periods, rows, people: {} });

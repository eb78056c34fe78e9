import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { readIndentedList, readTaskLines } from "../typing/taskLine.ts";
import { isCalendarDate } from "../values/calendarDate.ts";
import { linesOfTable } from "./pastedTable.ts";

const plan = fernhollow();
const names = {
  people: plan.people,
  roles: plan.roles,
  teams: plan.teams,
  tasks: plan.tasks.filter(({ projectId }) => projectId === "tidepool"),
  readDate: (text: string) => (isCalendarDate(text) ? text : null),
};

const read = (rows: readonly string[][]) => {
  const lines = readIndentedList(linesOfTable(rows.map((cells) => cells.join("\t")).join("\n")) ?? "");
  const texts = readTaskLines(
    lines.map(({ text }) => text),
    names,
  );
  return lines.map(({ depth }, at) => ({ depth, ...texts[at] }));
};

test("a table with headers is read by its columns, regardless of their order, with decimal commas, weeks and outline", () => {
  const [phase, crates, paint, ship] = read([
    ["Dauer", "Task", "Hours", "Assigned to", "Predecessors", "Role"],
    ["", "Packing", "", "", "", ""],
    ["3 w", "  Crates, large", "1.120,5", "Mara Ellingsen; Rui", "", "Fabricator"],
    ["2", "  Paint", "16,5", "", "2SS+1d", ""],
    ["", "Ship", "", "", "2, 3", ""],
  ]);
  expect(phase).toMatchObject({ name: "Packing", depth: 0, follows: [] });
  expect(crates).toMatchObject({
    name: "Crates, large",
    depth: 1,
    hours: 1120.5,
    days: 15,
    personIds: ["mara", "rui"],
    roleId: "fabricator",
  });
  expect(paint).toMatchObject({ depth: 1, hours: 16.5, days: 2, follows: [{ from: { line: 1 }, kind: "SS", lagDays: 1 }] });
  expect(ship.follows).toEqual([
    { from: { line: 1 }, kind: "FS" },
    { from: { line: 2 }, kind: "FS" },
  ]);
});

test("dates of a table pin a task; a start next to a duration is kept as a note", () => {
  const [pinned, noted] = read([
    ["Task", "Start", "Finish", "Days", "Deadline"],
    ["Film", "2027-03-01", "2027-03-05", "", "2027-03-12"],
    ["Cut", "2027-03-08", "", "4", ""],
  ]);
  expect(pinned).toMatchObject({ start: "2027-03-01", finish: "2027-03-05", deadline: "2027-03-12" });
  expect(noted).toMatchObject({ days: 4, parts: [{ text: "Cut" }, { text: "4 d" }, { text: "start 2027-03-08", meaning: "unknown" }] });
  expect(noted.start).toBeUndefined();
});

test("a list without headers, or of one column, stays what it is", () => {
  expect(linesOfTable("Cases\t16,5 h\nPaint\t2 h")).toBeNull();
  expect(linesOfTable("Task\nCases")).toBeNull();
  expect(linesOfTable("Task\tColour\nCases\tred")).toBeNull();
  expect(linesOfTable("")).toBeNull();
});

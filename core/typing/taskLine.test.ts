import * as fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { applyEdit } from "../edits/edit.ts";
import { buildModel } from "../model.ts";
import { isCalendarDate } from "../values/calendarDate.ts";
import { tasksFromLines } from "./newTasks.ts";
import { type LineNames, readIndentedList, readTaskLine, readTaskLines } from "./taskLine.ts";

const plan = fernhollow();
const names: LineNames = {
  people: plan.people,
  roles: plan.roles,
  teams: plan.teams,
  tasks: plan.tasks.filter(({ projectId }) => projectId === "tidepool"),
  readDate: (text) => (isCalendarDate(text) ? text : null),
};
const place = { projectId: "tidepool", parentId: null, next: null };
let made = 0;
const newId = (stem: string) => `${stem}-t${++made}`;
const meanings = (line: string) => readTaskLine(line, names).parts.map(({ meaning }) => meaning);

test("a line's parts are taken for what they look like", () => {
  expect(readTaskLine("Test tank, 24 h, fabricator, 5 d, Mara, after Order materials", names)).toMatchObject({
    name: "Test tank",
    hours: 24,
    days: 5,
    roleId: "fabricator",
    personIds: ["mara"],
    follows: [{ from: { id: "tidepool-order" }, kind: "FS" }],
  });
  expect(meanings("Crates, 7.5 hours, workshop, 2027-03-01 – 2027-03-05")).toEqual(["name", "hours", "team", "dates"]);
  expect(readTaskLine("Opening, milestone", names)).toMatchObject({ name: "Opening", days: 0 });
});

test("what is not understood, or means two, is reported and never part of the name; a name in quotes has its commas", () => {
  expect(readTaskLine('"Paint, red, and varnish", 5 h', names)).toMatchObject({ name: "Paint, red, and varnish", hours: 5 });
  expect(readTaskLine("Paint, red, 5 h", names)).toMatchObject({ name: "Paint", hours: 5 });
  expect(meanings("Paint, red, 5 h")).toEqual(["name", "unknown", "hours"]);
  expect(meanings("Talk, m")).toEqual(["name", "unknown"]);
  expect(meanings("Walk, 2027-03-05 – 2027-03-01")).toEqual(["name", "unknown"]);
  expect(meanings("Walk, after nothing of that name")).toEqual(["name", "unknown"]);
  const [task] = tasksFromLines([{ line: readTaskLine("Paint, red, m", names), depth: 0 }], place, newId).tasks;
  expect(task).toMatchObject({ name: "Paint", notes: "red, m" });
  expect(readTaskLine("", names)).toMatchObject({ name: "", parts: [] });
});

test("numbers have a point or a comma, with or without a space; tabs are between parts too", () => {
  expect(readTaskLine("Cut, 1,5 h, 2,5d", names)).toMatchObject({ name: "Cut", hours: 1.5, days: 2.5 });
  expect(readTaskLine("Cut\t16,5h\tMara\t30 %", names)).toMatchObject({ hours: 16.5, personIds: ["mara"], percent: 30 });
  expect(readTaskLine("Room 12,5 d", names)).toMatchObject({ name: "Room 12", days: 5 });
  expect(readTaskLine("Cut, deadline 2027-03-12", names).deadline).toBe("2027-03-12");
  expect(readTaskLine("Cut, 2027-03-01 - 2027-03-05", names)).toMatchObject({ start: "2027-03-01", finish: "2027-03-05" });
});

test("what a line follows is called by name, by its number, or as the one above; with a lag, and other than from end to start", () => {
  const follows = (line: string) => readTaskLine(line, names, "tidepool-order").follows;
  const third = names.tasks[2].id;
  expect(follows("Cut, after 3")).toEqual([{ from: { id: third }, kind: "FS" }]);
  expect(follows("Cut, after above + 2,5 d")).toEqual([{ from: { id: "tidepool-order" }, kind: "FS", lagDays: 2.5 }]);
  expect(follows("Cut, with Order materials − 1 d, finishes with 3 + 4 cd")).toEqual([
    { from: { id: "tidepool-order" }, kind: "SS", lagDays: -1 },
    { from: { id: third }, kind: "FF", lagDays: 4, elapsed: true },
  ]);
});

test("lines of a list follow each other by name and by what is above, regardless of their order", () => {
  const lines = readTaskLines(["Frame, 8 h, after Paint", "Paint, 4 h, after Order materials", "Hang, 2 h, after the one above"], names);
  expect(lines.map(({ follows }) => follows.map(({ from }) => from))).toEqual([[{ line: 1 }], [{ id: "tidepool-order" }], [{ line: 1 }]]);
  const edit = tasksFromLines(
    lines.map((line) => ({ line, depth: 0 })),
    place,
    newId,
  );
  const [frame, paint, hang] = edit.tasks.map(({ id }) => id);
  expect(edit.links.map(({ from, to }) => [from, to])).toEqual([
    [paint, frame],
    ["tidepool-order", paint],
    [paint, hang],
  ]);
  expect(applyEdit(plan, edit).faults).toEqual([]);
});

test("a pasted list becomes a tree, with any indentation", () => {
  expect(readIndentedList("Phase one\n  - First, 8 h\n  - Second\n\t\tDeep\n\nPhase two\n    1. Only")).toEqual([
    { text: "Phase one", depth: 0 },
    { text: "First, 8 h", depth: 1 },
    { text: "Second", depth: 1 },
    { text: "Deep", depth: 2 },
    { text: "Phase two", depth: 0 },
    { text: "Only", depth: 1 },
  ]);
});

test("no line is more than one level below the one before it, and every filled line is there", () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.integer({ min: 0, max: 9 }), fc.constantFrom("a", "b c", "- d", ""))), (drawn) => {
      const text = drawn.map(([indent, words]) => " ".repeat(indent) + words).join("\n");
      const lines = readIndentedList(text);
      expect(lines).toHaveLength(drawn.filter(([, words]) => words !== "").length);
      lines.forEach(({ depth }, at) => {
        expect(depth).toBeLessThanOrEqual(at === 0 ? 0 : lines[at - 1].depth + 1);
      });
    }),
    { seed: 5 },
  );
});

test("lines become one edit: summaries above, hours shared among people, the rest open", () => {
  const lines = ["Trial, 9 h", "Two of us, 10 h, Mara, Rui", "Cut, 6 h, fabricator, 2 d, after Order materials", "Done, milestone"];
  const edit = tasksFromLines(
    lines.map((text, at) => ({ line: readTaskLine(text, names), depth: at === 0 ? 0 : 1 })),
    { projectId: "tidepool", parentId: "tidepool-fabrication", next: null },
    newId,
  );
  const outcome = applyEdit(plan, edit);
  if (!outcome.plan) throw new Error(JSON.stringify(outcome.faults));
  const [summary, effort, cut, done] = edit.tasks;
  expect(summary).toEqual({ id: summary.id, projectId: "tidepool", parentId: "tidepool-fabrication", name: "Trial" });
  expect(effort).toMatchObject({ parentId: summary.id, sizing: "effort" });
  expect(edit.assignments.map(({ personId, hours }) => [personId, hours])).toEqual([
    ["mara", 5],
    ["rui", 5],
  ]);
  expect(cut).toMatchObject({ sizing: "duration", durationDays: 2, effortHours: 6, roleId: "fabricator" });
  expect(done).toMatchObject({ sizing: "duration", durationDays: 0 });
  const { schedule } = buildModel(outcome.plan);
  const dates = schedule.of(outcome.plan.tasks.findIndex(({ id }) => id === cut.id));
  expect(dates?.driver).toMatchObject({ kind: "link" });
});

test("with any typed text, the edit fits the plan or says why", () => {
  const part = fc.oneof(
    fc.string(),
    fc.constantFrom("5 h", "3 d", "Mara", "fabricator", "milestone", "after Order materials", "2027-03-01", "workshop"),
  );
  fc.assert(
    fc.property(fc.array(part, { minLength: 1, maxLength: 6 }), (parts) => {
      const line = readTaskLine(parts.join(", "), names);
      if (line.name === "" || line.name.includes("\u0000")) return;
      const edit = tasksFromLines([{ line, depth: 0 }], { projectId: "tidepool", parentId: null, next: null }, newId);
      expect(applyEdit(plan, edit).faults).toEqual([]);
    }),
    { seed: 9, numRuns: 200 },
  );
});

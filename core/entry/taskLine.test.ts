import * as fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { applyEdit } from "../edits/edit.ts";
import { buildModel } from "../model.ts";
import { isCalendarDate } from "../plan/schema.ts";
import { tasksFromLines } from "./newTasks.ts";
import { type LineNames, readIndentedList, readTaskLine } from "./taskLine.ts";

const plan = fernhollow();
const names: LineNames = {
  people: plan.people,
  roles: plan.roles,
  teams: plan.teams,
  tasks: plan.tasks.filter(({ projectId }) => projectId === "tidepool"),
  readDate: (text) => (isCalendarDate(text) ? text : null),
};
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
    afterIds: ["tidepool-order"],
  });
  expect(meanings("Crates, 7.5 hours, workshop, 2027-03-01 – 2027-03-05")).toEqual(["name", "hours", "team", "dates"]);
  expect(readTaskLine("Opening, milestone", names)).toMatchObject({ name: "Opening", days: 0 });
});

test("what is not understood, or means two, stays in the name", () => {
  expect(readTaskLine("Paint, red, and varnish, 5 h", names)).toMatchObject({ name: "Paint, red, and varnish", hours: 5 });
  expect(readTaskLine("Talk, m", names).name).toBe("Talk, m");
  expect(readTaskLine("Walk, 2027-03-05 – 2027-03-01", names).name).toBe("Walk, 2027-03-05 – 2027-03-01");
  expect(readTaskLine("", names)).toMatchObject({ name: "", parts: [] });
});

test("a pasted list becomes a tree, whatever it is indented with", () => {
  expect(readIndentedList("Phase one\n  - First, 8 h\n  - Second\n\t\tDeep\n\nPhase two\n    1. Only")).toEqual([
    { text: "Phase one", depth: 0 },
    { text: "First, 8 h", depth: 1 },
    { text: "Second", depth: 1 },
    { text: "Deep", depth: 2 },
    { text: "Phase two", depth: 0 },
    { text: "Only", depth: 1 },
  ]);
});

test("no line stands more than one level below the one before it, and every filled line is there", () => {
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

test("whatever is typed, the edit fits the plan or says why", () => {
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

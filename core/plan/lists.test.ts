// The lists that joined the plan later: older files read without them, and their rows are checked like all others.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { applyEdit } from "../edits/edit.ts";
import { checkPlan } from "./check.ts";
import { MOST_EDIT_LETTERS } from "./limits.ts";
import { parsePlanValue } from "./parse.ts";
import type { Plan } from "./schema.ts";

const later = [
  "templates",
  "comments",
  "views",
  "acceptances",
  "requests",
  "snoozes",
  "notes",
  "enquiries",
  "sketches",
  "timeEntries",
  "actualCosts",
  "baselines",
] as const;
const plan = fernhollow();
const places = (made: Plan) => checkPlan(made).map(({ place }) => place);

test("a file without them reads as one in which they are empty", () => {
  const older = Object.fromEntries(Object.entries(plan).filter(([key]) => !later.includes(key as (typeof later)[number])));
  const read = parsePlanValue(older);
  expect(read.faults).toEqual([]);
  for (const list of later) expect(read.plan?.[list]).toEqual([]);
  expect(read.plan?.tasks).toEqual(plan.tasks);
});

test("a template may only point inside itself, and needs a calendar that there is", () => {
  const [template] = plan.templates;
  const broken: Plan = {
    ...plan,
    templates: [
      {
        ...template,
        calendarId: "nowhere",
        links: [{ id: "l", from: template.tasks[0].id, to: "gone", kind: "FS" }],
        assignments: [{ id: "a", taskId: "gone", roleId: "fabricator", hours: 1 }],
      },
    ],
  };
  expect(places(broken)).toEqual(["templates[0].calendarId", "templates[0].assignments[0].taskId", "templates[0].links[0].to"]);
});

test("comments, acceptances and requests point to what there is, and ends come after starts", () => {
  expect(places({ ...plan, comments: [{ ...plan.comments[0], taskId: "gone" }] })).toEqual(["comments[0].taskId"]);
  expect(places({ ...plan, acceptances: [{ id: "x", personId: "nobody", from: "2027-02-08", to: "2027-02-01", reason: "why" }] })).toEqual([
    "acceptances[0].personId",
    "acceptances[0].to",
  ]);
  const [request] = plan.requests;
  const { roleId: _, personId: __, ...nobody } = request;
  expect(places({ ...plan, requests: [{ ...nobody, assignmentId: "gone" }] })).toEqual(["requests[0].assignmentId", "requests[0]"]);
});

test("a change of a sketch that is none is reported with its place", () => {
  const [sketch] = plan.sketches;
  const [first] = sketch.edits;
  const read = (edit: object) => parsePlanValue({ ...plan, sketches: [{ ...sketch, edits: [{ ...first, edit }] }] }).faults;
  expect(read({ kind: "flyAway" })).toEqual([]);
  for (const edit of [{}, { kind: 3 }, { kind: "addTask", name: "\u0000" }, { kind: "addTask", name: "x".repeat(MOST_EDIT_LETTERS) }])
    expect(read(edit)).toEqual([
      { place: "sketches[0].edits[0].edit", message: expect.stringContaining("is not a change that a sketch can record") },
    ]);
});

test("several edits are one: all or none of them, each on what those before have left", () => {
  const move = { kind: "changeTask", id: "tidepool-order", set: { durationDays: 4 } } as const;
  const both = applyEdit(plan, {
    kind: "together",
    words: "two at once",
    edits: [move, { kind: "changeTask", id: "tidepool-order", set: { priority: 1 } }],
  });
  expect(both.plan?.tasks.find(({ id }) => id === "tidepool-order")).toMatchObject({ durationDays: 4, priority: 1 });
  expect("words" in both && both.words).toBe("two at once");
  const half = applyEdit(plan, { kind: "together", words: "two", edits: [move, { kind: "deleteLink", id: "none" }] });
  expect(half.plan).toBeNull();
  expect(half.faults[0]?.message).toMatch(/link/);
});

test("a view of the same name is replaced, and a comment is deleted with its task", () => {
  const saved = applyEdit(plan, { kind: "saveView", view: { id: "v1", name: "Mine", screen: "balance", query: "?rows=roles" } });
  const again =
    saved.plan && applyEdit(saved.plan, { kind: "saveView", view: { id: "v2", name: "Mine", screen: "balance", query: "?rows=teams" } });
  expect(again?.plan?.views).toEqual([{ id: "v1", name: "Mine", screen: "balance", query: "?rows=teams" }]);
  const without = applyEdit(plan, { kind: "deleteTask", id: "tidepool-rockpools" });
  expect(without.plan?.comments).toEqual([]);
});

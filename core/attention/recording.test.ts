// Signals about recording, worked by hand on a plan with one task.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { buildModel } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { attentionOf } from "./attention.ts";

/** Mara works on one task of two weeks from 25 January on; it is Monday 1 February 2027. */
function loan(...edits: Edit[]): Plan {
  const base = fernhollow();
  const plan: Plan = { ...base, projects: [], tasks: [], links: [], assignments: [], expenses: [], templates: [], comments: [] };
  const first: Edit = {
    kind: "addProject",
    project: { id: "p", name: "Loan", calendarId: base.calendars[0].id, stage: "active", start: "2027-01-25", tracking: "recorded" },
    tasks: [{ id: "t", projectId: "p", name: "Build", sizing: "duration", durationDays: 10, actualStart: "2027-01-25" }],
    links: [],
    assignments: [{ id: "a", taskId: "t", personId: "mara", hours: 40 }],
  };
  return [first, ...edits].reduce((own, edit) => {
    const { plan: next, faults } = applyEdit(own, edit);
    expect(faults).toEqual([]);
    return next as Plan;
  }, plan);
}

const found = (plan: Plan) => {
  const model = buildModel(plan);
  const kinds = ["weekMissing", "hoursWaiting", "slipping"];
  return attentionOf(model, model.progress.status).flatMap(({ kind, personId, projectId, count, days }) =>
    kinds.includes(kind) ? [[kind, personId ?? projectId ?? null, count ?? days ?? null]] : [],
  );
};

const recorded = (date: string): Edit => ({
  kind: "recordHours",
  personId: "mara",
  cells: [{ newId: `e-${date}`, date, hours: 6, taskId: "t" }],
});

test("a week of planned work without an hour is a signal until the first one is recorded, or while the person is away", () => {
  expect(found(loan())).toEqual([["weekMissing", "mara", null]]);
  expect(found(loan(recorded("2027-01-29")))).toEqual([]);
  expect(found(loan(recorded("2027-01-22")))).toEqual([["weekMissing", "mara", null]]);
  const timeOff = { id: "off", from: "2027-01-25", to: "2027-01-31", kind: "sick" as const, state: "approved" as const };
  expect(found(loan({ kind: "setTimeOff", personId: "mara", timeOff }))).toEqual([]);
  expect(found(loan({ kind: "changeProject", id: "p", set: { tracking: null } }))).toEqual([]);
});

test("submitted hours wait by person and week until they are approved or returned", () => {
  const submit: Edit = { kind: "decideHours", ids: ["e-2027-01-22", "e-2027-01-26", "e-2027-01-27"], state: "submitted" };
  const edits = [...["2027-01-22", "2027-01-26", "2027-01-27"].map(recorded), submit];
  expect(found(loan(...edits))).toEqual([["hoursWaiting", null, 2]]);
  expect(found(loan(...edits, { ...submit, ids: submit.ids.slice(1), state: "approved" }))).toEqual([["hoursWaiting", null, 1]]);
});

test("a project that finishes later than its latest baseline is a signal, with the working days", () => {
  const longer: Edit = { kind: "changeTask", id: "t", set: { durationDays: 13 } };
  const base: Edit[] = [recorded("2027-01-29"), { kind: "addBaseline", id: "b", name: "Agreed" }];
  expect(found(loan(...base))).toEqual([]);
  expect(found(loan(...base, longer))).toEqual([["slipping", "p", 3]]);
  expect(found(loan(...base, longer, { kind: "addBaseline", id: "c", name: "Agreed again" }))).toEqual([]);
});

import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { formatDay } from "../calendar/day.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { buildModel } from "../model.ts";
import { parsePlanValue } from "../plan/parse.ts";
import type { Plan } from "../plan/schema.ts";
import { impactOf } from "./impact.ts";

const small: Plan = {
  format: "mindful-roster-plan",
  version: 1,
  settings: { name: "Small", currency: "EUR", planStart: "2027-02-01", planEnd: "2027-03-28" },
  calendars: [{ id: "c", name: "Plain", week: [8, 8, 8, 8, 8, 0, 0], exceptions: [] }],
  roles: [{ id: "r", name: "Maker" }],
  skills: [],
  people: [
    {
      id: "ada",
      name: "Ada",
      roleIds: ["r"],
      calendarId: "c",
      employedFrom: "2027-01-01",
      timeOff: [{ id: "off", from: "2027-02-08", to: "2027-02-12", kind: "holiday", state: "requested" }],
    },
  ],
  teams: [],
  materials: [],
  exchangeRates: [],
  rateTables: [],
  clients: [],
  projects: [{ id: "p", name: "Work", calendarId: "c", stage: "active", start: "2027-02-01" }],
  tasks: [
    // 60 h of Ada's 8 h days: done on Wed 10 Feb at noon, or five working days later.
    { id: "effort", projectId: "p", name: "By effort", sizing: "effort" },
    { id: "week", projectId: "p", name: "In her week", sizing: "dates", start: "2027-02-08", finish: "2027-02-12" },
    { id: "fortnight", projectId: "p", name: "Over two weeks", sizing: "dates", start: "2027-02-08", finish: "2027-02-19" },
  ],
  links: [],
  assignments: [
    { id: "a1", taskId: "effort", personId: "ada", hours: 60 },
    { id: "a2", taskId: "week", personId: "ada", hours: 10 },
    { id: "a3", taskId: "fortnight", personId: "ada", hours: 40 },
  ],
  expenses: [],
  templates: [],
  comments: [],
  views: [],
  acceptances: [],
  snoozes: [],
  notes: [],
  enquiries: [],
  sketches: [],
  timeEntries: [],
  actualCosts: [],
  baselines: [],
  requests: [],
};

const approve: Edit = { kind: "answerTimeOff", personId: "ada", id: "off", state: "approved" };

test("approving leave takes its week's capacity, unplaces the work of that week and moves what needs it", () => {
  expect(parsePlanValue(small).faults).toEqual([]);
  const impact = impactOf(buildModel(small), approve);
  expect(impact.capacity.before - impact.capacity.after).toBe(40 * 60);
  expect(impact.people).toBe(1);
  expect(impact.weeks.map(({ week, change }) => [formatDay(week.start), change])).toEqual([["2027-02-08", -2400]]);
  expect(impact.unplaced.map(({ assignmentId, minutes }) => [assignmentId, minutes])).toEqual([["a2", 600]]);
  expect(impact.finishes.map(({ id, before, after }) => [id, formatDay(before), formatDay(after)])).toEqual([
    ["effort", "2027-02-10", "2027-02-17"],
  ]);
  // The week after bears 20 h of effort and now all 40 h of the fortnight, of 40.
  expect(impact.over.map(({ personId, week, before, after }) => [personId, formatDay(week.start), before, after])).toEqual([
    ["ada", "2027-02-15", 0, 20 * 60],
  ]);
});

test("an edit that changes nothing of capacity or dates has no impact", () => {
  const impact = impactOf(buildModel(small), { kind: "changePerson", id: "ada", set: { location: "Porto" } });
  expect(impact).toMatchObject({ faults: [], people: 0, weeks: [], over: [], relieved: 0, unplaced: [], placedAgain: 0, finishes: [] });
  expect(impact.capacity.before).toBe(impact.capacity.after);
});

test("an edit that cannot be made says why, and compares nothing", () => {
  const impact = impactOf(buildModel(small), { ...approve, personId: "nobody" });
  expect(impact.faults).toHaveLength(1);
  expect(impact.weeks).toEqual([]);
});

test("the impact of an edit and of taking it back are each other's mirror", () => {
  const model = buildModel(fernhollow());
  const edit: Edit = { kind: "changeCalendar", id: "porto", set: { exceptions: [] } };
  const there = impactOf(model, edit);
  const next = applyEdit(model.plan, edit);
  if (!next.plan) throw new Error("the edit fits the demo plan");
  const { exceptions } = model.plan.calendars[0];
  const back = impactOf(buildModel(next.plan), { ...edit, set: { exceptions } });
  expect(there.people).toBe(model.plan.people.filter(({ calendarId }) => calendarId === "porto").length);
  expect(there.capacity.after).toBeGreaterThan(there.capacity.before);
  expect(back.capacity).toEqual({ before: there.capacity.after, after: there.capacity.before });
  expect(back.weeks.map(({ change }) => -change)).toEqual(there.weeks.map(({ change }) => change));
  expect(back.finishes.map(({ id }) => id)).toEqual(there.finishes.map(({ id }) => id));
  expect(back.relieved).toBe(there.over.reduce((sum, { before, after }) => sum + after - before, 0));
});

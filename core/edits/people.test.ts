// Edits of people, teams, calendars and leave.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { namesOf } from "../plan/names.ts";
import type { Plan } from "../plan/schema.ts";
import { invert } from "./change.ts";
import { applyEdit, type Edit } from "./edit.ts";

const plan = fernhollow();

function after(edit: Edit, from = plan): Plan {
  const outcome = applyEdit(from, edit);
  if (!outcome.plan) throw new Error(outcome.faults.map(({ message }) => message).join(" "));
  expect(invert(invert(outcome.changes))).toEqual(outcome.changes);
  return outcome.plan;
}
const faultOf = (edit: Edit, from = plan) => applyEdit(from, edit).faults[0]?.message;
const person = (from: Plan, id: string) => from.people.find((row) => row.id === id);

test("only who has left and what is over can be archived, and nobody archived can go on without being brought back", () => {
  expect(faultOf({ kind: "changePerson", id: "nuno", set: { archived: true } })).toMatch(/once the end of employment is entered/);
  const gone = after({ kind: "changePerson", id: "nuno", set: { archived: true, employedTo: "2027-03-31" } });
  expect(faultOf({ kind: "changePerson", id: "nuno", set: { employedTo: null } }, gone)).toMatch(/once the end of employment is entered/);
  expect(person(after({ kind: "changePerson", id: "nuno", set: { employedTo: null, archived: null } }, gone), "nuno")).not.toHaveProperty(
    "archived",
  );
  const active = plan.projects.find(({ stage }) => stage === "active")?.id as string;
  expect(faultOf({ kind: "changeProject", id: active, set: { archived: true } })).toMatch(/once it is done or cancelled/);
  const over = after({ kind: "changeProject", id: active, set: { archived: true, stage: "done" } });
  expect(namesOf(over).projects.at(-1)?.name).toMatch(/ \(archived\)$/);
  expect(namesOf(gone).people.at(-1)).toMatchObject({ id: "nuno", name: expect.stringMatching(/ \(archived\)$/) });
});

test("many people change at once: what is given is set, all else of them stays", () => {
  const next = after({
    kind: "changePeople",
    ids: ["tomas", "noor"],
    set: {
      calendarId: "tartu",
      mainRoleId: "writer",
      teamId: "light",
      skills: [{ skillId: "labels", level: 5 }],
      pattern: { from: "2027-02-15", week: [8, 0, 0, 0, 0, 0, 0] },
    },
  });
  const [tomas, noor] = [person(next, "tomas"), person(next, "noor")];
  expect(tomas).toMatchObject({ calendarId: "tartu", roleIds: ["writer"], location: "Porto" });
  expect(noor?.roleIds).toEqual(["writer", "designer"]);
  expect(tomas?.skills).toEqual([
    { skillId: "plain", level: 5 },
    { skillId: "labels", level: 5 },
  ]);
  // The pattern of March came after the new one begins and gives way; the one of last September stays before it.
  expect(tomas?.patterns?.map(({ from }) => from)).toEqual(["2027-02-15"]);
  expect(noor?.patterns?.map(({ from }) => from)).toEqual(["2026-09-01", "2027-02-15"]);
  expect(next.teams.find(({ id }) => id === "light")?.memberIds.slice(-2)).toEqual(["tomas", "noor"]);
  expect(faultOf({ kind: "changePeople", ids: ["tomas", "gone"], set: { location: "Porto" } })).toMatch(/no longer in the plan/);
});

test("a request is approved, declined with a reason, or kept open with other dates; a new answer replaces the old", () => {
  const answer = { kind: "answerTimeOff" as const, personId: "bo", id: "bo-1" };
  expect(faultOf({ ...answer, state: "declined" })).toMatch(/reason/);
  const suggested = after({
    ...answer,
    state: "requested",
    suggested: { from: "2027-03-15", to: "2027-03-19" },
    reason: "We install then",
  });
  expect(person(suggested, "bo")?.timeOff?.[0]).toMatchObject({
    state: "requested",
    suggested: { from: "2027-03-15" },
    reason: "We install then",
  });
  const approved = after({ ...answer, state: "approved" }, suggested);
  expect(person(approved, "bo")?.timeOff).toEqual([
    { id: "bo-1", from: "2027-03-08", to: "2027-03-12", kind: "holiday", state: "approved", note: "Skiing" },
  ]);
  expect(faultOf({ ...answer, id: "none", state: "approved" })).toMatch(/time off is no longer/);
  expect(faultOf({ ...answer, state: "requested", suggested: { from: "2027-03-15", to: "2027-03-01" } })).toMatch(/before/);
});

test("time off is added, changed by its id and deleted; the last one takes the list with it", () => {
  const off = { id: "x", from: "2027-05-03", to: "2027-05-04", kind: "training" as const, state: "approved" as const };
  const added = after({ kind: "setTimeOff", personId: "rui", timeOff: off });
  const changed = after({ kind: "setTimeOff", personId: "rui", timeOff: { ...off, hoursPerDay: 4 } }, added);
  expect(person(changed, "rui")?.timeOff).toEqual([{ ...off, hoursPerDay: 4 }]);
  expect(person(after({ kind: "deleteTimeOff", personId: "rui", id: "x" }, changed), "rui")).toEqual(person(plan, "rui"));
});

test("who has work, leads or has a rate is not deleted, and the sentence says what holds them", () => {
  expect(faultOf({ kind: "deletePerson", id: "mara" })).toMatch(/Mara Ellingsen has \d+ assignments/);
  const added = after({ kind: "addPerson", person: { id: "temp", name: "Temp", roleIds: [], calendarId: "porto" } });
  const joined = after({ kind: "changePeople", ids: ["temp"], set: { teamId: "light" } }, added);
  const gone = after({ kind: "deletePerson", id: "temp" }, joined);
  expect(gone.people).toEqual(plan.people);
  expect(gone.teams).toEqual(plan.teams);
});

test("a team is deleted only without work, and its sub-teams move up", () => {
  expect(faultOf({ kind: "deleteTeam", id: "tidepool-crew" })).toMatch(/"Tidepool crew" has an assignment/);
  const next = after({ kind: "deleteTeam", id: "workshop" });
  expect(next.teams.map(({ id, parentId }) => [id, parentId])).toEqual([
    ["workshop-tartu", undefined],
    ["light", undefined],
    ["tidepool-crew", undefined],
  ]);
  expect(faultOf({ kind: "changeTeam", id: "workshop", set: { parentId: "workshop-tartu" } })).toMatch(/its own ancestor/);
});

test("a calendar that a person uses is not deleted, and one without a working day is not saved", () => {
  expect(faultOf({ kind: "deleteCalendar", id: "porto" })).toMatch(/"Ilka Sandmere" uses this calendar/);
  expect(faultOf({ kind: "changeCalendar", id: "porto", set: { week: [0, 0, 0, 0, 0, 0, 0] } })).toMatch(/no working day/);
  const added = after({ kind: "addCalendar", calendar: { id: "c", name: "C", week: [8, 0, 0, 0, 0, 0, 0], exceptions: [] } });
  expect(after({ kind: "deleteCalendar", id: "c" }, added).calendars).toEqual(plan.calendars);
});

test("rows of a file replace those with their id and join the end of the list; one undo takes all back", () => {
  const [mara] = plan.people.filter(({ id }) => id === "mara");
  const edit: Edit = {
    kind: "importRows",
    source: "people.csv",
    rows: [
      { list: "people", row: { ...mara, location: "Tartu" } },
      { list: "people", row: { id: "kai", name: "Kai", roleIds: [], calendarId: "porto" } },
    ],
  };
  const outcome = applyEdit(plan, edit);
  expect(outcome.plan?.people).toHaveLength(plan.people.length + 1);
  expect(outcome.plan?.people.at(-1)?.id).toBe("kai");
  expect(faultOf({ ...edit, rows: [{ list: "people", row: { id: "kai", name: "Kai", roleIds: ["none"], calendarId: "porto" } }] })).toMatch(
    /no role "none"/,
  );
  expect(faultOf({ ...edit, rows: [{ list: "people", row: { id: "kai", hat: 3 } }] })).toBeDefined();
});

// The screens about people: a year, leave, teams, skills, hours that cannot be worked, feeds.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { assignmentsFeed, leaveFeed } from "../answers/feeds.ts";
import { leaveOf } from "../answers/leave.ts";
import { personYear } from "../answers/personYear.ts";
import { recipientsOf } from "../answers/recipients.ts";
import { skillMatrix } from "../answers/skillMatrix.ts";
import { teamBoard } from "../answers/teamBoard.ts";
import { parseDay } from "../calendar/day.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { buildModel, type Model } from "../model.ts";
import { unplaceablesOf } from "../placing/unplaceable.ts";
import { capacityReport } from "../reports/capacity.ts";
import { loadReport } from "../reports/load.ts";
import { countedShares, defaultCounting } from "./counting.ts";

const model = buildModel(fernhollow());
const year = { start: parseDay("2027-01-01"), stop: parseDay("2028-01-01") };
const weeks = { range: { start: parseDay("2027-01-25"), stop: parseDay("2027-03-22") }, grain: "week" as const };

function after(edit: Edit, from: Model = model): Model {
  const outcome = applyEdit(from.plan, edit);
  if (!outcome.plan) throw new Error(outcome.faults.map(({ message }) => message).join(" "));
  return buildModel(outcome.plan);
}

test("a person's months say what the capacity and load reports say, and the days add up to them", () => {
  const asked = { range: year, grain: "month" as const };
  const capacity = capacityReport(model, asked);
  const load = loadReport(model, asked, defaultCounting);
  model.plan.people.forEach(({ id }, row) => {
    const own = personYear(model, id, year);
    expect(own?.months.map(({ regular }) => regular)).toEqual(capacity.people[row].regular);
    expect(own?.months.map(({ overtime }) => overtime)).toEqual(capacity.people[row].overtime);
    expect(own?.months.map(({ requested }) => requested)).toEqual(capacity.people[row].requestedTimeOff);
    expect(own?.months.map(({ load: planned }) => planned)).toEqual(load.people[row].load);
    const days = own?.days.reduce((sum, { capacity: minutes }) => sum + minutes, 0);
    expect(days).toBe(capacity.people[row].capacity.reduce((sum, minutes) => sum + minutes, 0));
  });
});

const marksOn = (personId: string, day: string) =>
  personYear(model, personId, { start: parseDay(day), stop: parseDay(day) + 1 })?.days[0].marks.map(({ kind }) => kind);

test("each day names what makes it so", () => {
  expect(marksOn("clara", "2027-02-23")).toEqual(["approved"]);
  expect(marksOn("liis", "2027-02-16")).toEqual(["declined"]);
  expect(marksOn("bo", "2027-03-09")).toEqual(["requested"]);
  expect(marksOn("mara", "2027-05-18")).toEqual(["overtime"]);
  expect(marksOn("yara", "2027-02-26")).toEqual(["notEmployed"]);
  expect(marksOn("sade", "2027-06-14")).toEqual(["notEmployed"]);
  expect(marksOn("mara", "2027-03-26")).toEqual(["holiday"]);
  expect(marksOn("mara", "2026-12-23")).toEqual(["shortDay"]);
  expect(marksOn("mara", "2027-05-29")).toEqual(["extraDay"]);
  expect(marksOn("mara", "2027-02-06")).toEqual(["free"]);
  expect(marksOn("mara", "2027-02-08")).toEqual([]);
});

test("leave lists who is away together, each in their teams, and requests with who else is away", () => {
  const { teams, requests } = leaveOf(model, weeks.range);
  const light = teams.find(({ teamId }) => teamId === "light");
  const on = (day: string) => light?.away[parseDay(day) - weeks.range.start];
  // Liis was declined for these days and counts as there.
  expect([on("2027-02-09"), on("2027-02-18"), on("2027-02-16")]).toEqual([1, 1, 0]);
  expect(light?.people.find(({ personId }) => personId === "liis")?.entries.map(({ timeOff }) => timeOff.id)).toEqual(["liis-1"]);
  expect(requests.map(({ personId, timeOff }) => [personId, timeOff.id])).toEqual([
    ["eha", "eha-1"],
    ["bo", "bo-1"],
  ]);
  const away = after({
    kind: "setTimeOff",
    personId: "nuno",
    timeOff: { id: "nuno-1", from: "2027-03-12", to: "2027-03-12", kind: "sick", state: "approved" },
  });
  expect(leaveOf(away, weeks.range).requests.find(({ personId }) => personId === "bo")?.alsoAway).toEqual(["Nuno Farrapo"]);
});

test("a team has the capacity of the capacity report, and splits the load of the load report", () => {
  const capacity = capacityReport(model, weeks);
  const load = loadReport(model, weeks, defaultCounting);
  const { rows } = teamBoard(model, weeks);
  expect(rows.map(({ team, depth }) => [team.id, depth])).toEqual([
    ["workshop", 0],
    ["workshop-tartu", 1],
    ["light", 0],
    ["tidepool-crew", 0],
  ]);
  for (const row of rows) {
    expect(row.capacity).toEqual(capacity.teams.find(({ id }) => id === row.team.id)?.capacity);
    expect(row.toTeam.map((minutes, p) => minutes + row.toMembers[p])).toEqual(load.teams.find(({ id }) => id === row.team.id)?.load);
  }
  const spring = teamBoard(model, { range: { start: parseDay("2027-04-01"), stop: parseDay("2027-06-01") }, grain: "month" });
  expect(spring.rows[3].toTeam.reduce((sum, minutes) => sum + minutes, 0)).toBe(32 * 60);
});

test("a skill's need is what openings ask for, against the room of those who have it at that level", () => {
  const { columns } = skillMatrix(model, weeks);
  const neon = columns.find(({ skill }) => skill.id === "neon");
  expect(neon).toMatchObject({ need: 36 * 60, level: 4, able: 1, holders: 1 });
  const without = after({ kind: "changePerson", id: "ines", set: { skills: [{ skillId: "neon", level: 3 }] } });
  const gone = skillMatrix(without, weeks).columns.find(({ skill }) => skill.id === "neon");
  expect(gone).toMatchObject({ need: 36 * 60, able: 0, room: 0, holders: 1 });
  expect(columns.find(({ skill }) => skill.id === "welding")).toMatchObject({ need: 0, able: 0, room: 0 });
});

test("hours without a place say why, and the ways out place them", () => {
  const found = (from: Model, id: string) =>
    unplaceablesOf(from, countedShares(from, defaultCounting)).find(({ assignmentId }) => assignmentId === id);
  const leaves = found(model, "standing-upkeep-sade");
  expect(leaves).toMatchObject({ reason: "left", day: parseDay("2027-06-11"), split: { date: "2027-06-12", gives: "later" }, move: null });
  expect(found(model, "rockpools-yara")).toMatchObject({ reason: "notYet", minutes: 16 * 60, move: { from: "2027-03-01" } });
  expect(found(model, "rockpools-clara")).toMatchObject({ reason: "away", minutes: 10 * 60, split: null });

  const split = after({
    kind: "splitAssignment",
    id: "standing-upkeep-sade",
    date: "2027-06-12",
    gives: "later",
    newId: "rest",
    personId: null,
    roleId: "fabricator",
  });
  expect(found(split, "standing-upkeep-sade")).toBeUndefined();
  const rows = split.plan.assignments.filter(({ id }) => id === "standing-upkeep-sade" || id === "rest");
  expect(rows.map(({ from, to, personId, roleId }) => [from, to, personId, roleId])).toEqual([
    [undefined, "2027-06-11", "sade", undefined],
    ["2027-06-12", undefined, undefined, "fabricator"],
  ]);
  const placed = (from: Model, id: string) => from.placements.placed[from.plan.assignments.findIndex((row) => row.id === id)];
  expect(placed(split, "standing-upkeep-sade")).toBe(placed(model, "standing-upkeep-sade"));
  const given = after({ kind: "reassign", id: "rockpools-yara", personId: "amadou" });
  expect(found(given, "rockpools-yara")).toBeUndefined();
});

test("a person to take hours without a place is found for all that is asked for", () => {
  const recipients = recipientsOf(model, "rockpools-yara");
  expect(recipients?.need).toBe(16 * 60);
  expect(recipients?.people.filter(({ cover }) => cover === 16 * 60).length).toBeGreaterThan(3);
});

test("a split of a total moves the stated hours, and refuses more than there are", () => {
  const edit: Edit = {
    kind: "splitAssignment",
    id: "rockpools-mara",
    date: "2027-02-15",
    gives: "later",
    newId: "rest",
    personId: "rui",
    hours: 25,
  };
  const hours = after(edit).plan.assignments.filter(({ id }) => id === "rockpools-mara" || id === "rest");
  expect(hours.map(({ personId, hours: own, from, to }) => [personId, own, from, to])).toEqual([
    ["mara", 35, undefined, "2027-02-14"],
    ["rui", 25, "2027-02-15", undefined],
  ]);
  expect(applyEdit(model.plan, { ...edit, hours: 70 }).plan).toBeNull();
  expect(applyEdit(model.plan, { ...edit, id: "survey-bo" }).faults[0]?.message).toMatch(/sized by effort/);
});

test("assignments and leave are exported as events of whole days, declined leave does not", () => {
  const work = assignmentsFeed(model, "mara");
  expect(work?.events.find(({ uid }) => uid.startsWith("assignment-rockpools-mara@"))).toMatchObject({
    from: "2027-02-08",
    to: "2027-02-26",
    title: "Tidepool Hall: Rock pool trial casts",
    description: "60 h",
  });
  expect(assignmentsFeed(model, "nobody")).toBeNull();
  const light = leaveFeed(model, "light")?.events.map(({ uid, title }) => `${uid.split("@")[0]} ${title}`);
  expect(light).toEqual([
    "leave-ines-ines-1 Ines Valtonen away",
    "leave-liis-liis-2 Liis Maran away",
    "leave-ruta-ruta-1 Ruta Kalnina away, 4 h a day",
  ]);
  expect(leaveFeed(model, "no-team")).toBeNull();
  expect(leaveFeed(model, null)?.events.some(({ title }) => title === "Bo Hallberg away (requested)")).toBe(true);
});

// The texts and lists of the screens about people, without the screens.
import { expect, test } from "vitest";
import { rosterOf } from "../../core/answers/roster.ts";
import { parseDay } from "../../core/calendar/day.ts";
import { weekSpans } from "../../core/calendar/weekSpans.ts";
import { buildModel } from "../../core/model.ts";
import { fernhollow } from "../../demo/fernhollow.ts";
import { dayText, markText, spanText, weekHoursText, weeksSentence } from "./dayWords.ts";
import { type Filters, groupings, rosterGroups } from "./rosterView.ts";

const model = buildModel(fernhollow());
const rows = rosterOf(model, { range: { start: parseDay("2027-01-25"), stop: parseDay("2027-03-22") }, grain: "week" });
const everyone: Filters = { search: "", role: "", skill: "", level: 1, team: "", place: "", kind: "", archived: false };
const found = (filters: Partial<Filters>) => rosterGroups(rows, { ...everyone, ...filters }, "none")[0].rows.map(({ person }) => person.id);

test("filters narrow the roster together, and a skill asks for its least level", () => {
  expect(found({ role: "Lighting technician" })).toEqual(["ines", "teo", "liis"]);
  expect(found({ role: "Lighting technician", place: "Tartu" })).toEqual(["liis"]);
  expect(found({ skill: "CNC routing", level: 4 })).toEqual(["mara", "kaspar"]);
  expect(found({ team: "Tidepool crew", kind: "employee" })).toEqual(["teo", "marta", "bo", "nuno"]);
  expect(found({ search: "tartu writer" })).toEqual(["oona"]);
  expect(found({ search: "nobody of this name" })).toEqual([]);
});

test("every person is in a group, in several where they have several skills or teams", () => {
  for (const grouping of groupings) {
    const groups = rosterGroups(rows, everyone, grouping);
    const ids = groups.flatMap(({ rows: own }) => own.map(({ person }) => person.id));
    expect(new Set(ids)).toEqual(new Set(rows.map(({ person }) => person.id)));
    if (grouping === "role" || grouping === "kind") expect(ids).toHaveLength(rows.length);
  }
  const teams = rosterGroups(rows, everyone, "team").map(({ title }) => title);
  expect(teams.at(-1)).toBe("No team");
});

test("a person's weeks of the window are one after another, and unplaced hours are reported", () => {
  const row = (id: string) => rows.find(({ person }) => person.id === id);
  expect(row("tomas")?.weeks.map((week) => week.reduce((sum, hours) => sum + hours, 0))).toEqual([40, 24]);
  expect(row("yara")?.unplaced).toBeGreaterThanOrEqual(16 * 60);
  expect(row("rui")?.unplaced).toBe(0);
});

test("weeks are described by their hours", () => {
  const full = [8, 8, 8, 8, 8, 0, 0];
  const spans = weekSpans({ patterns: [{ from: "2027-03-01", week: [8, 8, 8, 0, 0, 0, 0] }] }, { week: full });
  expect(weeksSentence(spans, parseDay("2027-02-01"))).toBe("40 h a week until 28 Feb 2027, then 24 h a week");
  expect(weeksSentence(spans, parseDay("2027-03-01"))).toBe("24 h a week");
  expect(weekHoursText([0, 0, 0, 0, 0, 0, 0])).toBe("does not work");
  expect(spanText({ from: parseDay("2027-03-01"), last: parseDay("2027-03-31") })).toBe("from 1 Mar 2027 until 31 Mar 2027");
});

test("a day names its figures and all its marks", () => {
  const marks = [
    { kind: "approved" as const, name: "holiday, Carnival week" },
    { kind: "overtime" as const, hours: 2 },
  ];
  expect(dayText(parseDay("2027-02-23"), 120, 60, marks)).toBe("Tue 23 Feb: 1 of 2 h · time off (Leave, Carnival week) · overtime 2 h");
  expect(dayText(parseDay("2027-02-23"), 480, null, [])).toBe("Tue 23 Feb: 8 h");
  expect(markText({ kind: "requested", name: "sick", hours: 4 })).toBe("time off requested, 4 h (Sick)");
  expect(markText({ kind: "shortDay", name: "Before Christmas" })).toBe("short day: Before Christmas");
});

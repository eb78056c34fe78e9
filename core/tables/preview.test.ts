import * as fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { applyEdit } from "../edits/edit.ts";
import type { Plan } from "../plan/schema.ts";
import { guessTable, previewTable, tableKinds } from "./preview.ts";
import { NEW_ROW, type ReadOptions, type TableName, tableNames } from "./table.ts";

const plan = fernhollow();
const options: ReadOptions = { dateOrder: "dayFirst", idStem: "import" };
const preview = (table: TableName, rows: string[][], more: Partial<ReadOptions> = {}) =>
  previewTable(plan, { table, source: "file.csv", rows, options: { ...options, ...more } });

function afterImport(table: TableName, rows: string[][], more: Partial<ReadOptions> = {}): Plan {
  const { edit } = preview(table, rows, more);
  if (!edit) throw new Error("nothing to bring in");
  const outcome = applyEdit(plan, edit);
  if (!outcome.plan) throw new Error(JSON.stringify(outcome.faults));
  return outcome.plan;
}

test("what is exported is imported again without a change, every table of it", () => {
  for (const table of tableNames) {
    const { columns, rows } = tableKinds[table];
    const { counts, edit, faults } = preview(table, [columns.map(({ name }) => name), ...rows(plan)]);
    expect(faults).toEqual([]);
    expect(counts, table).toMatchObject({ adds: 0, changes: 0, leaves: rows(plan).length, refuses: 0 });
    expect(edit).toBeNull();
  }
});

test("headers in another order and language are matched", () => {
  const { mapping, counts, rows } = preview("people", [
    ["Ort", "Rolle", "Mitarbeiter", "Eintrittsdatum", "Kalender"],
    ["Tartu", "Welder; Fabricator", "Kai Sommer", "1.3.2027", "Tartu workshop"],
    ["Tartu", "fabricator", "Kai Sommer", "1.3.2027", "Tartu workshop"],
  ]);
  expect(mapping).toEqual([null, 2, null, 1, 4, 3, null, 0, null, null, null, null, null, null]);
  expect(counts).toMatchObject({ adds: 1, changes: 0, leaves: 0, refuses: 1 });
  expect(rows[0]).toMatchObject({ line: 2, outcome: "refuses", reasons: ['There is no role "Welder".'] });
  expect(rows[1]).toMatchObject({ line: 3, outcome: "adds", about: "Kai Sommer" });
});

test("the kind of table is known by its header", () => {
  expect(guessTable(["Name", "Role", "Calendar", "E-mail"])).toBe("people");
  expect(guessTable(["person", "skill", "level"])).toBe("skills");
  expect(guessTable(["Person", "Von", "Bis", "Art", "Status"])).toBe("timeOff");
  expect(guessTable(["Mitarbeiter", "ab", "Mo", "Di", "Mi", "Do", "Fr"])).toBe("patterns");
  expect(guessTable(["From", "To", "Title"])).toBe("timeOff");
  expect(guessTable(["From task", "To task", "Lag"])).toBe("links");
  expect(guessTable(["Currency", "From", "Rate"])).toBe("exchangeRates");
  expect(guessTable(["Datum", "Feiertag", "Kalender"])).toBe("holidays");
});

test("rows say what they change, and the others what is wrong with them", () => {
  const { rows, counts } = preview("people", [
    ["id", "name", "email", "roles", "calendar", "employed from", "employed to", "place", "kind"],
    ["mara", "Mara Ellingsen", "mara@fernhollow.example", "Fabricator", "Porto workshop", "2021-03-01", "", "Tartu", "employee"],
    ["mara", "Mara again", "", "", "", "", "", "", ""],
    ["new-1", "=HYPERLINK(1)", "", "", "", "", "", "", ""],
    ["new-2", "Otto Lind", "", "Fabricatr", "Porto workshop", "2027-02-30", "", "", "robot"],
    ["new-3", "", "", "", "", "", "", "", ""],
    ["new-4", "Ada Vint", "", "Installer", "", "2027-05-01", "2027-04-01", "", ""],
    ["", "", "", "", "", "", "", "", ""],
  ]);
  expect(counts).toMatchObject({ adds: 0, changes: 1, leaves: 0, refuses: 5 });
  expect(rows[0]).toMatchObject({ outcome: "changes", says: ["place: Porto → Tartu"] });
  const reasons = rows.map((row) => (row.outcome === "refuses" ? row.reasons.join(" ") : ""));
  expect(reasons[1]).toBe('The id "mara" is already used in line 2.');
  expect(reasons[2]).toMatch(/begins like a formula/);
  expect(reasons[3]).toMatch(
    /"2027-02-30" is not a date.*There is no role "Fabricatr"\. Did you mean "Fabricator"\?.*"robot" is not known/,
  );
  expect(reasons[4]).toBe("The name is missing.");
  expect(reasons[5]).toMatch(/must not be before the first/);
});

test("a name that begins like a formula is imported where an apostrophe marks it as text", () => {
  const next = afterImport("people", [
    ["name", "calendar"],
    ["'=Rosa", "Porto workshop"],
  ]);
  expect(next.people.at(-1)).toMatchObject({ id: "import-2", name: "=Rosa" });
});

test("missing columns are named, and nothing is read", () => {
  const { faults, rows, edit } = preview("timeOff", [["When"], ["2027-02-01"]]);
  expect(faults).toEqual([
    'No column of the file is chosen for "Person". Choose one, or the person that all rows belong to.',
    'No column of the file is chosen for "From". Choose one.',
  ]);
  expect(rows).toEqual([]);
  expect(edit).toBeNull();
});

test("time off of one person is imported by dates as they are written, and the same entry is left", () => {
  const rows = [
    ["Von", "Bis", "Stunden", "Art", "Status"],
    ["01/03/2027", "5.3.2027", "", "Urlaub", "genehmigt"],
    ["2027-02-22", "26 Feb 2027", "", "vacation", "approved"],
    ["12/04/2027", "", "4,5", "krank", ""],
    ["2027-04-10", "2027-04-01", "30", "", "maybe"],
  ];
  const { counts } = preview("timeOff", rows, { subjectId: "clara" });
  expect(counts).toMatchObject({ adds: 2, changes: 1, leaves: 0, refuses: 1 });
  const clara = afterImport("timeOff", rows, { subjectId: "clara" }).people.find(({ id }) => id === "clara");
  expect(clara?.timeOff?.map(({ from, to, kind, state, hoursPerDay }) => [from, to, kind, state, hoursPerDay])).toEqual([
    ["2027-02-22", "2027-02-26", "holiday", "approved", undefined],
    ["2027-03-01", "2027-03-05", "holiday", "approved", undefined],
    ["2027-04-12", "2027-04-12", "sick", "requested", 4.5],
  ]);
  const monthFirst = preview("timeOff", rows.slice(0, 2), { subjectId: "clara", dateOrder: "monthFirst" });
  expect(monthFirst.rows[0]).toMatchObject({ says: ["holiday 2027-01-03 to 2027-03-05, approved"] });
});

test("patterns of one person follow each other by their first days", () => {
  const next = afterImport("patterns", [
    ["person", "from", "mon", "tue", "wed", "thu", "fri"],
    ["tomas@fernhollow.example", "2027-06-01", "8", "8", "0", "0", "0"],
    ["Tomas Reyes", "2027-02-01", "8", "8", "8", "8", "0"],
    ["tomas", "2027-03-01", "8", "8", "7.5", "0", "0"],
    ["tomas", "2027-07-01", "25", "", "", "", ""],
  ]);
  expect(next.people.find(({ id }) => id === "tomas")?.patterns?.map(({ from, week }) => [from, week.slice(0, 4)])).toEqual([
    ["2027-02-01", [8, 8, 8, 8]],
    ["2027-03-01", [8, 8, 7.5, 0]],
    ["2027-06-01", [8, 8, 0, 0]],
  ]);
});

test("a skill at level 0 is removed, an unknown one is refused", () => {
  const rows = [
    ["person", "skill", "level"],
    ["mara", "Welding", "0"],
    ["mara", "Scenic painting", "2"],
    ["mara", "Juggling", "2"],
    ["mara", "CNC routing", "7"],
  ];
  expect(preview("skills", rows).counts).toMatchObject({ adds: 1, changes: 1, leaves: 0, refuses: 2 });
  expect(afterImport("skills", rows).people.find(({ id }) => id === "mara")?.skills).toEqual([
    { skillId: "cnc", level: 5 },
    { skillId: "acrylic", level: 4 },
    { skillId: "scenic", level: 2 },
  ]);
});

test("tasks, links and assignments come in by name, each against the rows before it", () => {
  const tasks = [
    ["Task id", "Project", "Task", "Parent", "Working days", "Effort hours", "Role", "Start", "Finish"],
    ["n1", "TP", "Night opening", "", "", "", "", "", ""],
    ["n2", "Tidepool Hall", "Rehearse", "n1", "2", "12", "Installer", "", ""],
    ["n3", "tidepool", "Open doors", "Night opening", "0", "", "", "", ""],
    ["n4", "Nowhere", "Lost", "", "1", "", "", "", ""],
    ["n5", "TP", "Half pinned", "", "", "", "", "2027-03-01", ""],
    ["n6", "TP", "Backwards", "", "", "", "", "2027-03-05", "2027-03-01"],
    ["n7", "TP", "Below people", "tidepool-cases", "1", "", "", "", ""],
  ];
  const { rows, counts } = preview("tasks", tasks);
  expect(counts).toMatchObject({ adds: 4, changes: 0, leaves: 0, refuses: 3 });
  expect(rows.slice(3).map((row) => (row.outcome === "refuses" ? row.reasons.join(" ") : row.outcome))).toEqual([
    'There is no project "Nowhere".',
    "adds",
    "The finish must not be before the start.",
    '"Cases and plinths" has people assigned and cannot have subtasks.',
  ]);
  const links = preview("links", [
    ["From task", "To task", "Link kind", "Lag days"],
    ["Tidepool Hall / Order materials", "tidepool-cases", "FS", "3"],
    ["tidepool-lightplan", "tidepool-film", "", ""],
    ["tidepool-film", "tidepool-film", "SS", "1"],
    ["tidepool-film", "Opening", "FS", ""],
  ]);
  expect(links.counts).toMatchObject({ adds: 1, changes: 1, leaves: 0, refuses: 2 });
  expect(links.rows[3]).toMatchObject({ outcome: "refuses", reasons: [expect.stringMatching(/names \d+ of the task/)] });
  const work = preview("assignments", [
    ["Task", "Person", "Role", "Hours", "Hours a week", "Firmness"],
    ["tidepool-cases", "Rui Monteverde", "", "12", "", "pencilled"],
    ["tidepool-cases", "", "Fabricator", "8", "", ""],
    ["tidepool-cases", "Rui Monteverde", "", "12", "4", ""],
    ["tidepool-fabrication", "Rui Monteverde", "", "12", "", ""],
    ["tidepool-cases", "", "", "3", "", ""],
  ]);
  expect(work.counts).toMatchObject({ adds: 2, changes: 0, leaves: 0, refuses: 3 });
});

test("with any content of the cells, every row has an outcome and the edit fits the plan", () => {
  const cell = fc.oneof(
    fc.string(),
    fc.constantFrom(
      "mara",
      "Mara Ellingsen",
      "2027-02-01",
      "1/2/2027",
      "8",
      "-3",
      "=1+1",
      "Fabricator",
      "Porto workshop",
      "approved",
      "CNC routing",
      "3",
    ),
  );
  fc.assert(
    fc.property(
      fc.constantFrom(...tableNames),
      fc.array(fc.array(cell, { minLength: 0, maxLength: 12 }), { maxLength: 6 }),
      (table, cells) => {
        const header = tableKinds[table].columns.map(({ name }) => name);
        const { rows, counts, edit } = preview(table, [header, ...cells]);
        const filled = cells.filter((row) => row.some((text) => text.trim() !== ""));
        expect(rows).toHaveLength(filled.length);
        expect(counts.adds + counts.changes + counts.leaves + counts.refuses + counts.leftOut).toBe(filled.length);
        expect(edit === null).toBe(counts.adds + counts.changes === 0);
        // A cycle of links is only seen once all rows are there.
        const faults = edit ? applyEdit(plan, edit).faults : [];
        expect(faults.filter(({ message }) => !message.startsWith("This would close a circle"))).toEqual([]);
      },
    ),
    { seed: 7, numRuns: 300 },
  );
});

test("the header is found under titles, sums are left out, lines are those of the file, and roles that are not there are made", () => {
  const rows = [
    ["Staff of the workshop", "", ""],
    ["", "", ""],
    ["Mitarbeiter", "Rolle", "Eintritt"],
    ["Odile Farrow", "Rigger; Fabricator", "3.5.2027"],
    ["", "", ""],
    ["Ben Aske", "rigger", "soon"],
    ["Summe", "2", ""],
  ];
  const made = preview("people", rows, { makesNames: true });
  expect(made.header).toBe(2);
  expect(made.counts).toEqual({ adds: 1, changes: 0, leaves: 0, refuses: 1, leftOut: 1 });
  expect(made.rows.map(({ line, outcome }) => [line, outcome])).toEqual([
    [4, "adds"],
    [6, "refuses"],
    [7, "leftOut"],
  ]);
  expect(made.makes).toEqual(["role Rigger"]);
  const after = made.edit && applyEdit(plan, made.edit).plan;
  const rigger = after?.roles.find(({ name }) => name === "Rigger");
  expect(after?.people.at(-1)).toMatchObject({ name: "Odile Farrow", roleIds: [rigger?.id, "fabricator"], employedFrom: "2027-05-03" });
  expect(preview("people", rows).counts).toMatchObject({ adds: 0, refuses: 2 });
  const byHand = previewTable(plan, {
    table: "people",
    source: "f",
    rows,
    takes: { 4: false, 7: true },
    options: { dateOrder: "dayFirst", idStem: "n" },
  });
  expect(byHand.rows.map(({ outcome }) => outcome)).toEqual(["leftOut", "refuses", "refuses"]);
});

test("hours a week, a share of full time, skills and rates come with the person; what the plan does not have is made where that is asked for", () => {
  const rows = [
    ["Name", "Role", "Weekly hours", "FTE", "Skills", "Cost rate", "Billing rate"],
    ["Odile Farrow", "Fabricator", "20 h/week", "", "CNC routing 4; Welding", "€ 45,50", "80/h"],
    ["Ben Aske", "Fabricator", "", "50 %", "", "", ""],
    ["Ida Sund", "Fabricator", "37.5", "", "Gilding", "", ""],
  ];
  expect(preview("people", rows).counts).toMatchObject({ adds: 2, refuses: 1 });
  const made = preview("people", rows, { makesNames: true });
  expect(made.counts).toMatchObject({ adds: 3, refuses: 0 });
  expect(made.makes).toContain("skill Gilding");
  const after = made.edit && applyEdit(plan, made.edit).plan;
  const [odile, ben, ida] = after?.people.slice(-3) ?? [];
  const from = plan.settings.planStart;
  const calendar = plan.calendars[0].week.reduce((sum, hours) => sum + hours, 0);
  expect(odile.patterns).toEqual([{ from, week: [4, 4, 4, 4, 4, 0, 0] }]);
  expect(ben.patterns?.[0].week.reduce((sum, hours) => sum + hours, 0)).toBeCloseTo(calendar / 2, 9);
  expect(ida.patterns?.[0].week).toEqual([7.5, 7.5, 7.5, 7.5, 7.5, 0, 0]);
  expect(odile.skills?.map(({ level }) => level)).toEqual([4, 3]);
  const rates = (kind: "cost" | "bill") =>
    after?.rateTables.find((own) => own.kind === kind)?.entries.filter((own) => own.personId === odile.id);
  expect(rates("cost")).toEqual([{ personId: odile.id, rate: 45.5 }]);
  expect(rates("bill")).toEqual([{ personId: odile.id, rate: 80 }]);
  // The same file once more changes nothing.
  const again = after && previewTable(after, { table: "people", source: "f", rows, options: { dateOrder: "dayFirst", idStem: "m" } });
  expect(again?.counts).toMatchObject({ leaves: 3, adds: 0, changes: 0, refuses: 0 });
});

test("always: a week of imported hours adds up to them, to a tenth of an hour", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 600 }), (tenths) => {
      const { edit } = preview("people", [
        ["Name", "Hours a week"],
        ["Odile Farrow", `${tenths / 10}`],
      ]);
      const week = edit === null ? [] : (applyEdit(plan, edit).plan?.people.at(-1)?.patterns?.[0].week ?? plan.calendars[0].week);
      expect(Math.round(week.reduce((sum, hours) => sum + hours, 0) * 10)).toBe(tenths);
    }),
  );
});

test("a guessed column that would refuse every row is left out, and is used when a person chooses it", () => {
  const rows = [
    ["Name", "Role", "Start"],
    ["Odile Farrow", "Fabricator", "after the summer"],
    ["Ben Aske", "Fabricator", "soon"],
  ];
  const guessed = preview("people", rows);
  expect(guessed.counts).toMatchObject({ adds: 2, refuses: 0 });
  const start = tableKinds.people.columns.findIndex(({ key }) => key === "employedFrom");
  expect(guessed.mapping[start]).toBeNull();
  expect(guessed.passedOver).toEqual(["Start"]);
  const chosen = previewTable(plan, {
    table: "people",
    source: "f",
    rows,
    mapping: guessed.mapping.with(start, 2),
    options: { dateOrder: "dayFirst", idStem: "n" },
  });
  expect(chosen.counts).toMatchObject({ adds: 0, refuses: 2 });
});

test("leave from a calendar goes to the person its title names; other leave is refused, or goes to the person who is chosen", () => {
  const [one, other] = plan.people;
  const rows = [
    ["From", "To", "Hours", "Title", "E-mail"],
    ["2027-09-06", "2027-09-10", "", `${one.name} – annual leave`, ""],
    ["2027-09-13", "2027-09-13", "", `Dentist (${other.name.toUpperCase()})`, ""],
    ["2027-09-20", "2027-09-20", "", "Company day", ""],
  ];
  const { rows: read, edit } = preview("timeOff", rows);
  expect(read.map(({ outcome, about }) => [outcome, about])).toEqual([
    ["adds", one.name],
    ["adds", other.name],
    ["refuses", "Company day"],
  ]);
  const after = edit && applyEdit(plan, edit).plan;
  expect(after?.people[0].timeOff?.at(-1)).toMatchObject({ from: "2027-09-06", to: "2027-09-10", kind: "holiday" });
  expect(preview("timeOff", rows, { subjectId: one.id }).counts).toMatchObject({ adds: 3, refuses: 0 });
});

test("a row of leave without a person is given to a person by its line, or becomes a day of a calendar", () => {
  const [one] = plan.people;
  const [calendar] = plan.calendars;
  const rows = [
    ["From", "To", "Title"],
    ["2027-09-06", "2027-09-07", "Dentist"],
    ["2027-09-20", "2027-09-20", "Company day"],
  ];
  const query = {
    table: "timeOff" as const,
    source: "f",
    rows,
    subjects: { 2: one.id },
    options: { ...options, restCalendarId: calendar.id },
  };
  const { edit, counts } = previewTable(plan, query);
  expect(counts).toMatchObject({ adds: 2, refuses: 0 });
  const after = edit && applyEdit(plan, edit).plan;
  expect(after?.people[0].timeOff?.at(-1)).toMatchObject({ from: "2027-09-06", to: "2027-09-07", note: "Dentist" });
  expect(after?.calendars[0].exceptions.at(-1)).toEqual({ from: "2027-09-20", to: "2027-09-20", hours: 0, name: "Company day" });
  expect(previewTable(plan, { ...query, subjects: {}, options }).rows).toMatchObject([{ namesNobody: true }, { namesNobody: true }]);
});

test("a name that the plan does not have is matched with a row or made new, one by one", () => {
  const rows = [
    ["Name", "Role", "Calendar"],
    ["Ada Vint", "Fabricater", "Porto"],
    ["Ben Orr", "Rigger", "Porto"],
    ["Cleo Moss", "Rigger", "Porto"],
    ["Dan Ure", "Fabricator", plan.calendars[0].name],
  ];
  const before = preview("people", rows);
  expect(before.counts).toMatchObject({ adds: 1, refuses: 3 });
  expect(before.unknown.map(({ list, text, count, canBeMade }) => [list, text, count, canBeMade])).toEqual([
    ["roles", "Fabricater", 1, true],
    ["roles", "Rigger", 2, true],
    ["calendars", "Porto", 3, false],
  ]);
  const fabricator = plan.roles.find(({ name }) => name === "Fabricator")?.id ?? "";
  const values = { roles: { fabricater: fabricator, rigger: NEW_ROW }, calendars: { porto: plan.calendars[0].id } };
  const chosen = preview("people", rows, { values });
  expect(chosen.counts).toMatchObject({ adds: 4, refuses: 0 });
  expect(chosen.makes).toEqual(["role Rigger"]);
  // A choice can be made again.
  expect(chosen.unknown.map(({ text, chosen: own }) => [text, own])).toEqual([
    ["Fabricater", fabricator],
    ["Rigger", NEW_ROW],
    ["Porto", plan.calendars[0].id],
  ]);
  const after = afterImport("people", rows, { values });
  const rigger = after.roles.find(({ name }) => name === "Rigger")?.id;
  expect(after.people.slice(-4, -1).map(({ roleIds }) => roleIds)).toEqual([[fabricator], [rigger], [rigger]]);
});

test("tasks come with their people and with what they follow, by number, id, or name, also of later rows", () => {
  const rows = [
    ["Project", "Task", "Working days", "Effort hours", "Assigned to", "Predecessors"],
    ["Tidepool Hall", "Crate the models", "2 w", "1.120,5", "Mara Ellingsen; Rui Monteverde", "2FS+2d"],
    ["Tidepool Hall", "Order foam", "3", "", "Mara Ellingsen", ""],
    ["Tidepool Hall", "Ship", "1", "", "", "with Crate the models + 1 d, Order foam"],
    ["Tidepool Hall", "Unpack", "1", "", "Nobody Known", ""],
    ["Tidepool Hall", "Sweep", "1", "", "", "Unpack"],
  ];
  const { rows: read, counts } = preview("tasks", rows);
  expect(counts).toMatchObject({ adds: 3, refuses: 2 });
  expect(read[3]).toMatchObject({ outcome: "refuses", reasons: ['There is no person "Nobody Known".'] });
  expect(read[4]).toMatchObject({ outcome: "refuses", reasons: ['There is no task "Unpack" for this one to follow.'] });
  const after = afterImport("tasks", rows);
  const [crate, order, ship] = after.tasks.slice(-3);
  expect([crate.durationDays, crate.effortHours]).toEqual([10, 1120.5]);
  const added = after.assignments.slice(plan.assignments.length);
  expect(added.map(({ taskId, personId, hours, percent }) => [taskId, personId, hours ?? percent])).toEqual([
    [crate.id, "mara", 560.25],
    [crate.id, "rui", 560.25],
    [order.id, "mara", 100],
  ]);
  expect(after.links.slice(plan.links.length).map(({ from, to, kind, lagDays }) => [from, to, kind, lagDays ?? 0])).toEqual([
    [order.id, crate.id, "FS", 2],
    [crate.id, ship.id, "SS", 1],
    [order.id, ship.id, "FS", 0],
  ]);
  // Reading the same file again adds nothing.
  const named = rows.map((row, at) => [at === 0 ? "Task id" : `import-${at + 1}`, ...row]).slice(0, 4);
  const again = previewTable(after, { table: "tasks", source: "f", rows: named, options });
  expect(again.counts).toMatchObject({ adds: 0, changes: 0, leaves: 3 });
});

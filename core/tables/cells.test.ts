import * as fc from "fast-check";
import { expect, test } from "vitest";
import { formatDay } from "../calendar/day.ts";
import { plainText } from "../values/plainText.ts";
import { dateCell, durationCell, namedCell, numberCell, textCell, wordCell } from "./cells.ts";
import { matchHeaders } from "./headers.ts";
import { tableKinds } from "./preview.ts";

const value = <T>(read: { value: T } | { reason: string }) => ("value" in read ? read.value : undefined);

test("dates are read as people write them, and slashes in the chosen order", () => {
  for (const text of ["2027-02-03", "2027-2-3", "3.2.2027", "03.02.2027", "3 Feb 2027", "3. February 2027", "2027-02-03T00:00:00Z"])
    expect(value(dateCell(text, "monthFirst")), text).toBe("2027-02-03");
  expect(value(dateCell("3/2/2027", "dayFirst"))).toBe("2027-02-03");
  expect(value(dateCell("3/2/2027", "monthFirst"))).toBe("2027-03-02");
  for (const text of ["", "31.2.2027", "2027-13-01", "tomorrow", "3/2/27", "44961"])
    expect(value(dateCell(text, "dayFirst")), text).toBeUndefined();
});

test("every day that is written the ISO way is read as itself", () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 80_000 }), (day) => {
      expect(value(dateCell(formatDay(day), "dayFirst"))).toBe(formatDay(day));
    }),
  );
});

test("numbers may have a comma or a point and hours their letter; all else is no number", () => {
  expect(["7.5", "7,5", " 8 h", "-3", "0"].map((text) => value(numberCell(text)))).toEqual([7.5, 7.5, 8, -3, 0]);
  expect(["", "8 hours ago", "1e3", "NaN", "1.12.3", "1,2,3", "12.34,5"].flatMap((text) => value(numberCell(text)) ?? [])).toEqual([]);
});

test("thousands set apart and hours of a week or a day are numbers; a single sign is that of the fraction", () => {
  const read = ["1.120,5", "1,120.5", "-1 120,5", "1’120.5", "1.234.567", "1.120", "20 h/week", "7,5 h/day", "20 hours a week", "3 hrs"];
  expect(read.map((text) => value(numberCell(text)))).toEqual([1120.5, 1120.5, -1120.5, 1120.5, 1_234_567, 1.12, 20, 7.5, 20, 3]);
});

test("durations are working days, or weeks of as many as a week has", () => {
  expect(["5", "5 d", "3 w", "2 weeks", "1,5 w", "0", "10 Tage"].map((text) => value(durationCell(text, 4)))).toEqual([
    5, 5, 12, 8, 6, 0, 10,
  ]);
  expect(["", "w", "soon", "3 months"].map((text) => value(durationCell(text, 5)))).toEqual([undefined, undefined, undefined, undefined]);
});

test("a day without a year is the first such day from the plan's first on", () => {
  const on = (text: string) => value(dateCell(text, "dayFirst", "2026-10-01"));
  expect(["18.1.", "1.10.", "30.9.", "18 Jan", "29.2."].map(on)).toEqual([
    "2027-01-18",
    "2026-10-01",
    "2027-09-30",
    "2027-01-18",
    "2028-02-29",
  ]);
  expect(["31.2.", "18.1", "1.13."].map(on)).toEqual([undefined, undefined, undefined]);
  expect(value(dateCell("18.1.", "dayFirst"))).toBeUndefined();
});

test("texts that a spreadsheet would run are refused unless they are marked as text", () => {
  expect(["=1", "+1", "-1", "@x"].map((text) => value(textCell(text)))).toEqual([undefined, undefined, undefined, undefined]);
  expect([" plain ", "'=1", "'plain", "a=b"].map((text) => value(textCell(text)))).toEqual(["plain", "=1", "'plain", "a=b"]);
});

test("words are kept apart without case, accents and signs", () => {
  expect(plainText("Não-São, Größe 7")).toBe("naosaogrosse7");
  expect(value(wordCell("Férias", { holiday: ["ferias"], sick: [] }))).toBe("holiday");
  expect(wordCell("party", { holiday: [], sick: [] })).toEqual({ reason: '"party" is not known here; write one of holiday, sick.' });
});

test("a name that two have asks for the id, and a mistyped one names what it is near", () => {
  const list = [
    { id: "a", name: "Ann Lee" },
    { id: "b", name: "ann lee" },
    { id: "c", name: "Fabricator" },
  ];
  expect(value(namedCell("b", list, "person"))).toBe(list[1]);
  expect(namedCell("Ann Lee", list, "people")).toEqual({ reason: '"Ann Lee" names 2 of the people; write the id.' });
  expect(namedCell("Fabricater", list, "role")).toEqual({ reason: 'There is no role "Fabricater". Did you mean "Fabricator"?' });
});

test("a header serves one column at most, and every table finds its own headers", () => {
  for (const { columns } of Object.values(tableKinds)) {
    const header = columns.map(({ name }) => name);
    expect(matchHeaders(columns, header)).toEqual(columns.map((_, at) => at));
    expect(matchHeaders(columns, header.toReversed())).toEqual(columns.map((_, at) => columns.length - 1 - at));
  }
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom("Name", "name", "Rolle", "role", "von", "bis", "", "Nmae", "E-mail"), { maxLength: 8 }),
      (header) => {
        const taken = matchHeaders(tableKinds.people.columns, header).filter((at) => at !== null);
        expect(new Set(taken).size).toBe(taken.length);
      },
    ),
  );
});

import { expect, test } from "vitest";
import { leaveFeed } from "../core/answers/feeds.ts";
import { buildModel } from "../core/model.ts";
import { previewTable } from "../core/tables/preview.ts";
import { fernhollow } from "../demo/fernhollow.ts";
import { readCsv, safeCell, writeCsv } from "./csv.ts";
import { publicHolidays, regionsOf } from "./holidays.ts";
import { eventsTable, writeCalendar } from "./ical.ts";
import { readTable } from "./readTable.ts";
import { writeXlsx } from "./xlsx.ts";

const bytesOf = (text: string) => new TextEncoder().encode(text);
const rowsOf = async (bytes: Uint8Array, name = "file.csv") => (await readTable(bytes, name)).tables[0].rows;

test("commas, semicolons and tabs are kept apart by what most lines agree on, quotes left aside; a blank line is a row", () => {
  expect(readCsv('a;"b,c,d,e";f\n1;2;3\n')).toEqual([
    ["a", "b,c,d,e", "f"],
    ["1", "2", "3"],
  ]);
  expect(readCsv("a\tb\n1,5\t2\n")).toEqual([
    ["a", "b"],
    ["1,5", "2"],
  ]);
  expect(readCsv('name,note\r\n"Ines, the first","two\nlines"\r\n\r\nshort\r\n')).toEqual([
    ["name", "note"],
    ["Ines, the first", "two\nlines"],
    [""],
    ["short"],
  ]);
  const messy = "Staff list, as of May\n\nName;Hours\nMara;37,5\nRui;40\nSum;77,5\n";
  expect(readCsv(messy)[2]).toEqual(["Name", "Hours"]);
  expect(readCsv(messy)[3]).toEqual(["Mara", "37,5"]);
});

test("CSV that ends inside quotes says where it went wrong", () => {
  expect(() => readCsv('a,b\n1,"never closed\n2,3\n')).toThrow(/could not be read as CSV.*Look at the quotes/);
});

test("UTF-8 with a mark, UTF-16 and Windows-1252 are read, the last with a note", async () => {
  expect(await rowsOf(bytesOf("\uFEFFName\nÕie Mägi\n"))).toEqual([["Name"], ["Õie Mägi"]]);
  const utf16 = Uint8Array.from([
    0xff,
    0xfe,
    ...[..."Name\nÕie\n"].flatMap((letter) => [letter.charCodeAt(0) & 255, letter.charCodeAt(0) >> 8]),
  ]);
  expect(await rowsOf(utf16)).toEqual([["Name"], ["Õie"]]);
  const latin = await readTable(Uint8Array.from([..."Name\nJosé\n"].map((letter) => letter.charCodeAt(0))), "file.csv");
  expect(latin.tables[0].rows[1]).toEqual(["José"]);
  expect(latin.note).toMatch(/Windows-1252/);
});

test("a file without a table is refused", async () => {
  await expect(readTable(new Uint8Array(), "empty.csv")).rejects.toThrow("This file is empty.");
  await expect(readTable(Uint8Array.from([137, 80, 78, 71, 0, 0, 1]), "picture.png")).rejects.toThrow(/neither a text nor an XLSX/);
  await expect(readTable(bytesOf("PK not really a workbook"), "broken.xlsx")).rejects.toThrow(/could not be read as XLSX/);
  await expect(readTable(bytesOf("\n\n"), "blank.csv")).rejects.toThrow(/no rows/);
  await expect(readTable(bytesOf(`a\n${"x\n".repeat(50_002)}`), "long.csv")).rejects.toThrow(/more than 50,000 rows/);
});

test("cells that a spreadsheet would run are written as text, numbers are not touched", () => {
  expect(["=1+1", "+49 30", "-3", "-3.5", "@handle", "plain", "−3"].map(safeCell)).toEqual([
    "'=1+1",
    "'+49 30",
    "-3",
    "-3.5",
    "'@handle",
    "plain",
    "−3",
  ]);
  expect(writeCsv([["=cmd()", 'say "hi", now']])).toBe('\uFEFF\'=cmd(),"say ""hi"", now"\r\n');
});

test("a workbook comes back as it was written, a sheet a table", async () => {
  const tables = [
    {
      name: "People",
      rows: [
        ["Name", "Level"],
        ["Õie Mägi", "3"],
        ["=1+1", ""],
      ],
    },
    { name: "Skills", rows: [["Person"], ["mara"]] },
  ];
  const read = await readTable(await writeXlsx(tables), "file.xlsx");
  expect(read.tables).toEqual([
    {
      name: "People",
      rows: [
        ["Name", "Level"],
        ["Õie Mägi", "3"],
        ["'=1+1", ""],
      ],
    },
    { name: "Skills", rows: [["Person"], ["mara"]] },
  ]);
});

const calendar = (events: string) => `BEGIN:VCALENDAR\r\nVERSION:2.0\r\n${events}END:VCALENDAR\r\n`;

test("whole days, hours and repeating events of a calendar become rows in order", () => {
  const { rows } = eventsTable(
    calendar(
      "BEGIN:VEVENT\r\nUID:1\r\nDTSTART;VALUE=DATE:20270308\r\nDTEND;VALUE=DATE:20270313\r\nSUMMARY:Leave\r\nATTENDEE:mailto:bo@fernhollow.example\r\nEND:VEVENT\r\n" +
        "BEGIN:VEVENT\r\nUID:2\r\nDTSTART:20270210T090000Z\r\nDTEND:20270210T123000Z\r\nSUMMARY:Dentist\r\nEND:VEVENT\r\n" +
        "BEGIN:VEVENT\r\nUID:3\r\nDTSTART;VALUE=DATE:20270101\r\nRRULE:FREQ=YEARLY;COUNT=3\r\nEXDATE;VALUE=DATE:20280101\r\nSUMMARY:New Year\\, all of us\r\nEND:VEVENT\r\n",
    ),
    "file.ics",
  );
  expect(rows).toEqual([
    ["From", "To", "Hours", "Title", "E-mail"],
    ["2027-01-01", "2027-01-01", "", "New Year, all of us", ""],
    ["2027-02-10", "2027-02-10", "3.5", "Dentist", ""],
    ["2027-03-08", "2027-03-12", "", "Leave", "bo@fernhollow.example"],
    ["2029-01-01", "2029-01-01", "", "New Year, all of us", ""],
  ]);
});

test("events without end repeat for five years and no longer", () => {
  const { rows } = eventsTable(
    calendar("BEGIN:VEVENT\r\nUID:1\r\nDTSTART;VALUE=DATE:20270101\r\nRRULE:FREQ=MONTHLY\r\nSUMMARY:Review\r\nEND:VEVENT\r\n"),
    "file.ics",
  );
  expect(rows).toHaveLength(1 + 5 * 12);
});

test("events are exported with exclusive ends, escaped and folded as RFC 5545 asks, and come in again", () => {
  const long = "Õlilambid, cases; ".repeat(9);
  const text = writeCalendar(
    "Mara",
    [{ uid: "a1@x", from: "2027-02-26", to: "2027-02-28", title: long, description: "12 h" }],
    "2027-02-01T08:00:00Z",
  );
  expect(text).toContain("DTSTART;VALUE=DATE:20270226\r\nDTEND;VALUE=DATE:20270301\r\n");
  expect(Math.max(...text.split("\r\n").map((line) => bytesOf(line).length))).toBeLessThanOrEqual(75);
  expect(eventsTable(text, "x").rows[1]).toEqual(["2027-02-26", "2027-02-28", "", long, ""]);
});

test("public holidays are days without work, each date once, in the years asked for", () => {
  const days = publicHolidays("PT", null, 2027, 2028);
  expect(days[0]).toEqual({ from: "2027-01-01", to: "2027-01-01", hours: 0, name: "New Year's Day" });
  expect(days.map(({ from }) => from)).toContain("2028-12-25");
  expect(new Set(days.map(({ from }) => from)).size).toBe(days.length);
  const [germany, bavaria] = [null, "BY"].map((region) => publicHolidays("DE", region, 2027, 2027).map(({ from }) => from));
  expect(germany).not.toContain("2027-01-06");
  expect(bavaria).toContain("2027-01-06");
  expect(regionsOf("DE").map(({ code }) => code)).toContain("BY");
});

test("the application's own leave calendar is imported again without a change, and a moved day changes just that", () => {
  const plan = fernhollow();
  const feed = leaveFeed(buildModel(plan), null);
  const text = writeCalendar("Leave", feed?.events ?? [], "2027-02-01T08:00:00Z");
  const preview = (own: string) =>
    previewTable(plan, {
      table: "timeOff",
      source: "leave.ics",
      rows: eventsTable(own, "leave.ics").rows,
      options: { dateOrder: "dayFirst", idStem: "in" },
    });
  const { counts, faults } = preview(text);
  expect(faults).toEqual([]);
  expect(counts).toMatchObject({ adds: 0, changes: 0, leaves: feed?.events.length, refuses: 0 });
  expect(feed?.events.length).toBe(8);
  const [first] = feed?.events ?? [];
  const moved = text.replace(`DTSTART;VALUE=DATE:${first.from.replaceAll("-", "")}`, "DTSTART;VALUE=DATE:20270104");
  const changed = preview(moved);
  expect(changed.counts).toMatchObject({ adds: 0, changes: 1, refuses: 0 });
});

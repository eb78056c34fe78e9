// Files that would stop everyone else: each is given up with a sentence, and this thread is free all the while.

import { join } from "node:path";
import { strToU8, unzipSync, Zip } from "fflate";
import { expect, test } from "vitest";
import { randomFrom } from "../demo/random.ts";
import { FileWork } from "./fileWork.ts";
import { eventsTable } from "./ical.ts";
import { ZipDeflate } from "./nativeDeflate.ts";
import { readTable } from "./readTable.ts";
import { UnreadableFile } from "./textTable.ts";
import { writeXlsx } from "./xlsx.ts";

const script = join(import.meta.dirname, "../dist/files.mjs");
/** Time enough for what is read to its end, however little of the processor there is. */
const limits = { milliseconds: 60_000, megabytes: 200, atOnce: 2, waiting: 3 };
const read = (content: string | Uint8Array, name = "file", own: Partial<typeof limits> = {}) =>
  new FileWork(script, { ...limits, ...own }).do<"readTable">({
    kind: "readTable",
    bytes: typeof content === "string" ? new TextEncoder().encode(content) : content,
    name,
  });

const sheet = (cells: string) =>
  `<?xml version="1.0"?><worksheet xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"><sheetData>${cells}</sheetData></worksheet>`;

/** A workbook with one sheet, as small as one can be. */
async function workbook(xml: string): Promise<Uint8Array> {
  const files = unzipSync(new Uint8Array(await writeXlsx([{ name: "One", rows: [["A"]] }])));
  const packed: Uint8Array[] = [];
  const zip = new Zip((_, piece) => packed.push(piece));
  for (const [name, bytes] of Object.entries({ ...files, "xl/worksheets/sheet1.xml": strToU8(xml) })) {
    const file = new ZipDeflate(name);
    zip.add(file);
    file.push(bytes, true);
  }
  zip.end();
  return Buffer.concat(packed);
}

const event = (uid: number, more = "") =>
  `BEGIN:VEVENT\r\nUID:${uid}\r\nDTSTART;VALUE=DATE:20270201\r\nSUMMARY:Away\r\n${more}END:VEVENT\r\n`;
const calendar = (events: string) => `BEGIN:VCALENDAR\r\nVERSION:2.0\r\n${events}END:VCALENDAR\r\n`;

test("a cell at the far corner of a sheet is noticed before a table is made of it", async () => {
  const far = await workbook(sheet('<row r="1048576"><c r="XFD1048576" t="n"><v>1</v></c></row>'));
  expect(far.length).toBeLessThan(8_000);
  await expect(read(far)).rejects.toThrow(/reaches to cell XFD1048576, further than is read/);
});

test("a workbook that unpacks to much more than it is, is given up while it is unpacked", async () => {
  const bomb = await workbook(`${sheet("")}${" ".repeat(160_000_000)}`);
  expect(bomb.length).toBeLessThan(1_000_000);
  await expect(read(bomb, "bomb.xlsx")).rejects.toThrow(/unpacks to more than 150 MB/);
});

test("a workbook with entities of its own is refused in a plain sentence", async () => {
  const cell = '<row r="1"><c r="A1" t="inlineStr"><is><t>&big;</t></is></c></row>';
  const declared = sheet(cell).replace("?>", '?><!DOCTYPE worksheet [<!ENTITY big "lol">]>');
  await expect(read(await workbook(declared), "a.xlsx")).rejects.toThrow(/^This workbook declares entities of its own/);
});

test("rows, columns and cells are counted while a text is read", async () => {
  await expect(read(`a\n${"1\n".repeat(60_000)}`, "a.csv")).rejects.toThrow(/more than 50,000 rows/);
  await expect(read(`a\n${"1,".repeat(1_000_000)}\n`, "a.csv")).rejects.toThrow(/more than 500 columns in row 2/);
  await expect(read(`${`${"1,".repeat(499)}1\n`.repeat(4_100)}`, "a.csv")).rejects.toThrow(/more than 2,000,000 cells/);
});

test("an event that never comes takes no longer than a file may, and others are read meanwhile", async () => {
  const never = read(calendar(event(1, "RRULE:FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30\r\n")), "a.ics", { milliseconds: 3_000 });
  let turns = 0;
  const counting = setInterval(() => turns++, 10);
  expect((await read("Name\nInes\n")).tables[0].rows).toEqual([["Name"], ["Ines"]]);
  await expect(never).rejects.toThrow(/takes longer than 3 s to read and was cancelled/);
  clearInterval(counting);
  expect(turns).toBeGreaterThan(50);
});

test("a file that needs too much memory ends its process alone", async () => {
  const many = `a,b\n${`${"x".repeat(40)},${"y".repeat(40)}\n`.repeat(49_000)}`;
  await expect(read(many, "a.csv", { megabytes: 8 })).rejects.toThrow(/needs too much memory/);
});

test("more files than can be read at once wait, and beyond that are sent away", async () => {
  const work = new FileWork(script, limits);
  const ask = () => work.do<"readTable">({ kind: "readTable", bytes: new TextEncoder().encode("Name\nInes\n"), name: "a.csv" });
  const answers = await Promise.allSettled(Array.from({ length: 8 }, ask));
  expect(answers.filter(({ status }) => status === "fulfilled")).toHaveLength(5);
  expect(answers.filter((answer) => answer.status === "rejected" && /Try again in a moment/.test(answer.reason.message))).toHaveLength(3);
});

test("a client that leaves ends the work, and the place is free once the process has ended", async () => {
  const leaving = new AbortController();
  const bytes = new TextEncoder().encode(calendar(event(1, "RRULE:FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30\r\n")));
  const work = new FileWork(script, { ...limits, atOnce: 1 });
  const left = work.do<"readTable">({ kind: "readTable", bytes, name: "a.ics" }, leaving.signal);
  const next = work.do<"readTable">({ kind: "readTable", bytes: new TextEncoder().encode("Name\nInes\n"), name: "a.csv" });
  leaving.abort();
  await expect(left).rejects.toThrow(/cancelled/);
  expect((await next).tables[0].rows).toEqual([["Name"], ["Ines"]]);
});

test("events of a calendar are read in a time that grows with their number, not with its square", async () => {
  const time = (count: number) => {
    const text = calendar(Array.from({ length: count }, (_, at) => event(at)).join(""));
    // Of the processor: on the clock, what runs next to it counts too.
    const start = process.cpuUsage();
    expect(eventsTable(text, "a").rows).toHaveLength(count + 1);
    const { user, system } = process.cpuUsage(start);
    return user + system;
  };
  time(500);
  // Four times as many take about four times as long; by the square it would be sixteen.
  const [few, many] = [Math.min(time(1_500), time(1_500)), Math.min(time(6_000), time(6_000))];
  expect(many / few).toBeLessThan(10);
});

test("no matter which bytes are brought, they are read or reported in a sentence (seeds 1 to 120)", async () => {
  const samples = [
    new Uint8Array(
      await writeXlsx([
        {
          name: "One",
          rows: [
            ["Name", "From"],
            ["Ines", "2027-02-01"],
          ],
        },
      ]),
    ),
    new TextEncoder().encode(calendar(event(1, "RRULE:FREQ=WEEKLY;COUNT=3\r\n"))),
    new TextEncoder().encode('Name;From\n"Ines";1.2.2027\nRui;\n'),
  ];
  let reported = 0;
  for (let seed = 1; seed <= 120; seed++) {
    const random = randomFrom(seed);
    const bytes = Uint8Array.from(samples[seed % samples.length]);
    for (let at = 0; at < 1 + random.below(8); at++) bytes[random.below(bytes.length)] = random.below(256);
    const cut = random.below(4) === 0 ? bytes.subarray(0, random.below(bytes.length)) : bytes;
    const answer = await readTable(cut, "file").catch((error: unknown) => error);
    if (answer instanceof UnreadableFile) reported++;
    else expect(answer, `seed ${seed}`).toHaveProperty("tables");
  }
  expect(reported).toBeGreaterThan(10);
});

test("an event that is in for one of a series is read with its series, not with others", async () => {
  const text = calendar(
    `${event(1, "RRULE:FREQ=WEEKLY;COUNT=2\r\n")}BEGIN:VEVENT\r\nUID:1\r\nRECURRENCE-ID;VALUE=DATE:20270208\r\nDTSTART;VALUE=DATE:20270210\r\nSUMMARY:Moved\r\nEND:VEVENT\r\n`,
  );
  const { tables } = await readTable(new TextEncoder().encode(text), "a.ics");
  expect(tables[0].rows.slice(1).map(([from, , , title]) => [from, title])).toEqual([
    ["2027-02-01", "Away"],
    ["2027-02-08", "Away"],
    ["2027-02-10", "Moved"],
  ]);
});

import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { parseDay } from "../calendar/day.ts";
import { applyEdit } from "../edits/edit.ts";
import { buildModel } from "../model.ts";
import { boardOf } from "./board.ts";
import { explainCell } from "./explain.ts";

const demo = fernhollow();
const requests = demo.people.flatMap(({ id: personId, timeOff = [] }) =>
  timeOff.filter(({ state }) => state === "requested").map((entry) => ({ personId, ...entry })),
);

test("requested leave is shown with what approving it takes from the capacity, and no longer once it is approved", () => {
  expect(requests.length).toBeGreaterThan(0);
  for (const { personId, id, from, to } of requests) {
    const range = { start: parseDay(from) - 2, stop: parseDay(to) + 3 };
    const before = explainCell(buildModel(demo), personId, range);
    const approved = applyEdit(demo, { kind: "answerTimeOff", personId, id, state: "approved" }).plan ?? demo;
    const after = explainCell(buildModel(approved), personId, range);
    expect(before?.requestedLeave.map((own) => own.id)).toEqual([id]);
    expect(before?.requestedMinutes).toBe((before?.capacity ?? 0) - (after?.capacity ?? 0));
    expect(after?.requestedLeave).toEqual([]);
  }
});

test("the board has the days of requested leave with its people, and nobody else's", () => {
  const [{ personId, from, to }] = requests;
  const range = { start: parseDay(from), stop: parseDay(to) + 1 };
  const board = boardOf(buildModel(demo), { range, grain: "week", open: [] });
  const marked = board.rows.filter(({ requestedLeave }) => requestedLeave !== undefined).map(({ id }) => id);
  expect(new Set(marked)).toEqual(new Set(requests.map((own) => own.personId)));
  expect(board.rows.find(({ id }) => id === personId)?.requestedLeave).toContainEqual(range);
});

test("a public holiday is a line with its name and its days", () => {
  const [calendar] = demo.calendars;
  const isWeekday = (date: string) => ![0, 6].includes(new Date(date).getUTCDay());
  const [day] = calendar.exceptions.filter(({ hours, from }) => hours === 0 && from > demo.settings.planStart && isWeekday(from));
  const person = demo.people.find(({ calendarId, patterns }) => calendarId === calendar.id && !patterns);
  const start = parseDay(day.from) - 7;
  const cell = explainCell(buildModel(demo), person?.id ?? "", { start, stop: parseDay(day.to) + 8 });
  const line = cell?.capacityLines.find(({ kind, name }) => kind === "exception" && name === day.name);
  expect([line?.from, line?.to]).toEqual([parseDay(day.from), parseDay(day.to)]);
});

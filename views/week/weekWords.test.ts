import { expect, test } from "vitest";
import type { TimeEntry } from "../../core/plan/schema.ts";
import { cellWords, readCell } from "./weekWords.ts";

test("hours are read with a point, a comma or an h, and nothing takes them away", () => {
  expect(["7.5", "7,5", " 7.5 h", "24", "0.25"].map((text) => readCell(text)?.value)).toEqual([7.5, 7.5, 7.5, 24, 0.25]);
  expect(["", "0", " "].map(readCell)).toEqual([{ value: null }, { value: null }, { value: null }]);
  expect(["25", "-1", "eight", "0.001"].map(readCell)).toEqual([null, null, null, null]);
});

const row = (recorded: number, planned: number, states: TimeEntry["state"][], note?: string): Parameters<typeof cellWords>[0] => ({
  recorded: [recorded],
  planned: [planned],
  states: [states],
  entries: [states.map((state, at) => ({ id: String(at), personId: "p", date: "2027-02-01", hours: 1, activity: "Meeting", state, note }))],
});

test("a cell says its hours, their state and what was planned", () => {
  expect(cellWords(row(450, 480, ["submitted"]), 0)).toBe("7.5 h, submitted, 8 h planned");
  expect(cellWords(row(60, 0, ["draft", "approved"]), 0)).toBe("1 h, not submitted, approved");
  expect(cellWords(row(0, 480, []), 0)).toBe("8 h planned");
  expect(cellWords(row(0, 0, []), 0)).toBe("no hours");
  expect(cellWords(row(60, 0, ["draft"], "The van was late"), 0)).toBe("1 h, not submitted. The van was late");
});

import { expect, test } from "vitest";
import { cellWords, readCell } from "./weekWords.ts";

test("hours are read with a point, a comma or an h, and nothing takes them away", () => {
  expect(["7.5", "7,5", " 7.5 h", "24", "0.25"].map((text) => readCell(text)?.value)).toEqual([7.5, 7.5, 7.5, 24, 0.25]);
  expect(["", "0", " "].map(readCell)).toEqual([{ value: null }, { value: null }, { value: null }]);
  expect(["25", "-1", "eight", "0.001"].map(readCell)).toEqual([null, null, null, null]);
});

test("a cell says its hours, their state and what was planned", () => {
  expect(cellWords(450, 480, ["submitted"])).toBe("7.5 h, submitted, 8 h planned");
  expect(cellWords(60, 0, ["draft", "approved"])).toBe("1 h, not submitted, approved");
  expect(cellWords(0, 480, [])).toBe("8 h planned");
  expect(cellWords(0, 0, [])).toBe("no hours");
});

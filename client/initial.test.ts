import { expect, test } from "vitest";
import { dataOf, type Initial } from "./initial.ts";

test("what came as text is read once: the same answer is the same object each time it is drawn", () => {
  const came: Initial<{ hours: number }[]> = { revision: 3, sketchId: null, key: "{}", text: '[{"hours":7.5}]' };
  expect(dataOf(came)).toEqual([{ hours: 7.5 }]);
  expect(dataOf(came)).toBe(dataOf(came));
  const none: Initial<null> = { revision: 3, sketchId: null, key: "{}", text: "null" };
  expect(dataOf(none)).toBeNull();
});

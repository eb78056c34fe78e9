import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { fullyLoaded, loadAhead } from "./laterScripts.ts";
import { atRest, noteUse } from "./whenAtRest.ts";

beforeEach(() => {
  vi.useFakeTimers({ toFake: ["setTimeout", "performance"] });
  noteUse();
});
afterEach(() => void vi.useRealTimers());

test("a page is at rest once it has not been used for a while, counted from its last use", async () => {
  let isResting = false;
  void atRest().then(() => {
    isResting = true;
  });
  await vi.advanceTimersByTimeAsync(250);
  noteUse();
  await vi.advanceTimersByTimeAsync(250);
  expect(isResting).toBe(false);
  await vi.advanceTimersByTimeAsync(100);
  expect(isResting).toBe(true);
});

test("scripts are loaded one after the other, the last that was named first; one that fails keeps no other back", async () => {
  const loaded: string[] = [];
  const script = (name: string, fails = false) =>
    loadAhead(async () => {
      loaded.push(name);
      if (fails) throw new Error("no answer");
      await new Promise((resolve) => setTimeout(resolve, 50));
      loaded.push(`${name} is there`);
    });
  script("menu");
  script("away", true);
  script("sheet");
  const [one, other] = [fullyLoaded(), fullyLoaded()];
  await vi.advanceTimersByTimeAsync(1_000);
  await Promise.all([one, other]);
  expect(loaded).toEqual(["sheet", "sheet is there", "away", "menu", "menu is there"]);
  await Promise.all([fullyLoaded(), vi.advanceTimersByTimeAsync(1_000)]);
  expect(loaded).toHaveLength(5);
});

test("what is pressed meanwhile comes first: the next script waits for the page to be at rest again", async () => {
  const loaded: string[] = [];
  for (const name of ["second", "first"])
    loadAhead(async () => {
      loaded.push(name);
      noteUse();
    });
  const all = fullyLoaded();
  await vi.advanceTimersByTimeAsync(400);
  expect(loaded).toEqual(["first"]);
  await vi.advanceTimersByTimeAsync(400);
  await all;
  expect(loaded).toEqual(["first", "second"]);
});

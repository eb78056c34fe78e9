import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { atRest, noteUse } from "./atRest.ts";
import { fullyLoaded, fullyLoadedOrLate, loadAhead } from "./laterScripts.ts";

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

test("what waits for that does not wait for ever: a key may be held down, and a script may never come", async () => {
  let isDue = false;
  void fullyLoadedOrLate().then(() => {
    isDue = true;
  });
  for (let held = 0; held < 1_900; held += 100) {
    noteUse();
    await vi.advanceTimersByTimeAsync(100);
  }
  expect(isDue).toBe(false);
  await vi.advanceTimersByTimeAsync(150);
  expect(isDue).toBe(true);
  loadAhead(() => new Promise(() => undefined));
  await Promise.all([fullyLoadedOrLate(), vi.advanceTimersByTimeAsync(3_000)]);
});

// Searches in pieces: what is found first is reported at once, what waits has its turn in between, and a search that is stopped ends.
import { expect, test } from "vitest";
import { parseDay } from "../core/calendar/day.ts";
import { buildModel } from "../core/model.ts";
import { fernhollow } from "../demo/fernhollow.ts";
import { runSearch, type Search, searches } from "./searches.ts";

const model = buildModel(fernhollow());
const today = parseDay("2027-02-01");
const turn = () => new Promise<void>((resolve) => setTimeout(resolve));

/** A search of so many steps, each of which takes so long. */
function counting(steps: number, milliseconds: number): Search<number> & { done: number } {
  const search = { done: 0, steps: (function* () {})() as Iterator<unknown>, news: () => search.done };
  search.steps = (function* () {
    for (; search.done < steps; ) {
      const until = performance.now() + milliseconds;
      while (performance.now() < until);
      search.done++;
      yield;
    }
  })();
  return search;
}

test("news come after the first piece, in order, and the last one says that it is done", async () => {
  const heard: [number, boolean][] = [];
  let turns = 0;
  await runSearch(
    counting(20, 8),
    (news, isDone) => void heard.push([news, isDone]),
    () => false,
    async () => {
      turns++;
      await turn();
    },
  );
  expect(heard[0][0]).toBeLessThan(20);
  expect(heard.at(-1)).toEqual([20, true]);
  expect(heard.filter(([, isDone]) => isDone)).toHaveLength(1);
  expect(heard.map(([news]) => news)).toEqual([...heard.map(([news]) => news)].sort((a, b) => a - b));
  expect(turns).toBeGreaterThan(1);
});

test("stopped, it ends with what it has", async () => {
  const search = counting(1_000, 2);
  const heard: boolean[] = [];
  await runSearch(
    search,
    (_, isDone) => void heard.push(isDone),
    () => search.done >= 20,
    turn,
  );
  expect(search.done).toBeLessThan(1_000);
  expect(heard.at(-1)).toBe(true);
});

test("the solver is asked first, once the findings so far have been reported", async () => {
  const order: string[] = [];
  const search = { ...counting(1, 0), prepare: async () => void order.push("solver") };
  const solve = async () => {
    throw new Error("not asked here");
  };
  await runSearch(
    search,
    () => void order.push("reported"),
    () => false,
    turn,
    solve,
  );
  expect(order[0]).toBe("reported");
  expect(order.indexOf("solver")).toBe(1);
});

test("remedies of an overload are reported best first, at most as many as a list holds, as many as have been tried", async () => {
  const range = { start: parseDay("2027-02-15"), stop: parseDay("2027-02-22") };
  const search = searches.remedies(model, { problem: { about: "overload", personId: "mara", range }, today, idStem: "new" });
  const heard: { tried: number; peaks: number[] }[] = [];
  await runSearch(
    search,
    ({ tried, lines }) => void heard.push({ tried, peaks: lines.map(({ effect }) => effect.peakOver) }),
    () => false,
    turn,
  );
  for (const { tried, peaks } of heard) {
    expect(peaks.length).toBeLessThanOrEqual(Math.min(tried, 40));
    expect(peaks).toEqual([...peaks].sort((a, b) => a - b));
  }
  expect(heard.at(-1)?.tried).toBeGreaterThan(10);
});

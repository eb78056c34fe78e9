import { expect, test } from "vitest";
import { KeptAnswers } from "./keptAnswers.ts";

test("an answer is worked out once for a question and its query, and again once the plan is another one", () => {
  const kept = new KeptAnswers();
  let made = 0;
  const ask = (key: string) => kept.of("names", key, () => ++made);
  expect([ask("a"), ask("a"), ask("b"), ask("a")]).toEqual([1, 1, 2, 1]);
  expect([kept.kept("names", "b"), kept.kept("names", "c"), kept.kept("search", "b")]).toEqual([2, undefined, undefined]);
  kept.clear();
  expect(kept.kept("names", "a")).toBe(undefined);
  expect(ask("a")).toBe(3);
});

test("nothing is an answer too, and however much is asked, not all of it is kept", () => {
  const kept = new KeptAnswers();
  let made = 0;
  const ask = (key: string) =>
    kept.of("search", key, () => {
      made++;
      return null;
    });
  expect([ask("a"), ask("a")]).toEqual([null, null]);
  expect(made).toBe(1);
  for (let at = 0; at < 1_000; at++) ask(`${at}`);
  ask("a");
  expect(made).toBe(1_002);
});

test("what is to be shown until it is answered again outlives a change of the plan, the last of it", () => {
  const kept = new KeptAnswers();
  kept.keepLast("tray", "{}", 3);
  kept.clear();
  kept.keepLast("tray", "{}", 2);
  kept.clear();
  kept.clear();
  expect([kept.last("tray", "{}"), kept.last("ribbon", "{}"), kept.kept("tray", "{}")]).toEqual([2, undefined, undefined]);
});

import { expect, test } from "vitest";
import { follow, type LiveSource } from "./live.ts";
import type { Settled } from "./messages.ts";

const answer = (revision: number): Settled => ({ revision, entries: [], history: { undo: null, redo: null }, faults: [] });

/** A browser whose stream and clock are moved by hand. */
class FakeSource implements LiveSource {
  opened: number[] = [];
  closed = 0;
  asked: number[] = [];
  isDown = false;
  timers = new Map<number, { call: () => void; after: number }>();
  #next = 0;
  onHeard: (answer: Settled) => void = () => undefined;
  onAlive: () => void = () => undefined;
  open(since: number, onHeard: (answer: Settled) => void, onAlive: () => void) {
    this.opened.push(since);
    this.onHeard = onHeard;
    this.onAlive = onAlive;
    return () => {
      this.closed++;
    };
  }
  async ask(since: number) {
    this.asked.push(since);
    if (this.isDown) throw new Error("no answer");
    return answer(since + 1);
  }
  later(call: () => void, after: number) {
    const id = this.#next++;
    this.timers.set(id, { call, after });
    return () => void this.timers.delete(id);
  }
  /** Lets the one timer that is set go off. */
  async ring() {
    const [[id, { call }]] = this.timers;
    this.timers.delete(id);
    call();
    await new Promise((resolve) => setTimeout(resolve));
  }
}

test("what comes by the stream is heard, and while it lives nobody asks", () => {
  const source = new FakeSource();
  const heard: number[] = [];
  follow(
    source,
    () => 7,
    ({ revision }) => heard.push(revision),
  );
  expect(source.opened).toEqual([7]);
  source.onAlive();
  source.onHeard(answer(8));
  expect(heard).toEqual([8]);
  expect(source.asked).toEqual([]);
  expect(source.timers.size).toBe(1);
});

test("a stream that stays silent is replaced by asking, until it comes through again", async () => {
  const source = new FakeSource();
  const heard: number[] = [];
  let known = 7;
  follow(
    source,
    () => known,
    ({ revision }) => {
      known = revision;
      heard.push(revision);
    },
  );
  source.isDown = true;
  await source.ring();
  await source.ring();
  expect(source.asked).toEqual([7, 7]);
  expect(heard).toEqual([]);
  source.isDown = false;
  await source.ring();
  expect(heard).toEqual([8]);
  expect(source.opened).toEqual([7, 8]);
  expect(source.closed).toBe(1);
  source.onAlive();
  expect([...source.timers.values()].map(({ after }) => after)).toEqual([40_000]);
});

import { expect, test } from "vitest";
import { RequestRates } from "./rates.ts";
import { Turns } from "./turns.ts";

test("turns are taken in order, never more at once than there may be", async () => {
  const turns = new Turns(2);
  const began: number[] = [];
  let [now, most] = [0, 0];
  const work = async (number: number) => {
    const end = await turns.take();
    began.push(number);
    most = Math.max(most, ++now);
    await new Promise((resolve) => setTimeout(resolve, 1));
    now--;
    end();
    end();
  };
  await Promise.all(Array.from({ length: 9 }, (_, number) => work(number)));
  expect(began).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8]);
  expect(most).toBe(2);
  await work(9);
  expect(began.at(-1)).toBe(9);
});

test("whoever asks without end is stopped for a moment, and nobody else", () => {
  const rates = new RequestRates({ aSecond: 10, atOnce: 20 });
  const asked = (who: string, at: number, count: number) =>
    Array.from({ length: count }, () => rates.takes(who, at)).filter(Boolean).length;
  expect(asked("a", 0, 50)).toBe(20);
  expect(asked("b", 0, 5)).toBe(5);
  expect(asked("a", 500, 50)).toBe(5);
  expect(asked("a", 60_000, 50)).toBe(20);
});

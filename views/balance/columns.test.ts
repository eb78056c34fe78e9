import fc from "fast-check";
import { expect, test } from "vitest";
import type { Bar } from "../../core/load/bars.ts";
import { barsHeight, columnOf, LANE_HEIGHT, lanesOf } from "./columns.ts";

const periods = [0, 7, 14, 21].map((start) => ({ start, stop: start + 7 }));

test("a day is in its column in proportion, and days outside are at the edges", () => {
  expect([0, 3.5, 7, 17.5].map((day) => columnOf(day, periods))).toEqual([0, 0.5, 1, 2.5]);
  expect([-5, 28, 99].map((day) => columnOf(day, periods))).toEqual([0, 4, 4]);
});

test("always: bars in one lane do not overlap, and there are as few lanes as bars on one day", () => {
  const spans = fc.array(fc.tuple(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 1, max: 12 })), { maxLength: 14 });
  fc.assert(
    fc.property(spans, (made) => {
      const bars = made.map(([start, length]) => ({ start, stop: start + length }) as Bar).sort((a, b) => a.start - b.start);
      const { lanes, count } = lanesOf(bars);
      bars.forEach((bar, at) => {
        for (let other = 0; other < at; other++) if (lanes[other] === lanes[at]) expect(bars[other].stop).toBeLessThanOrEqual(bar.start);
      });
      const onDay = (day: number) => bars.filter(({ start, stop }) => start <= day && day < stop).length;
      expect(count).toBe(Math.max(0, ...bars.map(({ start }) => onDay(start))));
      expect(barsHeight(bars) % LANE_HEIGHT).toBe(barsHeight([]) % LANE_HEIGHT);
    }),
  );
});

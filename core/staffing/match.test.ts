// Candidates for openings, giving openings away, and who is free when.
import fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { tangledPlan } from "../../tests/randomPlan.ts";
import { freeWhen } from "../answers/freeWhen.ts";
import { candidatesOf, openingRows } from "../answers/openings.ts";
import { formatDay, parseDay } from "../calendar/day.ts";
import { applyEdit } from "../edits/edit.ts";
import { defaultCounting } from "../load/counting.ts";
import { buildModel, type Model } from "../model.ts";
import { type FillQuery, fillOpening } from "./fillOpening.ts";
import { candidatesFor, openingRow } from "./match.ts";

const model = buildModel(fernhollow());

function filled(query: FillQuery, from: Model = model): Model {
  const edits = fillOpening(from, query);
  const outcome = edits && applyEdit(from.plan, { kind: "together", words: "give", edits });
  if (!outcome?.plan) throw new Error(JSON.stringify(outcome?.faults ?? "no edit"));
  return buildModel(outcome.plan);
}

const askedOf = ({ plan, placements, work }: Model, taskId: string) => {
  const task = plan.tasks.findIndex(({ id }) => id === taskId);
  let [people, open] = [0, 0];
  for (let row = 0; row < work.rows; row++) {
    if (work.task[row] !== task || work.isMaterial[row] === 1) continue;
    if (work.person[row] >= 0) people += placements.asked[row];
    else open += placements.asked[row];
  }
  return { people, open };
};

test("openings are by start, and one that needs a rare skill has one candidate who has it, and is busy", () => {
  const rows = openingRows(model, defaultCounting);
  expect(rows.map(({ id }) => id)).toEqual(["tank-open", "slowlight-neon", "tidepool-braille"]);
  expect(openingRows(model, { pencilled: true, pipeline: "full" }).length).toBeGreaterThan(rows.length);
  const neon = candidatesOf(model, "slowlight-neon");
  expect(neon?.opening.skills).toEqual([{ skillId: "neon", name: "Neon bending", level: 4 }]);
  expect(neon?.fitting.map(({ name }) => name)).toEqual(["Ines Valtonen"]);
  expect(neon?.fitting[0].cover).toBeLessThan(10_000);
  expect(neon?.near[0].missing[0]).toMatchObject({ name: "Neon bending" });
});

test("always: those who have everything come first, each group by cover, fit, cost and name; cover is what fits by day", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
      const made = buildModel(tangledPlan(seed));
      for (const { id } of openingRows(made, defaultCounting).slice(0, 4)) {
        const list = candidatesFor(made, openingRow(made, id));
        expect(list).toHaveLength(made.plan.people.length);
        list.slice(1).forEach((own, at) => {
          const before = list[at];
          const same = Math.sign(own.missing.length) === Math.sign(before.missing.length);
          expect(own.missing.length > 0 || before.missing.length === 0).toBe(true);
          if (same) expect([before.cover >= own.cover, before.cover > own.cover || before.fit >= own.fit]).toEqual([true, true]);
        });
        for (const { cover } of list) expect(cover >= 0 && cover <= 10_000).toBe(true);
      }
    }),
    { numRuns: 20 },
  );
});

test("all of an opening goes to one person, pencilled or not; a part leaves the rest open", () => {
  const before = askedOf(model, "tidepool-cases");
  const whole = filled({ openingId: "tank-open", shares: [{ personId: "rui" }], isPencilled: true, idStem: "x" });
  expect(askedOf(whole, "tidepool-cases")).toEqual({ people: before.people + before.open, open: 0 });
  expect(whole.plan.assignments.find(({ id }) => id === "tank-open")).toMatchObject({ personId: "rui", firmness: "pencilled" });
  const part = filled({ openingId: "tank-open", shares: [{ personId: "rui", hours: 15 }], isPencilled: false, idStem: "x" });
  expect(askedOf(part, "tidepool-cases")).toEqual({ people: before.people + 15 * 60, open: 25 * 60 });
});

test("split between two, the second takes what the first leaves; up to a day, what falls on the days before", () => {
  const two = filled({
    openingId: "tank-open",
    shares: [{ personId: "rui", hours: 16 }, { personId: "kaspar" }],
    isPencilled: false,
    idStem: "x",
  });
  const hours = (id: string) => two.plan.assignments.find((own) => own.taskId === "tidepool-cases" && own.personId === id)?.hours;
  expect([hours("rui"), hours("kaspar"), askedOf(two, "tidepool-cases").open]).toEqual([16, 24, 0]);
  const early = filled({ openingId: "tank-open", shares: [{ personId: "rui", until: "2027-03-05" }], isPencilled: false, idStem: "x" });
  const own = early.plan.assignments.find(({ id }) => id === "x-1");
  expect(own?.to).toBe("2027-03-05");
  const rest = early.plan.assignments.find(({ id }) => id === "tank-open");
  expect(rest?.from).toBe("2027-03-06");
  expect((own?.hours ?? 0) + (rest?.hours ?? 0)).toBe(40);
});

test("the rest of an effort is given away without being recorded as an opening first", () => {
  const before = askedOf(model, "slowlight-neon");
  const next = filled({ openingId: "slowlight-neon", shares: [{ personId: "ines", hours: 10 }], isPencilled: false, idStem: "x" });
  expect(askedOf(next, "slowlight-neon")).toEqual({ people: before.people + 600, open: before.open - 600 });
  expect(
    fillOpening(model, { openingId: "slowlight-neon", shares: [{ personId: "ines", hours: 900 }], isPencilled: false, idStem: "x" }),
  ).toBeNull();
  expect(fillOpening(model, { openingId: "nothing", shares: [{ personId: "ines" }], isPencilled: false, idStem: "x" })).toBeNull();
});

test("always: giving away leaves what a task asks for as it was, to the minute of rounding", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1e6 }), fc.integer({ min: 1, max: 99 }), (seed, percent) => {
      const made = buildModel(tangledPlan(seed));
      for (const { id, taskId, minutes } of openingRows(made, defaultCounting).slice(0, 3)) {
        const hours = Math.round((minutes * percent) / 60) / 100;
        const query = { openingId: id, shares: [{ personId: "p1", hours }, { personId: "p2" }], isPencilled: false, idStem: "x" };
        if (hours <= 0 || !fillOpening(made, query)) continue;
        const [was, is] = [askedOf(made, taskId), askedOf(filled(query, made), taskId)];
        expect(Math.abs(was.people + was.open - is.people - is.open), id).toBeLessThanOrEqual(2);
      }
    }),
    { numRuns: 25 },
  );
});

test("who is free: now, or from the first day on which as long a stretch has the room", () => {
  const query = { roleId: "fabricator", skills: [], minutes: 40 * 60, from: parseDay("2027-02-08"), until: parseDay("2027-02-19") };
  const list = freeWhen(model, query);
  expect(list.every(({ room, from }) => room < query.minutes || from !== null)).toBe(true);
  const mara = list.find(({ personId }) => personId === "mara");
  expect(mara?.room).toBeLessThan(query.minutes);
  expect(mara?.from).toBeGreaterThan(query.from);
  const later = freeWhen(model, { ...query, from: mara?.from as number, until: (mara?.from as number) + 11 });
  expect(later.find(({ personId }) => personId === "mara")?.room, formatDay(mara?.from as number)).toBeGreaterThanOrEqual(query.minutes);
  expect(freeWhen(model, { ...query, skills: [{ skillId: "neon", level: 4 }] })).toEqual([]);
});

// Ways out for hours that nobody can work, and for deadlines that are missed.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { plainMeasures } from "../../tests/plainMeasures.ts";
import { formatDay, parseDay } from "../calendar/day.ts";
import { applyEdit } from "../edits/edit.ts";
import { togetherOf } from "../edits/together.ts";
import { buildModel, type Model } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { scheduleReport } from "../reports/schedule.ts";
import { compareByMissed, searchForDeadline } from "./deadline.ts";
import { compareForLeave, searchForLeave } from "./leave.ts";
import { compareByUnplaced, searchForUnplaced } from "./unplaced.ts";

const demo = buildModel(fernhollow());
const options = { today: parseDay("2027-02-01"), idStem: "new" };
const before = plainMeasures(demo.plan);

const after = (model: Model, edits: Parameters<typeof togetherOf>[0]) => applyEdit(model.plan, togetherOf(edits, "way out")).plan as Plan;
const found = <T>(steps: Iterable<T | null>): T[] => [...steps].filter((own): own is T => own !== null);

test.each(["rockpools-yara", "rockpools-clara", "standing-upkeep-sade"])(
  "hours of %s that nobody can work find a place, as many as is said",
  (assignmentId) => {
    const ways = found(searchForUnplaced(demo, assignmentId, options));
    expect(ways.length).toBeGreaterThan(0);
    for (const { edits, effect, kind } of ways) {
      const plain = plainMeasures(after(demo, edits));
      expect([plain.unplaced - before.unplaced, plain.peakOver - before.peakOver], kind).toEqual([effect.unplaced, effect.peakOver]);
      expect(effect.unplaced, kind).toBeLessThan(0);
    }
    const [best] = [...ways].sort(compareByUnplaced);
    expect(best.effect.unplaced).toBe(Math.min(...ways.map(({ effect }) => effect.unplaced)));
  },
);

test("work that is planned before a person joins goes to others, later, or to a contractor until then", () => {
  const kinds = new Set(found(searchForUnplaced(demo, "rockpools-yara", options)).map(({ kind }) => kind));
  for (const kind of ["give", "postpone"] as const) expect(kinds, kind).toContain(kind);
  const leaving = new Set(found(searchForUnplaced(demo, "standing-upkeep-sade", options)).map(({ kind }) => kind));
  for (const kind of ["handOver"] as const) expect(leaving, kind).toContain(kind);
});

test("a missed deadline is met by fewer days for what decides it, and the report says so", () => {
  const missedBy = (plan: Plan) => scheduleReport(buildModel(plan)).conflicts.find(({ taskId }) => taskId === "rivers-opening")?.ticks ?? 0;
  const ways = found(searchForDeadline(demo, { taskId: "rivers-opening" }, options)).sort(compareByMissed);
  expect(ways.length).toBeGreaterThan(3);
  for (const { edits, left, kind } of ways) {
    expect(missedBy(after(demo, edits)), kind).toBe(left);
    expect(left).toBeLessThan(missedBy(demo.plan));
  }
  expect(ways.map(({ left }) => left)).toEqual([...ways.map(({ left }) => left)].sort((a, b) => a - b));
  const touched = ways.flatMap(({ edits }) => edits.flatMap((edit) => (edit.kind === "changeTask" ? [edit.id] : [])));
  expect(touched).toContain("rivers-objectsin");
  // Finished work is not an option.
  expect(touched).not.toContain("rivers-drawings");
});

test("a pinned task that misses its deadline is moved up as far as its links let it, and breaks none", () => {
  const pin = { sizing: "dates", durationDays: null, start: "2027-04-12", finish: "2027-04-13" } as const;
  const model = buildModel(after(demo, [{ kind: "changeTask", id: "rivers-opening", set: pin }]));
  const conflictsIn = (plan: Plan) => scheduleReport(buildModel(plan)).conflicts;
  const ways = found(searchForDeadline(model, { taskId: "rivers-opening" }, options)).sort(compareByMissed);
  const moved = ways.filter(({ steps }) => steps.length === 1 && steps[0].taskId === "rivers-opening");
  expect(moved.map(({ kind }) => kind)).toEqual(["delay", "delay"]);
  for (const { edits, left } of moved) {
    const conflicts = conflictsIn(after(model, edits));
    expect(conflicts.filter(({ kind, taskId }) => kind === "link" && taskId === "rivers-opening")).toEqual([]);
    expect(conflicts.find(({ kind, taskId }) => kind === "deadline" && taskId === "rivers-opening")?.ticks ?? 0).toBe(left);
  }
  // A working day earlier than the earlier of the two would start before what it waits for has finished.
  const [first] = moved[0].edits;
  const earliest = first.kind === "changeTask" ? (first.set.start as string) : "";
  const dayBefore = formatDay(parseDay(earliest) - 1);
  const tooEarly = after(model, [{ kind: "changeTask", id: "rivers-opening", set: { start: dayBefore } }]);
  expect(conflictsIn(tooEarly).some(({ kind, taskId }) => kind === "link" && taskId === "rivers-opening")).toBe(true);
});

test("where no single way keeps a deadline, two or three together are reported", () => {
  const tight = after(demo, [{ kind: "changeTask", id: "rivers-opening", set: { deadline: "2027-03-01" } }]);
  const model = buildModel(tight);
  const ways = found(searchForDeadline(model, { taskId: "rivers-opening" }, options)).sort(compareByMissed);
  const missedBy = (plan: Plan) => scheduleReport(buildModel(plan)).conflicts.find(({ taskId }) => taskId === "rivers-opening")?.ticks ?? 0;
  expect(ways.filter(({ steps }) => steps.length === 1).every(({ left }) => left > 0)).toBe(true);
  expect(ways[0].steps.length).toBeGreaterThan(1);
  for (const { edits, left } of ways) expect(missedBy(after(model, edits))).toBe(left);
});

test("leave that work clashes with is approved together with what makes room for it, each measured as one", () => {
  const ways = found(searchForLeave(demo, { personId: "bo", timeOffId: "bo-1" }, options)).sort(compareForLeave);
  const together = ways.filter(({ steps }) => steps.length > 1);
  expect(together.length).toBeGreaterThan(1);
  for (const { edits, effect } of together) {
    const plan = after(demo, edits);
    expect(plan.people.find(({ id }) => id === "bo")?.timeOff?.find(({ id }) => id === "bo-1")?.state).toBe("approved");
    const plain = plainMeasures(plan);
    expect([plain.peakOver - before.peakOver, plain.unplaced - before.unplaced]).toEqual([effect.peakOver, effect.unplaced]);
  }
  expect(ways[ways.length - 1].edits[0]).toMatchObject({ kind: "answerTimeOff", state: "declined" });
  expect(found(searchForLeave(demo, { personId: "bo", timeOffId: "none" }, options))).toEqual([]);
});

test("nothing comes for hours that are placed, or a deadline that is kept", () => {
  expect([...searchForUnplaced(demo, "rockpools-mara", options)]).toEqual([]);
  expect([...searchForUnplaced(demo, "nothing", options)]).toEqual([]);
  expect([...searchForDeadline(demo, { projectId: "tidepool" }, options)]).toEqual([]);
  expect([...searchForDeadline(demo, { taskId: "nothing" }, options)]).toEqual([]);
});

import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { tangledPlan } from "../../tests/randomPlan.ts";
import { todayAnswer } from "../answers/today.ts";
import { parseDay } from "../calendar/day.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { buildModel } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { loadReport } from "../reports/load.ts";
import { type AttentionKind, attentionKinds } from "../signals/kinds.ts";
import { attentionOf } from "./attention.ts";

const demo = fernhollow();
const today = parseDay("2027-02-01");
const signals = attentionOf(buildModel(demo), today);
const ofKind = (kind: AttentionKind, list = signals) => list.filter((own) => own.kind === kind);

const after = (...edits: Edit[]) => edits.reduce((plan, edit) => applyEdit(plan, edit).plan as Plan, demo);

test("the demo plan's situations are all reported", () => {
  const reported = new Set(signals.map(({ kind }) => kind));
  for (const kind of [
    "over",
    "badDay",
    "unbalancedRole",
    "leaveClash",
    "notYetHere",
    "gone",
    "openingSoon",
    "noPerson",
    "noEstimate",
    "noDates",
  ] as const)
    expect(reported, kind).toContain(kind);
  for (const kind of ["missedDeadline", "cannotHold", "missingRate", "thinMargin"] as const) expect(reported, kind).toContain(kind);
});

test("who is over is reported with the hours of the report, worst first", () => {
  const range = { start: today, stop: today + 28 };
  const { people } = loadReport(buildModel(demo), { range, grain: "week" }, { pencilled: true, pipeline: "none" });
  const over = people.flatMap(({ id, over: weeks, state }) => {
    const minutes = weeks.reduce((sum, own, week) => sum + (state[week] === "over" ? own : 0), 0);
    return minutes > 0 ? [[id, minutes]] : [];
  });
  const reported = ofKind("over").map(({ personId, minutes }) => [personId, minutes]);
  expect(new Map(reported as [string, number][])).toEqual(new Map(over as [string, number][]));
  const figures = reported.map(([, minutes]) => minutes as number);
  expect(figures).toEqual([...figures].sort((a, b) => b - a));
});

test("always: signals have a key of their own, come worst first, and name what there is, on made-up plans", () => {
  for (let seed = 1; seed <= 12; seed++) {
    const plan = tangledPlan(seed);
    const list = attentionOf(buildModel(plan), parseDay("2027-03-01"));
    expect(new Set(list.map(({ key }) => key)).size).toBe(list.length);
    expect(list.map(({ weight }) => weight)).toEqual([...list.map(({ weight }) => weight)].sort((a, b) => b - a));
    for (const { personId, taskId, projectId, kind } of list) {
      expect(attentionKinds[kind]).toBeDefined();
      if (personId) expect(plan.people.some(({ id }) => id === personId)).toBe(true);
      if (taskId) expect(plan.tasks.some(({ id }) => id === taskId)).toBe(true);
      if (projectId) expect(plan.projects.some(({ id }) => id === projectId)).toBe(true);
    }
  }
});

test("a kind that is switched off is not reported, and one with a threshold from there on", () => {
  const reported = (attention: NonNullable<Plan["settings"]["attention"]>) =>
    attentionOf(buildModel({ ...demo, settings: { ...demo.settings, attention } }), today);
  expect(ofKind("over", reported([{ kind: "over", isOff: true }]))).toEqual([]);
  expect(ofKind("over", reported([{ kind: "over", least: 5 }])).map(({ personId }) => personId)).toEqual(["mara", "ines", "amadou"]);
  // Bad days are reported from one hour on unless the settings say otherwise.
  expect(ofKind("badDay").every(({ minutes = 0 }) => minutes >= 60)).toBe(true);
  expect(ofKind("badDay", reported([{ kind: "badDay", least: 0 }])).length).toBeGreaterThan(ofKind("badDay").length);
  const [margin] = ofKind("thinMargin", reported([{ kind: "thinMargin", least: 1 }]));
  expect((margin.goal ?? 0) - (margin.share ?? 0)).toBeGreaterThanOrEqual(100);
  expect(margin.projectId).toBe("seedvault");
});

test("a snoozed signal waits until its day, and is reported again from then on", () => {
  const snooze = { id: "s", signal: "over mara", until: "2027-02-08", reason: "Known" };
  const plan = after({ kind: "snoozeSignal", snooze });
  const at = (day: string) => todayAnswer(buildModel({ ...plan, settings: { ...plan.settings, today: day } }), 0);
  expect(at("2027-02-01").snoozed.map(({ signal }) => signal.key)).toEqual(["over mara"]);
  expect(at("2027-02-01").signals.some(({ key }) => key === "over mara")).toBe(false);
  expect(at("2027-02-08").signals.some(({ key }) => key === "over mara")).toBe(true);
});

test("an overload that is accepted is no signal, and neither is one that was put right", () => {
  const acceptance = { id: "a", personId: "liis", from: "2027-02-22", to: "2027-02-28", reason: "Known" };
  const keys = (plan: Plan) => attentionOf(buildModel(plan), today).map(({ key }) => key);
  expect(keys(demo)).toContain("over liis");
  expect(keys(after({ kind: "acceptOverload", acceptance }))).not.toContain("over liis");
  expect(keys(after({ kind: "reassign", id: "rockpools-mara", personId: "rui" }))).not.toContain("over mara");
});

test("twelve weeks of capacity against demand are the report's, and an empty plan wants nothing", () => {
  const answer = todayAnswer(buildModel(demo), 0);
  const range = { start: today, stop: today + 84 };
  const { people, openings } = loadReport(buildModel(demo), { range, grain: "week" }, { pencilled: true, pipeline: "none" });
  expect(openings.length).toBeGreaterThan(0);
  answer.weeks.forEach(({ capacity, assigned }, week) => {
    expect(capacity).toBe(people.reduce((sum, own) => sum + own.capacity[week], 0));
    expect(assigned).toBe(people.reduce((sum, own) => sum + own.load[week], 0));
  });
  const empty: Plan = { ...demo, tasks: [], links: [], assignments: [], expenses: [], requests: [], comments: [] };
  const quiet = {
    ...empty,
    people: demo.people.map(({ timeOff: _, ...person }) => person),
    projects: empty.projects.map(({ deadline: _, ...own }) => own),
  };
  expect(todayAnswer(buildModel(quiet), 0).signals).toEqual([]);
});

test("weeks are whole no matter which day it is, and the hours are those of the weekly report", () => {
  const thursday = today + 3;
  const range = { start: today, stop: today + 28 };
  const { people } = loadReport(buildModel(demo), { range, grain: "week" }, { pencilled: true, pipeline: "none" });
  const over = new Map(people.map(({ id, over: weeks, state }) => [id, weeks.map((own, week) => (state[week] === "over" ? own : 0))]));
  for (const { personId = "", minutes } of ofKind("over", attentionOf(buildModel(demo), thursday)))
    expect(minutes, personId).toBe(over.get(personId)?.reduce((sum, own) => sum + own, 0));
});

test("always: nobody is over and nearly idle at once, nor idle while on leave, and a task is listed once for what it lacks", () => {
  const short: readonly AttentionKind[] = ["noDates", "noPerson", "noEstimate", "noRole"];
  const dated: readonly AttentionKind[] = ["missedDeadline", "cannotHold"];
  for (let seed = 1; seed <= 25; seed++) {
    const plan = tangledPlan(seed);
    const list = attentionOf(buildModel(plan), parseDay("2027-03-03"));
    const overloaded = new Set(list.filter(({ kind }) => kind === "over" || kind === "badDay").map(({ personId }) => personId));
    for (const { id } of list.flatMap(({ others = [], kind }) => (kind === "unbalancedRole" ? others : [])))
      expect(overloaded.has(id), `seed ${seed}`).toBe(false);
    for (const kinds of [short, dated]) {
      const tasks = list.filter(({ kind, taskId }) => kinds.includes(kind) && taskId !== undefined).map(({ taskId }) => taskId);
      expect(new Set(tasks).size, `seed ${seed}`).toBe(tasks.length);
    }
  }
  const away = ofKind("unbalancedRole")[0].others?.[0].id ?? "";
  const leave = { id: "long", from: "2027-02-01", to: "2027-02-21", kind: "holiday" as const, state: "approved" as const };
  const onLeave = attentionOf(buildModel(after({ kind: "setTimeOff", personId: away, timeOff: leave })), today);
  expect(ofKind("unbalancedRole", onLeave).some(({ others = [] }) => others.some(({ id }) => id === away))).toBe(false);
});

test("of one kind as many are listed as are looked through, the rest are counted; the whole list has them all", () => {
  const plan = { ...demo, tasks: [...demo.tasks], projects: [...demo.projects] };
  const project = demo.projects.find(({ stage }) => stage === "active") ?? demo.projects[0];
  for (let at = 0; at < 70; at++) {
    plan.projects.push({ ...project, id: `bare-${at}`, name: `Bare ${at}` });
    plan.tasks.push({ id: `bare-${at}`, projectId: `bare-${at}`, name: "Not thought about yet" });
  }
  const model = buildModel(plan);
  const bare = ({ signals }: ReturnType<typeof todayAnswer>) => signals.filter(({ kind }) => kind === "noDates").length;
  const [short, whole] = [todayAnswer(model, 0), todayAnswer(model, 0, true)];
  expect(bare(short)).toBe(50);
  expect(bare(whole)).toBe(short.counts.noDates);
  expect(bare(whole)).toBeGreaterThanOrEqual(70);
});

// The options that bring a start forward, against the plan with each in it, built again.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { soonerAnswer, startWithAnswer } from "../answers/earliest.ts";
import { parseDay } from "../calendar/day.ts";
import { applyEdit } from "../edits/edit.ts";
import { buildModel } from "../model.ts";
import { earliestStarts } from "./earliest.ts";
import { helpEdits } from "./helps.ts";
import { firstStart, soonerWays } from "./sooner.ts";

const plan = fernhollow();
const model = buildModel(plan);
const limits = { from: parseDay("2027-02-01"), tolerance: 0 };
const rowOf = (id: string) => plan.projects.findIndex((own) => own.id === id);

test("the first start is the first week of the curve that fits", () => {
  for (const id of ["lamps", "seedvault", "feather"])
    for (const tolerance of [0, 6_000, 1e9]) {
      const plain = [...earliestStarts(model, rowOf(id))].find(({ start, shortage }) => start >= limits.from && shortage <= tolerance);
      expect(firstStart(model, rowOf(id), { ...limits, tolerance }), `${id} ${tolerance}`).toEqual(plain ?? null);
    }
});

test("each way is measured by the plan with it; the roles are those that keep it, and some way helps", () => {
  let sooner = 0;
  for (const projectId of ["lamps", "seedvault", "feather"]) {
    const now = firstStart(model, rowOf(projectId), limits);
    const ways = soonerAnswer(model, { of: { projectId }, ...limits });
    const binding = new Set(
      [...earliestStarts(model, rowOf(projectId))].flatMap(({ binds }) => (binds ? [plan.roles[binds.role].id] : [])),
    );
    for (const { name, ...way } of ways) {
      expect(name).not.toBe("");
      expect(binding.has(way.target.key)).toBe(true);
      const outcome = applyEdit(plan, { kind: "together", words: "try", edits: helpEdits(model, way.target, way.help, "tried") });
      if (!outcome.plan) throw new Error(JSON.stringify(outcome.faults));
      const plain = firstStart(buildModel(outcome.plan), rowOf(projectId), limits);
      const { first } = startWithAnswer(model, { of: { projectId }, way, ...limits });
      expect(first, JSON.stringify(way)).toEqual(plain && { start: plain.start, finish: plain.finish, shortage: plain.shortage });
      if (first && now && first.start < now.start) sooner++;
    }
  }
  expect(sooner).toBeGreaterThan(0);
});

test("nothing is tried where a project fits at once, or is not there; an enquiry is tried as the project it would be", () => {
  expect(soonerWays(model, rowOf("lamps"), { ...limits, tolerance: 1e9 })).toEqual([]);
  expect(soonerAnswer(model, { of: { projectId: "nothing" }, ...limits })).toEqual([]);
  const enquiry = { enquiryId: "enquiry-mill", today: "2027-02-01" };
  for (const { name: _, ...way } of soonerAnswer(model, { of: { enquiry }, ...limits }))
    expect(startWithAnswer(model, { of: { enquiry }, way, ...limits })).toHaveProperty("first");
  expect(model.plan).toEqual(plan);
});

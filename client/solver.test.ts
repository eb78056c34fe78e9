// Proposals with the real solver: rules hold, nothing quick is better, and what is proposed can be taken.
import { expect, test } from "vitest";
import { openingRows } from "../core/answers/openings.ts";
import { trayOf } from "../core/answers/tray.ts";
import { applyEdit } from "../core/edits/edit.ts";
import { defaultCounting } from "../core/load/counting.ts";
import { buildModel } from "../core/model.ts";
import { quickProposal } from "../core/staffing/greedy.ts";
import { type Problem, problemOf, worthOf } from "../core/staffing/problem.ts";
import { bestProposal } from "../core/staffing/program.ts";
import { propose } from "../core/staffing/proposal.ts";
import { fernhollow } from "../demo/fernhollow.ts";
import { largePlan } from "../demo/large.ts";
import { solveProgram } from "./solver.ts";

/** Every gift within its need, one person an opening, nobody past their room of a week. */
function expectSound({ openings, options, room }: Problem, gifts: Awaited<ReturnType<typeof bestProposal>>): void {
  const used = room.map((weeks) => new Int32Array(weeks.length));
  const given = new Set<number>();
  for (const { option, minutes } of gifts ?? []) {
    const { opening, person } = options[option];
    expect(given.has(opening)).toBe(false);
    given.add(opening);
    openings[opening].needs.forEach(({ week, minutes: need }, at) => {
      expect(minutes[at]).toBeLessThanOrEqual(need);
      used[person][week] += minutes[at];
    });
  }
  used.forEach((weeks, person) => {
    weeks.forEach((minutes, week) => {
      expect(minutes).toBeLessThanOrEqual(room[person][week] + 1);
    });
  });
}

test.each([1, 2, 3])(
  "on a seeded plan the solver covers at least what a quick proposal does, and both keep the rules (seed %i)",
  async (seed) => {
    const model = buildModel(largePlan({ people: 24, projects: 6, tasks: 60, assignments: 300, links: 20 }, seed));
    const ids = openingRows(model, defaultCounting).map(({ id }) => id);
    const problem = problemOf(model, ids);
    const [quick, best] = [quickProposal(problem), await bestProposal(problem, solveProgram)];
    expectSound(problem, quick);
    expectSound(problem, best);
    expect(ids.length).toBeGreaterThan(5);
    // Whole minutes are taken of what the solver gives: one a week may be lost.
    const lost = problem.openings.reduce((sum, { needs }) => sum + needs.length, 0);
    expect(worthOf(problem, best ?? []).covered).toBeGreaterThanOrEqual(worthOf(problem, quick).covered - lost);
  },
);

test("the demo plan's proposal is one edit that empties the tray of what it takes", async () => {
  const model = buildModel(fernhollow());
  const ids = openingRows(model, defaultCounting).map(({ id }) => id);
  const proposal = await propose(model, ids, solveProgram, "x");
  expect(proposal.lines.find(({ openingId }) => openingId === "slowlight-neon")?.name).toBe("Ines Valtonen");
  const outcome = applyEdit(model.plan, { kind: "together", words: "take it", edits: proposal.lines.flatMap(({ edits }) => edits) });
  if (!outcome.plan) throw new Error(JSON.stringify(outcome.faults));
  const next = buildModel(outcome.plan);
  const open = (from: typeof model) => trayOf(from).items.reduce((sum, { kind, minutes }) => sum + (kind === "opening" ? minutes : 0), 0);
  expect(Math.abs(open(model) - open(next) - proposal.covered)).toBeLessThanOrEqual(3);
});

test("without a solution in time the quick proposal stands", async () => {
  const model = buildModel(fernhollow());
  const proposal = await propose(model, ["tank-open"], async () => null, "x");
  expect(proposal.isBest).toBe(false);
  expect(proposal.lines).toHaveLength(1);
});

// The thread that answers questions: each answer is about the newest plan.
import { join } from "node:path";
import { afterEach, expect, test } from "vitest";
import type { Question } from "../client/questions.ts";
import { answer } from "../client/redacted.ts";
import type { Change } from "../core/edits/change.ts";
import { applyEdit } from "../core/edits/edit.ts";
import { buildModel } from "../core/model.ts";
import { FULL_ACCESS } from "../core/plan/moneySides.ts";
import { movesOf } from "../core/schedule/moves.ts";
import { fernhollow } from "../demo/fernhollow.ts";
import { randomFrom } from "../demo/random.ts";
import { everyEditFrom } from "../tests/everyEdit.ts";
import { Reader } from "./reader.ts";

const script = join(import.meta.dirname, "../dist/reader.mjs");
const range = { start: 20_850, stop: 20_906 };
const readers: Reader[] = [];
afterEach(async () => {
  await Promise.all(readers.splice(0).map((reader) => reader.end()));
});

/** A plan that is edited, and its reader. @param kept How many revisions of changes are kept; an older reader gets the whole plan. */
function fixture(kept = Number.POSITIVE_INFINITY) {
  const state = { plan: fernhollow(), revision: 1, log: [] as { revision: number; changes: Change[] }[] };
  const reader = new Reader(
    {
      snapshot: () => state,
      changesSince: (revision) =>
        state.revision - revision > kept ? null : state.log.filter((own) => own.revision > revision).flatMap(({ changes }) => changes),
    },
    script,
  );
  readers.push(reader);
  const edit = (own: Parameters<typeof applyEdit>[1]) => {
    const outcome = applyEdit(state.plan, own);
    if (!outcome.plan) return;
    state.plan = outcome.plan;
    state.revision++;
    state.log.push({ revision: state.revision, changes: outcome.changes });
  };
  return { state, reader, edit };
}

const ask = (question: Question, query: object, isText = false) =>
  ({ kind: "ask", sketchId: null, question, query, access: FULL_ACCESS, isText }) as const;

test.each([1, 2, 3])("always: each answer is about the newest plan, in any order of questions and edits (seed %i)", async (seed) => {
  const { state, reader, edit } = fixture(seed === 3 ? 2 : undefined);
  const random = randomFrom(seed);
  const next = everyEditFrom(seed);
  const questions: [Question, object][] = [
    ["roster", { range, grain: "week" }],
    ["portfolio", {}],
    ["tray", {}],
    ["ribbon", { clock: 20_850 }],
  ];
  for (let step = 0; step < 12; step++) {
    for (let edits = random.below(4); edits > 0; edits--) edit(next(state.plan));
    const [question, query] = random.pick(questions);
    const { revision, data } = await reader.ask(ask(question, query));
    expect(revision).toBe(state.revision);
    expect(data, `${question}, step ${step}`).toEqual(answer(buildModel(state.plan), question, query as never, FULL_ACCESS));
  }
});

test("text is the answer as JSON; a failed question is rejected, and the next one is answered", async () => {
  const { state, reader } = fixture();
  const { data } = await reader.ask(ask("portfolio", {}, true));
  expect(JSON.parse(String(data))).toEqual(JSON.parse(JSON.stringify(answer(buildModel(state.plan), "portfolio", {}, FULL_ACCESS))));
  await expect(reader.ask(ask("nothing of that name" as Question, {}))).rejects.toThrow();
  expect((await reader.ask({ kind: "feed", of: "nothing", id: "x" })).data).toMatch(/There is no feed "nothing"/);
});

test("two plans are compared apart from the newest one, and a thread that has ended is started again", async () => {
  const { state, reader, edit } = fixture();
  const before = state.plan;
  edit({ kind: "changeTask", id: "tidepool-cases", set: { staggerDays: 3 } });
  const moved = await reader.ask({ kind: "moved", before: JSON.stringify(before), after: JSON.stringify(state.plan) });
  expect(moved.data).toEqual(movesOf(buildModel(before), buildModel(state.plan)));
  await reader.end();
  const { data } = await reader.ask(ask("tray", {}));
  expect(data).toEqual(answer(buildModel(state.plan), "tray", {}, FULL_ACCESS));
});

// Answers questions about the newest plan in its own thread, so that a long answer delays no edit and no other request.
import { parentPort } from "node:worker_threads";
import { KeptAnswers } from "../client/keptAnswers.ts";
import { ofPlanItself } from "../client/questions.ts";
import { answer } from "../client/redacted.ts";
import { causesOf } from "../core/causes/causes.ts";
import { applyChanges } from "../core/edits/change.ts";
import type { Model } from "../core/model.ts";
import { movesOf } from "../core/schedule/moves.ts";
import { modelUnder } from "../core/sketch/sketch.ts";
import { updateModel } from "../core/update/update.ts";
import { messageOf } from "../core/values/errors.ts";
import { writeCsv } from "../interchange/csv.ts";
import { boardTable } from "../views/balance/boardTable.ts";
import { findFeed } from "./feedKinds.ts";
import { modelOf } from "./planModel.ts";
import type { PlanOrder, ReaderOrder, ReaderQuestion } from "./readerOrders.ts";

/** The newest plan with all that follows from it, and the answers that were given about it, by sketch. */
interface Newest {
  revision: number;
  model: Model;
  answers: Map<string | null, KeptAnswers>;
}

let newest: Newest | null = null;

function follow(order: PlanOrder): void {
  if (order.kind === "plan") newest = { revision: order.revision, model: modelOf(order.text), answers: new Map() };
  else if (newest) {
    const model = updateModel(newest.model, applyChanges(newest.model.plan, order.changes), order.changes);
    newest = { revision: order.revision, model, answers: new Map() };
  }
}

function resultOf(order: ReaderQuestion): unknown {
  if (order.kind === "moved") return movesOf(modelOf(order.before), modelOf(order.after));
  if (!newest) throw new Error("There is no plan yet.");
  if (order.kind === "causes") return order.revision === newest.revision ? causesOf(newest.model, order.steps, order.subject) : null;
  if (order.kind === "boardFile") return boardFile(newest, order);
  return order.kind === "feed" ? findFeed(newest.model, order.of, order.id) : answered(newest, order);
}

function answered(
  { model, answers }: Newest,
  { sketchId, question, query, access, isText }: Extract<ReaderQuestion, { kind: "ask" }>,
): unknown {
  const shown = modelUnder(model, sketchId);
  // A sketch that is not there shows the plan itself, so that made-up addresses take no memory.
  const place = shown === model ? null : sketchId;
  const kept = answers.get(place) ?? new KeptAnswers();
  answers.set(place, kept);
  const key = JSON.stringify([query, access]);
  const of = ofPlanItself.has(question) ? model : shown;
  const data = kept.of(question, key, () => answer(of, question, query as never, access));
  return isText ? kept.of(question, `${key} as text`, () => JSON.stringify(data)) : data;
}

function boardFile(
  { model }: Newest,
  { sketchId, query, measure, access, format, title }: Extract<ReaderQuestion, { kind: "boardFile" }>,
): string {
  const rows = boardTable(answer(modelUnder(model, sketchId), "board", query, access), measure);
  return format === "csv" ? writeCsv(rows) : JSON.stringify([{ name: title, rows }]);
}

parentPort?.on("message", (order: ReaderOrder) => {
  if (order.kind === "plan" || order.kind === "changes") return follow(order);
  const { number } = order;
  try {
    parentPort?.postMessage({ number, data: resultOf(order) });
  } catch (error) {
    parentPort?.postMessage({ number, error: messageOf(error) });
  }
});

// Evens out a large plan in a thread of its own, which can be ended at any moment.
import { parentPort } from "node:worker_threads";
import type { EvenOutJob } from "../client/evenOutQuery.ts";
import { search } from "../client/redacted.ts";
import { type EvenOutNews, runSearch } from "../client/searches.ts";
import type { Redacted } from "../client/seen.ts";
import { solveProgram } from "../client/solver.ts";
import { modelOf } from "./planModel.ts";

parentPort?.once("message", async ({ plan, query, access }: EvenOutJob) => {
  let [reported, result] = [0, 0];
  const tell = (news: Redacted<EvenOutNews>, isDone: boolean) => {
    // Each line is sent once. A better result starts again with its first line.
    if (news.result !== result) [reported, result] = [0, news.result];
    parentPort?.postMessage(JSON.stringify({ news: { ...news, found: news.found.slice(reported) }, isDone }));
    reported = news.found.length;
  };
  const isStopped = () => false;
  await runSearch(search(modelOf(plan), "evenOut", query, access), tell, isStopped, async () => undefined, solveProgram);
  parentPort?.close();
});

// Files are read and written in a thread of their own, which can be ended without harm, one after the other.
import { parentPort } from "node:worker_threads";
import { answerJob, type FileJob } from "./fileJobs.ts";

parentPort?.on("message", async (job: FileJob) => parentPort?.postMessage(await answerJob(job)));

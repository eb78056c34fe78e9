// Files are read and written in a process of their own, which can be ended without harm, one after the other.
import { answerJob, type FileJob } from "./fileJobs.ts";

process.on("message", async (job: FileJob) => process.send?.(await answerJob(job)));
// Without its server nobody waits for an answer.
process.on("disconnect", () => process.exit(0));

// Files are read and written in a process of their own, which can be ended without harm, one after the other.
import { answerJob, type FileJob } from "./fileJobs.ts";

process.on("message", async (job: FileJob) => process.send?.(await answerJob(job)));
// Without the server no answer is needed.
process.on("disconnect", () => process.exit(0));

// Evening out large plans, in threads of this process: so many at once that others still find a core.
import "server-only";
import { availableParallelism } from "node:os";
import { join } from "node:path";
import { Worker } from "node:worker_threads";
import type { EvenOutJob } from "../client/evenOutQuery.ts";
import { logFailure } from "./log.ts";
import { ofProcess } from "./ofProcess.ts";

const MOST_MEGABYTES = 1_536;

const shared = ofProcess("threads that even out", () => ({ underWay: 0 }));

/** The results of a thread, one line of JSON at a time. The thread ends when nobody listens any more.
 * @returns Null where as many are under way as there may be. */
export function evenOutStream(job: EvenOutJob, signal: AbortSignal): ReadableStream<Uint8Array> | null {
  if (shared.underWay >= Math.max(1, availableParallelism() - 1)) return null;
  shared.underWay++;
  const text = new TextEncoder();
  let end: () => void = () => undefined;
  return new ReadableStream<Uint8Array>({
    start(controller) {
      const worker = new Worker(join(/*turbopackIgnore: true*/ process.cwd(), "dist/evenOut.mjs"), {
        resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
      });
      end = () => {
        end = () => undefined;
        shared.underWay--;
        void worker.terminate();
      };
      worker.on("message", (line: string) => controller.enqueue(text.encode(`${line}\n`)));
      worker.once("error", (error) => {
        logFailure(error);
        end();
        controller.error(error);
      });
      worker.once("exit", () => {
        end();
        try {
          controller.close();
        } catch {
          // Closed already: the person who listened has gone, or the thread failed.
        }
      });
      signal.addEventListener("abort", () => end());
      worker.postMessage(job);
    },
    cancel: () => end(),
  });
}

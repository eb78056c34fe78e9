// Evening out large plans, in threads of this process: so many at once that others still find a core.
import "server-only";
import { availableParallelism } from "node:os";
import { join } from "node:path";
import { Worker } from "node:worker_threads";
import type { EvenOutJob } from "../client/evenOutQuery.ts";
import { logFailure } from "./log.ts";

const MOST_MEGABYTES = 1_536;

// Next.js loads this file once for each route bundle; what is under way is counted once all the same.
const shared = globalThis as typeof globalThis & { rosterEvenOuts?: number };

/** What a thread finds, a line of JSON at a time; the thread ends when nobody listens any longer.
 * @returns Null where as many are under way as there may be. */
export function evenOutStream(job: EvenOutJob, signal: AbortSignal): ReadableStream<Uint8Array> | null {
  const underWay = shared.rosterEvenOuts ?? 0;
  if (underWay >= Math.max(1, availableParallelism() - 1)) return null;
  shared.rosterEvenOuts = underWay + 1;
  const text = new TextEncoder();
  let end: () => void = () => undefined;
  return new ReadableStream<Uint8Array>({
    start(controller) {
      const worker = new Worker(join(/*turbopackIgnore: true*/ process.cwd(), "dist/evenOut.mjs"), {
        resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
      });
      end = () => {
        end = () => undefined;
        shared.rosterEvenOuts = (shared.rosterEvenOuts ?? 1) - 1;
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
          // Closed already: whoever listened has gone, or the thread failed.
        }
      });
      signal.addEventListener("abort", () => end());
      worker.postMessage(job);
    },
    cancel: () => end(),
  });
}

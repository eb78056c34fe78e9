// The worker that plans: started as soon as the first script of a page runs, so that it reads the plan while the page is
// still made ready.
import { makerOfBrowser, newKey, storageOfWindow } from "./keptEdit.ts";

export interface PlanThread {
  worker: Worker;
  name: string;
}

/** A worker under a name that no other has; it holds a lock of that name as long as it is there. */
export function startWorker(): PlanThread {
  const name = `${makerOfBrowser(storageOfWindow())} ${newKey()}`;
  return { name, worker: new Worker(new URL("./plan.worker.ts", import.meta.url), { type: "module", name }) };
}

/** The page's first one; null on the server. */
export const firstThread: PlanThread | null = typeof Worker === "undefined" ? null : startWorker();

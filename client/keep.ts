// Edits on their way, kept in the browser's storage. Storage that does not answer in time is as good as none.
import type { Keep } from "./host.ts";
import type { KeptEdit } from "./keptEdit.ts";

/** As much of a storage as is used: all kept edits, and a change of them. */
export interface EditStorage {
  get(): Promise<KeptEdit[] | undefined>;
  update(change: (kept: KeptEdit[]) => KeptEdit[]): Promise<void>;
}

/** Storage that has not answered after this long never does. */
const STORAGE_MS = 3_000;

/** @param wait Resolves after some time. */
export function keepIn(storage: EditStorage, wait: (milliseconds: number) => Promise<void>): Keep {
  const inTime = <T>(work: Promise<T>): Promise<T> =>
    Promise.race([
      work,
      wait(STORAGE_MS).then(() => {
        throw new Error("The browser's storage does not answer.");
      }),
    ]);
  return {
    load: async () => (await inTime(storage.get())) ?? [],
    add: (edits) => inTime(storage.update((kept) => [...kept, ...edits])),
    setAside: (key, editConflicts) =>
      inTime(storage.update((kept) => kept.map((own) => (own.key === key ? { ...own, editConflicts } : own)))),
    remove: (key) => inTime(storage.update((kept) => kept.filter((own) => own.key !== key))),
  };
}

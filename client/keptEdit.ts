// An edit on its way to the server, and the place where it waits between being made and reaching the worker. Storage
// of the window is written at once, so that not even a page left in the same moment loses what was just pressed.
import type { Edit } from "../core/edits/edit.ts";
import type { EditConflict } from "../core/edits/editConflicts.ts";

/** An edit with the key by which the server knows it if it comes twice, and what its maker had seen. */
export interface KeptEdit {
  key: string;
  edit: Edit;
  /** The server's revision that it was made on; left out before the plan had been read. */
  madeOn?: number;
  /** Keys of the edits made here before it that were not settled then. */
  after?: readonly string[];
  /** The rows in which it conflicts with the edits of others and was reverted: the user still has to choose. */
  editConflicts?: readonly EditConflict[];
}

/** A key that no other edit has; also where the page is not served securely. */
export function newKey(): string {
  return [...crypto.getRandomValues(new Uint32Array(4))].map((part) => part.toString(36)).join("-");
}

const PREFIX = "just-made:";
const MAKER = "maker";

/** The window's storage; null if the browser is set to store nothing. */
export function storageOfWindow(): Storage | null {
  try {
    return window.localStorage;
  } catch {
    return null;
  }
}

/** Keeps an edit until the worker has it. */
export function keepJustMade(storage: Storage | null, own: KeptEdit): void {
  try {
    storage?.setItem(`${PREFIX}${own.key}`, JSON.stringify({ ...own, at: performance.timeOrigin + performance.now() }));
  } catch {
    // No room, or none allowed: the worker keeps the edit a moment later.
  }
}

/** The worker has the edit, or has said why it cannot be. */
export function forgetJustMade(storage: Storage | null, key: string): void {
  storage?.removeItem(`${PREFIX}${key}`);
}

/** Edits that never reached a worker, in the order they were made. */
export function justMade(storage: Storage | null): KeptEdit[] {
  const kept: (KeptEdit & { at: number })[] = [];
  for (let at = 0; storage && at < storage.length; at++) {
    const name = storage.key(at);
    if (name?.startsWith(PREFIX)) kept.push(JSON.parse(storage.getItem(name) ?? ""));
  }
  return kept.sort((a, b) => a.at - b.at).map(({ at: _, ...own }) => own);
}

/** The id that this browser keeps and gives to the server alone: it marks the user's own steps. A browser that keeps nothing
 * has another one in every window. */
export function makerOfBrowser(storage: Storage | null): string {
  try {
    const known = storage?.getItem(MAKER);
    if (known) return known;
    const made = newKey();
    storage?.setItem(MAKER, made);
    return made;
  } catch {
    return newKey();
  }
}

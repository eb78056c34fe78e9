// What a process has once: Next.js loads a file once for each route bundle, and each of them finds the same here.

const kept = Symbol.for("roster.kept");

interface Kept {
  [kept]?: Record<string, object>;
}

/** What is kept under a name: the same object for whoever asks, made by the first. */
export function ofProcess<T extends object>(name: string, make: () => T): T {
  const all = globalThis as Kept;
  all[kept] ??= {};
  all[kept][name] ??= make();
  return all[kept][name] as T;
}

// Objects that exist once per process: Next.js loads a file once for each route bundle, and each of them finds the same object
// here.

const kept = Symbol.for("roster.kept");

interface Kept {
  [kept]?: Record<string, object>;
}

/** The object kept under a name: the first caller makes it, the others get the same one. */
export function ofProcess<T extends object>(name: string, make: () => T): T {
  const all = globalThis as Kept;
  all[kept] ??= {};
  all[kept][name] ??= make();
  return all[kept][name] as T;
}

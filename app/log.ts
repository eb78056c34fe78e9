// The server's log of failures: the place in the program, never the content of the plan.

/** Writes a failure with its place in the program; values of a statement, such as notes, are left out. */
export function logFailure(error: unknown): void {
  const text = error instanceof Error ? (error.stack ?? `${error.name}: ${error.message}`) : String(error);
  process.stderr.write(`${new Date().toISOString()} ${text}\n`);
}

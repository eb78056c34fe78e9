// The server's log of failures, in lines of JSON: the place in the program, never the content of the plan.
import { destination, pino, stdTimeFunctions } from "pino";

/** Name, message and stack alone: a database error also carries the values of its statement, such as notes. */
function errorFields(error: unknown) {
  return error instanceof Error
    ? { type: error.name, stack: error.stack ?? `${error.name}: ${error.message}` }
    : { type: typeof error, text: String(error) };
}

const log = pino(
  {
    base: null,
    timestamp: stdTimeFunctions.isoTime,
    formatters: { level: (level) => ({ level }) },
    serializers: { err: errorFields },
  },
  destination({ dest: 2, sync: true }),
);

/** Writes a failure with its place in the program to standard error. */
export function logFailure(error: unknown): void {
  log.error({ err: error }, "A request failed.");
}

// Details of a thrown error.

/** Its message, no matter what was thrown. */
export const messageOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));

/** The kinds of error, each with its own code. */
export type ErrorCode = "storeClosed" | "noRoom" | "tooLarge" | "unreadableFile" | "tooMuchAtOnce";

/** An error that is known by its code. Each bundle of the server has its own copy of a class, so that `instanceof` fails between
 * two of them. */
export class CodedError extends Error {
  constructor(
    readonly code: ErrorCode,
    message: string,
  ) {
    super(message);
  }
}

/** True of an error with one of some codes, whichever bundle has thrown it. */
export const hasCode = (error: unknown, ...codes: readonly ErrorCode[]): boolean => codes.some((code) => code === codeOf(error));

/** The code of an error: the system's, such as "ENOENT", or that of a `CodedError`; undefined for all others. */
export function codeOf(error: unknown): string | undefined {
  if (!(error instanceof Error) || !("code" in error)) return undefined;
  return typeof error.code === "string" ? error.code : undefined;
}

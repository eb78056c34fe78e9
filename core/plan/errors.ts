// What is known of something that was thrown.

/** Its message, whatever was thrown. */
export const messageOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));

/** The code that the system gives its errors, such as "ENOENT"; undefined for all others. */
export function codeOf(error: unknown): string | undefined {
  if (!(error instanceof Error) || !("code" in error)) return undefined;
  return typeof error.code === "string" ? error.code : undefined;
}

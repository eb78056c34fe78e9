// Texts that are one of a few.

/** Whether a text is one of those that are allowed. */
export function isOneOf<T extends string>(allowed: readonly T[], text: string | null | undefined): text is T {
  return allowed.some((own) => own === text);
}

// Texts that are one of a few.

/** True if a text is one of the allowed ones. */
export function isOneOf<T extends string>(allowed: readonly T[], text: string | null | undefined): text is T {
  return allowed.some((own) => own === text);
}

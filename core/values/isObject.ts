// Values that have keys.

/** True for what is neither a plain value nor null; a list is one too. */
export const isObject = (value: unknown): value is Readonly<Record<string, unknown>> => typeof value === "object" && value !== null;

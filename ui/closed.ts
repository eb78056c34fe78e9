/** The open sheet after `own` has closed itself. An edit takes a moment: a sheet that the user has opened meanwhile stays. */
export const closed =
  <T>(own: T) =>
  (now: T | null): T | null =>
    now === own ? null : now;

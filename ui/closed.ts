/** What is open after `own` has closed itself. An edit takes a moment to be made: what somebody has opened meanwhile stays. */
export const closed =
  <T>(own: T) =>
  (now: T | null): T | null =>
    now === own ? null : now;

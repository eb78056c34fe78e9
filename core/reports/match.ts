// The candidates for an opening, as the command line prints them.

import type { Model } from "../model.ts";
import { candidatesFor, openingRow } from "../staffing/match.ts";

/** Candidates in their order; null where there is no such opening. @param openingId Of an assignment or a task. */
export function matchReport(model: Model, openingId: string) {
  const row = openingRow(model, openingId);
  if (row < 0) return null;
  return {
    candidates: candidatesFor(model, row).map(({ person, cover, fit, cost, missing }) => ({
      personId: model.plan.people[person].id,
      cover,
      fit,
      cost,
      missing,
    })),
  };
}

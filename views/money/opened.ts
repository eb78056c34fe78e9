"use client";
// The figure of money whose lines are shown next to the table or chart.
import { useState } from "react";
import type { Redacted } from "../../client/seen.ts";
import type { MoneyAnswer } from "../../core/answers/money.ts";

/** A figure whose lines are shown: of a row or of all, in a period or in total. */
export interface Opened {
  key: string | null;
  period: number | null;
}

/** The figure whose lines are shown; null when its row is gone. */
export function useOpened({ rows }: Pick<Redacted<MoneyAnswer>, "rows">) {
  const [opened, setOpened] = useState<Opened | null>(null);
  const isThere = opened !== null && (opened.key === null || rows.some(({ key }) => key === opened.key));
  return [isThere ? opened : null, setOpened] as const;
}

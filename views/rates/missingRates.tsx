"use client";
// The subjects without a rate, and the way to type one.
import { TriangleAlert } from "lucide-react";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { RateGap } from "../../core/answers/rateGaps.ts";
import { formatDay } from "../../core/calendar/day.ts";
import { TextButton } from "../../ui/button.tsx";
import { longDay } from "../../ui/format.ts";
import { Menu } from "../../ui/menu.tsx";
import type { RatesHook } from "./useRates.ts";
import { texts } from "./words.ts";

export function MissingRates({ rates, onTable }: { rates: RatesHook; onTable: (id: string) => void }) {
  const gaps = useMaybeAnswer("rateGaps", {}, null) ?? [];
  if (gaps.length === 0) return null;
  const fill = ({ tableId, of, from }: RateGap) => {
    if (tableId !== rates.table.id) return onTable(tableId);
    rates.addSubject(of);
    rates.addDate(formatDay(from));
  };
  return (
    <Menu label={gaps.length === 1 ? texts.n1RateMissing : `${gaps.length} rates missing`} icon={<TriangleAlert size={14} />} isActive>
      <ul className="w-[320px]">
        {gaps.map((gap) => (
          <li key={`${gap.tableId} ${JSON.stringify(gap.of)}`} className="line-above py-1.5 first:border-t-0">
            <p>
              {gap.name} has no rate in {gap.tableName} from {longDay(gap.from)} on.
            </p>
            <p className="text-side">{gap.projects.join(", ")}</p>
            <TextButton onClick={() => fill(gap)}>{gap.tableId === rates.table.id ? texts.addARow : `Open ${gap.tableName}`}</TextButton>
          </li>
        ))}
      </ul>
    </Menu>
  );
}

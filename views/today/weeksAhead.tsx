"use client";
// Twelve weeks of capacity against demand, as a chart and as its figures.
import dynamic from "next/dynamic";
import type { WeekAhead } from "../../core/answers/today.ts";
import { FigureRow, FigureTable } from "../../ui/figureTable.tsx";
import { hoursText, shortDay } from "../../ui/format.ts";
import { texts } from "./words.ts";

const WeeksChart = dynamic(() => import("./weeksChart.tsx"), { ssr: false, loading: () => <div className="h-[230px]" /> });

export function WeeksAhead({ weeks }: { weeks: readonly WeekAhead[] }) {
  if (weeks.length === 0) return null;
  return (
    <section aria-label={texts.theWeeksAhead} className="today-weeks">
      <h2 className="font-title text-[18px]">{texts.theWeeksAhead}</h2>
      <p className="pb-2 text-side">{texts.hoursPerWeekOfAll}</p>
      <WeeksChart weeks={weeks} />
      <div className="pt-3">
        <WeeksTable weeks={weeks} />
      </div>
    </section>
  );
}

/** Next to a side sheet there is no room for it. */
const WIDE = "hidden @min-[900px]:table-cell";

function WeeksTable({ weeks }: { weeks: readonly WeekAhead[] }) {
  return (
    <FigureTable label={texts.theWeeksAhead} heads={["Week", "Capacity", "Assigned", "Unassigned", { head: "Room", look: WIDE }]}>
      {weeks.map(({ week, capacity, assigned, open }) => {
        const left = capacity - assigned - open;
        return (
          <FigureRow key={week.start} name={shortDay(week.start)}>
            <td>{hoursText(capacity)}</td>
            <td>{hoursText(assigned)}</td>
            <td>{hoursText(open)}</td>
            <td className={`${WIDE} ${left < 0 ? "figure-bad" : ""}`}>{hoursText(left)}</td>
          </FigureRow>
        );
      })}
    </FigureTable>
  );
}

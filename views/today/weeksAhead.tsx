"use client";
// Twelve weeks of capacity against demand, as a chart and as its figures.
import dynamic from "next/dynamic";
import type { WeekAhead } from "../../core/answers/today.ts";
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
      <WeeksTable weeks={weeks} />
    </section>
  );
}

/** Next to a side sheet there is no room for it. */
const WIDE = "hidden @min-[900px]:table-cell";

function WeeksTable({ weeks }: { weeks: readonly WeekAhead[] }) {
  return (
    <table className="mt-3 w-full text-right text-[13px]">
      <thead>
        <tr className="text-ink-2">
          {["Week", "Capacity", "Assigned", "Unassigned", "Room"].map((head, at) => (
            <th key={head} scope="col" className={`py-1 font-normal ${at === 0 ? "text-left" : "pl-2"} ${at === 4 ? WIDE : ""}`}>
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {weeks.map(({ week, capacity, assigned, open }) => {
          const left = capacity - assigned - open;
          return (
            <tr key={week.start} className="line-above">
              <th scope="row" className="py-[3px] text-left font-normal">
                {shortDay(week.start)}
              </th>
              <td>{hoursText(capacity)}</td>
              <td>{hoursText(assigned)}</td>
              <td>{hoursText(open)}</td>
              <td className={`${WIDE} ${left < 0 ? "figure-bad" : ""}`}>{hoursText(left)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

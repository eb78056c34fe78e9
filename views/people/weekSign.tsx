// A working week as seven small columns, Monday first, with its hours and those of the weeks that follow.
import { WEEKDAYS } from "../../ui/format.ts";

const sumOf = (week: readonly number[]) => Math.round(week.reduce((total, hours) => total + hours, 0) * 10) / 10;

export function WeekSign({ weeks }: { weeks: readonly (readonly number[])[] }) {
  const says = weeks.map(sentence).join("; then ");
  return (
    <span title={says} className="flex items-end gap-2">
      <span className="sr-only">{says}</span>
      <span aria-hidden className="flex h-[18px] items-end gap-[2px]">
        {WEEKDAYS.map((day, at) => (
          <span
            key={day}
            className={weeks[0][at] > 0 ? "w-[6px] bg-room" : "w-[6px] bg-line-2"}
            style={{ height: weeks[0][at] > 0 ? Math.max(3, (weeks[0][at] / 10) * 18) : 1 }}
          />
        ))}
      </span>
      <span aria-hidden className="whitespace-nowrap">
        {weeks.map(sumOf).join(" → ")}
      </span>
    </span>
  );
}

function sentence(week: readonly number[]): string {
  const worked = WEEKDAYS.flatMap((day, at) => (week[at] > 0 ? [`${day} ${week[at]}`] : []));
  return `${sumOf(week)} hours a week${worked.length > 0 ? `: ${worked.join(", ")}` : ""}`;
}

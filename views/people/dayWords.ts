// The names of days, weeks and time off on screen.
import type { Day } from "../../core/calendar/day.ts";
import type { DayMark } from "../../core/calendar/dayMarks.ts";
import type { WeekSpan } from "../../core/calendar/weekSpans.ts";
import type { TimeOff } from "../../core/plan/schema.ts";
import { hoursText, longDay, weekdayText } from "../../ui/format.ts";

export const timeOffKinds: Record<TimeOff["kind"], string> = { holiday: "Leave", sick: "Sick", training: "Training", other: "Away" };
export const timeOffStates: Record<TimeOff["state"], string> = { requested: "requested", approved: "approved", declined: "declined" };

/** A mark of a day in words: "time off approved (Leave, Carnival week)". */
export function markText({ kind, name, hours }: DayMark): string {
  const kindOf = name?.split(", ")[0] as TimeOff["kind"];
  const named = name === undefined ? "" : ` (${name.replace(kindOf, timeOffKinds[kindOf] ?? kindOf)})`;
  const part = hours === undefined ? "" : `, ${hours} h`;
  switch (kind) {
    case "notEmployed":
      return "not employed";
    case "free":
      return "no working day";
    case "holiday":
      return name ?? "public holiday";
    case "shortDay":
      return `short day: ${name}`;
    case "extraDay":
      return `extra working day: ${name}`;
    case "approved":
      return `time off${part}${named}`;
    case "requested":
      return `time off requested${part}${named}`;
    case "declined":
      return `time off declined${part}${named}`;
    case "overtime":
      return `overtime ${hours} h`;
  }
}

/** A day of a strip in words. */
export function dayText(day: Day, capacity: number, load: number | null, marks: readonly DayMark[]): string {
  const figures = load === null ? `${hoursText(capacity)} h` : `${hoursText(load)} of ${hoursText(capacity)} h`;
  return [`${weekdayText(day)}: ${figures}`, ...marks.map(markText)].join(" · ");
}

/** Hours of a week, and what they mean where there are none. */
export function weekHoursText(week: readonly number[]): string {
  const sum = week.reduce((total, hours) => total + hours, 0);
  return sum === 0 ? "does not work" : `${hoursText(sum * 60)} h a week`;
}

/** When a span holds: "until 28 Feb 2027", "from 1 Mar 2027 until …", nothing for always. */
export function spanText({ from, last }: Pick<WeekSpan, "from" | "last">): string {
  return [from === null ? "" : `from ${longDay(from)}`, last === null ? "" : `until ${longDay(last)}`].filter(Boolean).join(" ");
}

/** The spans from a day on as one sentence: "32 h a week until 28 Feb 2027, then 24 h a week". */
export function weeksSentence(spans: readonly WeekSpan[], today: Day): string {
  const coming = spans.filter(({ last }) => last === null || last >= today);
  return coming.map(({ week, last }) => `${weekHoursText(week)}${last === null ? "" : ` until ${longDay(last)}`}`).join(", then ");
}

"use client";
// A month to pick a day from; loaded with the first calendar that is opened.
import { DayPicker } from "react-day-picker";
import { formatDay, parseDay } from "../core/calendar/day.ts";

interface MonthPickerProps {
  date: string | null;
  today: number;
  onPick: (date: string) => void;
}

const local = (date: string) => new Date(`${date}T00:00`);
const dateOf = (moment: Date) => formatDay(Math.round(Date.UTC(moment.getFullYear(), moment.getMonth(), moment.getDate()) / 86_400_000));

export default function MonthPicker({ date, today, onPick }: MonthPickerProps) {
  const shown = date ?? formatDay(today);
  return (
    <DayPicker
      mode="single"
      autoFocus
      weekStartsOn={1}
      showOutsideDays
      today={local(formatDay(today))}
      defaultMonth={local(shown)}
      selected={date === null ? undefined : local(date)}
      onSelect={(day) => onPick(day ? dateOf(day) : formatDay(parseDay(shown)))}
      className="month"
      aria-label="Choose a date"
    />
  );
}

"use client";
// Binds the Calendars screen to the plan: which calendar and year are shown, a draft that is not saved yet, its edits.
import { parseAsString, useQueryState } from "nuqs";
import { useState } from "react";
import type { Initial } from "../../../client/initial.ts";
import type { AnswerOf } from "../../../client/questions.ts";
import { useAnswer, usePlan } from "../../../client/session.tsx";
import { dateOf } from "../../../core/calendar/day.ts";
import type { Edit } from "../../../core/edits/edit.ts";
import type { Calendar } from "../../../core/plan/schema.ts";
import { newId } from "../../../ui/newId.ts";
import { yearOf, yearRange } from "../../../ui/years.ts";
import { useNames } from "../../scope/facts.ts";
import { usePlanWindow } from "../../scope/windowed.ts";

export type Draft = Pick<Calendar, "name" | "week" | "exceptions">;

export function useCalendars(initial: { calendarId: string; answer: Initial<AnswerOf<"calendar">> }) {
  const session = usePlan();
  const { calendars } = useNames();
  const { range: window } = usePlanWindow();
  const [asked, setAsked] = useQueryState("calendar", parseAsString.withOptions({ shallow: true }));
  const [askedYear, setYear] = useQueryState("year", parseAsString.withOptions({ shallow: true }));
  const [part, setPart] = useQueryState("part", parseAsString.withOptions({ shallow: true }));
  const year = yearOf(askedYear) ?? dateOf(window.start).year;
  const calendarId = (calendars.find(({ id }) => id === asked) ?? calendars[0])?.id ?? initial.calendarId;
  const [drafts, setDrafts] = useState<Record<string, Draft>>({});
  const draft = drafts[calendarId] ?? null;
  const answer = useAnswer("calendar", { calendarId, range: yearRange(year), ...(draft && { draft }) }, initial.answer);
  const setDraft = (next: Draft | null) => {
    const { [calendarId]: _, ...others } = drafts;
    setDrafts(next === null ? others : { ...others, [calendarId]: next });
  };
  const addCalendar = async (own: Omit<Calendar, "id">) => {
    const calendar: Calendar = { ...own, id: newId("calendar") };
    if ((await session.edit({ kind: "addCalendar", calendar })).length === 0) void setAsked(calendar.id);
  };
  const edit: Edit | null = draft && { kind: "changeCalendar", id: calendarId, set: draft };
  return {
    calendars,
    calendarId,
    choose: (id: string) => {
      void setPart(null);
      void setAsked(id);
    },
    year,
    setYear: (next: number) => void setYear(String(next)),
    answer,
    part,
    show: (next: string | null) => void setPart(next),
    draft,
    setDraft,
    edit,
    save: async () => {
      if (edit && (await session.edit(edit)).length === 0) setDraft(null);
    },
    add: () => addCalendar({ name: "New calendar", week: [8, 8, 8, 8, 8, 0, 0], exceptions: [] }),
    copy: ({ id: _, name, ...rest }: Calendar) => addCalendar({ ...rest, name: `${name}, copy` }),
    remove: async () => {
      if ((await session.edit({ kind: "deleteCalendar", id: calendarId })).length === 0) void setAsked(null);
    },
  };
}

export type CalendarsHook = ReturnType<typeof useCalendars>;

"use client";
// Binds a person's page to the plan: the year shown, what is open in the side sheet, and the edits made there.
import { parseAsString, useQueryState } from "nuqs";
import type { Initial } from "../../../client/initial.ts";
import type { AnswerOf } from "../../../client/questions.ts";
import { useAnswer, usePlan } from "../../../client/session.tsx";
import { dateOf } from "../../../core/calendar/day.ts";
import type { Edit } from "../../../core/edits/edit.ts";
import type { Person } from "../../../core/plan/schema.ts";
import { closed } from "../../../ui/closed.ts";
import { yearOf, yearRange } from "../../../ui/years.ts";
import { usePlanWindow } from "../../scope/windowed.ts";

/** The subject of the side sheet: a part of the person, and which one; "new" for one to add. */
export type Part = "details" | "week" | "off" | "overtime" | "unplaced" | "handOver";

export function usePerson(personId: string, initial: Initial<AnswerOf<"personYear">>) {
  const session = usePlan();
  const { range: window } = usePlanWindow();
  const [asked, setYear] = useQueryState("year", parseAsString.withOptions({ shallow: true }));
  const year = yearOf(asked) ?? dateOf(window.start).year;
  const [open, setOpen] = useQueryState("part", parseAsString.withOptions({ shallow: true }));
  const answer = useAnswer("personYear", { personId, range: yearRange(year) }, initial);
  const [part, id] = (open ?? "").split(":") as [Part | "", string | undefined];
  const edit = async (made: Edit) => {
    const faults = await session.edit(made);
    return faults.length === 0;
  };
  return {
    answer,
    year,
    setYear: (next: number) => void setYear(String(next)),
    part: part === "" ? null : part,
    partId: id ?? null,
    show: (next: Part, which = "") => void setOpen(which === "" ? next : `${next}:${which}`),
    close: () => void setOpen(closed(open)),
    edit,
    changePerson: (set: { [K in keyof Person]?: Person[K] | null }) => edit({ kind: "changePerson", id: personId, set }),
  };
}

export type PersonHook = ReturnType<typeof usePerson>;

"use client";
// People to choose from, with what helps to choose: their role, and the room they have on some days, such as those of a task.
import { useCallback, useMemo, useState } from "react";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { Range } from "../../core/calendar/periods.ts";
import type { Names } from "../../core/plan/names.ts";
import { hoursText } from "../../ui/format.ts";
import { useNames } from "./facts.ts";
import { usePlanWindow } from "./windowed.ts";

export type PersonWithRoom = Names["people"][number] & { side: string };

/** Room is worked out once a list opens: `onOpen` belongs to the picker that shows these people.
 * @param days The days that count; those of the window where they are left out. */
export function usePeopleWithRoom(days?: Range): { people: PersonWithRoom[]; onOpen: () => void } {
  const { people, roles } = useNames();
  const { range, grain } = usePlanWindow();
  const [isOpened, setOpened] = useState(false);
  const rows = useMaybeAnswer("roster", isOpened ? { range: days ?? range, grain } : null, null);
  const withRoom = useMemo(() => {
    const roleNames = new Map(roles.map(({ id, name }) => [id, name]));
    const room = new Map(rows?.map(({ person, capacity, load }) => [person.id, capacity - load]));
    return people.map((person) => ({
      ...person,
      side: [roleNames.get(person.roleIds[0] ?? ""), roomText(room.get(person.id))].filter(Boolean).join(" · "),
    }));
  }, [people, roles, rows]);
  return { people: withRoom, onOpen: useCallback(() => setOpened(true), []) };
}

function roomText(minutes: number | undefined): string {
  if (minutes === undefined) return "";
  return minutes < 0 ? `${hoursText(-minutes)} h over` : `${hoursText(minutes)} h free`;
}

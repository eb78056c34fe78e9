"use client";
// People to choose from, with what helps to choose: their role and room; for a task its days count, and what their hour costs there.
import { useCallback, useMemo, useState } from "react";
import type { Redacted } from "../../client/seen.ts";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { TaskPrice } from "../../core/answers/taskPrices.ts";
import type { Range } from "../../core/calendar/periods.ts";
import type { Names } from "../../core/plan/names.ts";
import { hoursText, marginText, moneyText } from "../../ui/format.ts";
import { useNames, usePlanFacts } from "../scope/facts.ts";
import { usePlanWindow } from "../scope/windowed.ts";

export type PersonWithRoom = Names["people"][number] & { side: string };

/** Room is calculated once a list opens: `onOpen` belongs to the picker that shows these people.
 * @param forTask Its days count instead of those of the window, and its prices are shown. */
export function usePeopleWithRoom(forTask?: { taskId: string; roleId?: string; days: Range }): {
  people: PersonWithRoom[];
  onOpen: () => void;
} {
  const { people, roles } = useNames();
  const { currency } = usePlanFacts();
  const { range, grain } = usePlanWindow();
  const roleId = forTask?.roleId;
  const [isOpened, setOpened] = useState(false);
  const rows = useMaybeAnswer("roster", isOpened ? { range: forTask?.days ?? range, grain } : null, null);
  const prices = useMaybeAnswer("taskPrices", isOpened && forTask ? { taskId: forTask.taskId } : null, null);
  const withRoom = useMemo(() => {
    const roleNames = new Map(roles.map(({ id, name }) => [id, name]));
    const room = new Map(rows?.map(({ person, capacity, load }) => [person.id, capacity - load]));
    const priceOf = new Map(prices?.map((price) => [price.personId, priceText(price, currency)]));
    // People who have the task's role are under its name already.
    const roleOf = ({ roleIds }: Names["people"][number]) =>
      roleId !== undefined && roleIds.includes(roleId) ? "" : roleNames.get(roleIds[0] ?? "");
    return people.map((person) => ({
      ...person,
      side: [roleOf(person), roomText(room.get(person.id)), priceOf.get(person.id)].filter(Boolean).join(" · "),
    }));
  }, [people, roles, roleId, rows, prices, currency]);
  return { people: withRoom, onOpen: useCallback(() => setOpened(true), []) };
}

function priceText({ cost, margin }: Redacted<TaskPrice>, currency: string): string {
  if (cost === null) return "no rate";
  const price = `${currency} ${moneyText(cost)}/h`;
  return margin === null ? price : `${price}, margin ${marginText(margin)}`;
}

function roomText(minutes: number | undefined): string {
  if (minutes === undefined) return "";
  return minutes < 0 ? `${hoursText(-minutes)} h over` : `${hoursText(minutes)} h free`;
}

"use client";
// The row that a user is editing: a notice appears when others change it meanwhile.
import { useEffect } from "react";
import type { ChangedList } from "../../core/plan/schema.ts";

const underWay = new Map<string, number>();

/** Says that a row's form has something typed in it that is not saved yet. */
export function useUnderWay(list: ChangedList, id: string | undefined, isDirty: boolean): void {
  useEffect(() => {
    if (!isDirty || id === undefined) return;
    const key = `${list} ${id}`;
    underWay.set(key, (underWay.get(key) ?? 0) + 1);
    return () => {
      const left = (underWay.get(key) ?? 1) - 1;
      if (left > 0) underWay.set(key, left);
      else underWay.delete(key);
    };
  }, [list, id, isDirty]);
}

/** True where something is typed in a row's form, or in one of its cells. */
export function isUnderWay(list: ChangedList, id: string, row: Element | null): boolean {
  const field = document.activeElement;
  const isInCell = row?.contains(field) === true && field instanceof HTMLInputElement && field.type !== "checkbox";
  return underWay.has(`${list} ${id}`) || isInCell;
}

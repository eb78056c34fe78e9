"use client";
// The lock of a person, a project or a task against evening out; saved when it is clicked.
import { usePlan } from "../../client/session.tsx";
import type { Edit } from "../../core/edits/edit.ts";
import { CheckboxField } from "../../ui/checkbox.tsx";
import { texts } from "./words.ts";

export type Lockable = "people" | "projects" | "tasks";

/** The edit that locks something, or takes the lock off. */
export function lockEdit(list: Lockable, id: string, isLocked: boolean): Edit {
  const set = { locked: isLocked ? (true as const) : null };
  if (list === "people") return { kind: "changePerson", id, set };
  return list === "projects" ? { kind: "changeProject", id, set } : { kind: "changeTask", id, set };
}

export function LockTick({ list, id, isLocked }: { list: Lockable; id: string; isLocked: boolean }) {
  const session = usePlan();
  return (
    <CheckboxField checked={isLocked} onChange={(isNow) => void session.edit(lockEdit(list, id, isNow))}>
      {list === "people" ? texts.lockedEveningOutDoesNot : texts.lockedEveningOutDoesNotChange}
    </CheckboxField>
  );
}

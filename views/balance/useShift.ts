"use client";
// Bars moved along time or stretched: by what that means, asked where it can mean more than one thing.
import { useState } from "react";
import { toast } from "sonner";
import { usePlan } from "../../client/session.tsx";
import type { BarDrag, BarShift, TaskShift } from "../../core/bars/shiftBar.ts";
import type { Edit, SingleEdit } from "../../core/edits/edit.ts";
import { singleEdits } from "../../core/edits/together.ts";
import { barFaults } from "../effect/barFaults.ts";
import type { DragEffect } from "./dragEffect.ts";

/** @param withPicked The assignments that move together with one. */
export function useShift(withPicked: (assignmentId: string) => string[]) {
  const session = usePlan();
  const [asked, setAsked] = useState<TaskShift | null>(null);
  const made = async (edit: Edit) => (await session.edit(edit)).length === 0;
  return {
    /** A task that can move in more than one way: which is asked. */
    asked,
    answer: async (edit: Edit | null): Promise<void> => {
      setAsked(null);
      if (edit) await made(edit);
    },
    /** The effect of a drag along time. */
    shiftPreview: async (drag: BarDrag): Promise<{ shift: BarShift; effect: DragEffect | null }> => {
      const shift = await session.ask("shiftBar", drag);
      const edit = editOf(shift);
      return { shift, effect: edit && (await session.ask("impact", { edit })) };
    },
    shift: async (assignmentId: string, startDays: number, stopDays: number): Promise<boolean> => {
      const ids = withPicked(assignmentId);
      const shifts = await Promise.all(ids.map((id) => session.ask("shiftBar", { assignmentId: id, startDays, stopDays })));
      const [first] = shifts;
      if (shifts.length === 1 && "options" in first && first.options.length > 1) {
        setAsked(first);
        return true;
      }
      const edits = togetherOnce(shifts);
      // A bar that cannot move stays; all others move together.
      if (edits.length > 0) return made(edits.length === 1 ? edits[0] : { kind: "together", words: movedWords(shifts), edits });
      if ("fault" in first) toast(barFaults[first.fault]);
      return false;
    },
  };
}

export type ShiftHook = ReturnType<typeof useShift>;

/** The edit that a drag results in, where nothing has to be asked. */
function editOf(shift: BarShift): Edit | null {
  if ("fault" in shift) return null;
  return shift.as === "own" ? shift.edit : shift.options[0].edit;
}

/** The edits of several drags; a task that two of them are on moves once. */
function togetherOnce(shifts: readonly BarShift[]): SingleEdit[] {
  const moved = new Set<string>();
  return shifts.flatMap((shift): SingleEdit[] => {
    const edit = editOf(shift);
    if (!edit) return [];
    if ("taskId" in shift) {
      if (moved.has(shift.taskId)) return [];
      moved.add(shift.taskId);
    }
    return singleEdits(edit);
  });
}

function movedWords(shifts: readonly BarShift[]): string {
  const [only] = shifts;
  return shifts.length === 1 && "taskName" in only ? `move ${only.taskName} with all its people` : `move ${shifts.length} assignments`;
}

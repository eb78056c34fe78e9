"use client";
// The edits made on the board: work given away, moved along time, typed over; several bars at once where they are picked.
import { useState } from "react";
import { toast } from "sonner";
import { newKey } from "../../client/keptEdit.ts";
import type { AnswerOf } from "../../client/questions.ts";
import { usePlan } from "../../client/session.tsx";
import type { PeopleLoads } from "../../core/answers/peopleLoads.ts";
import type { BarChange } from "../../core/bars/moveBar.ts";
import type { ReportRange } from "../../core/calendar/periods.ts";
import type { Edit } from "../../core/edits/edit.ts";
import type { Counting } from "../../core/load/counting.ts";
import type { Fault } from "../../core/plan/faults.ts";
import type { Rest, TypedPeriod } from "../../core/typing/typePeriod.ts";
import { known } from "../../core/values/lookUp.ts";
import { newId } from "../../ui/newId.ts";
import { toggledSet } from "../../ui/toggled.ts";
import { barFaults } from "../effect/barFaults.ts";
import { tellOutside } from "../notices/outsideNotice.tsx";
import { useFrame } from "../scope/facts.ts";
import type { DragEffect } from "./dragEffect.ts";
import { tellRest } from "./restNotice.tsx";
import { useShift } from "./useShift.ts";

interface BoardEditOptions extends ReportRange {
  board: AnswerOf<"board">;
  /** Ids of people whose bars are shown. */
  open: readonly string[];
  counting: Counting;
  onGiven: () => void;
}

export function useBoardEdits({ board, open, range, grain, counting, onGiven }: BoardEditOptions) {
  const session = usePlan();
  const { clock } = useFrame();
  const { picked, pick, unpick, withPicked } = usePicked();
  const shifts = useShift(withPicked);
  const giveEdit = (assignmentId: string, personId: string): Edit => {
    const edits = withPicked(assignmentId).map((id) => ({ kind: "reassign" as const, id, personId }));
    return edits.length === 1 ? edits[0] : { kind: "together", words: `reassign ${edits.length} assignments`, edits };
  };
  const change = async (made: BarChange): Promise<boolean> => {
    if ("fault" in made) {
      toast(barFaults[made.fault]);
      return false;
    }
    return (await session.edit(made.edit)).length === 0;
  };
  return {
    ...shifts,
    picked,
    pick,
    edit: (made: Edit) => session.edit(made),
    give: (assignmentId: string, personId: string): Promise<readonly Fault[]> => {
      // Sent first: what the board draws because of it comes while it is made.
      const made = session.edit(giveEdit(assignmentId, personId));
      onGiven();
      unpick();
      return made;
    },
    /** The people concerned after a drop: first the one who takes, then those who give. */
    preview: (assignmentId: string, personId: string): Promise<PeopleLoads | null> => {
      const given = new Set(withPicked(assignmentId));
      const donors = Object.keys(board.bars).filter((id) => board.bars[id].some((bar) => given.has(bar.assignmentId)));
      const ids = [personId, ...donors.filter((id) => id !== personId)];
      return session.preview(giveEdit(assignmentId, personId), "loads", { range, grain, ids, counting, takes: [...given], open });
    },
    /** The further effect of a drop: people decide how long effort-sized work lasts, and what it costs. */
    effectAfter: (assignmentId: string, personId: string): Promise<DragEffect> =>
      session.ask("impact", { edit: giveEdit(assignmentId, personId) }),
    typeHours: async (assignmentId: string, period: ReportRange["range"], hours: number): Promise<boolean> => {
      const typed = await session.ask("typePeriod", { assignmentId, period, hours, clock, newId: newId("open") });
      if ("fault" in typed) return change(typed);
      let key = newKey();
      const made = (await session.edit(known(typed.edits[typed.usual], "usual way"), key)).length === 0;
      if (made && typed.minutes > 0) tellRest(typed, typed.usual, remake);
      if (made && hours > 0) await tellOutside(session, [{ assignmentId, ...period }]);
      return made;
      /** Takes the first way back and goes another one, as it would have been from the start. */
      async function remake(rest: Rest, edit: Edit): Promise<void> {
        await session.step({ kind: "undo", ofKey: key });
        key = newKey();
        if ((await session.edit(edit, key)).length === 0) tellRest(typed as TypedPeriod, rest, remake);
      }
    },
    untype: async (assignmentId: string): Promise<boolean> => change(await session.ask("untype", { assignmentId })),
  };
}

/** Bars that are moved and given together. */
function usePicked() {
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  return {
    picked,
    pick: (assignmentId: string) => setPicked((known) => toggledSet(known, assignmentId)),
    unpick: () => setPicked((known) => (known.size === 0 ? known : new Set())),
    withPicked: (assignmentId: string): string[] => (picked.has(assignmentId) ? [...picked] : [assignmentId]),
  };
}

"use client";
// Dragging an item out of the tray: onto a person where people are listed, or onto a day of a time chart. What the drop
// would do is reported while it hangs there.
import { useRef, useState } from "react";
import { createPortal } from "react-dom";
import { usePlan } from "../../client/session.tsx";
import type { TrayItem, TrayKind } from "../../core/attention/incompleteWork.ts";
import { giveToPerson } from "../../core/bars/trayDrop.ts";
import type { Edit } from "../../core/edits/edit.ts";
import { hoursText, shortDay } from "../../ui/format.ts";
import { newId } from "../../ui/newId.ts";
import { usePointerDrag } from "../../ui/usePointerDrag.ts";
import { dropOutcome } from "../effect/dropOutcome.ts";
import { type MoneyChange, moneyPhrases } from "../effect/moneyChange.ts";
import { usePlanFacts } from "../scope/facts.ts";
import { usePlanWindow } from "../scope/windowed.ts";

const FURTHEST_CLICK = 5;

/** Of the kinds that can be dragged, where to. */
export const dragHints: Partial<Record<TrayKind, string>> = {
  opening: "Drag it onto a person",
  noPerson: "Drag it onto a person",
  unplaced: "Drag it onto another person",
  noDates: "Drag it onto a day of a chart, or onto a person",
};

interface Target {
  edit: Edit;
  says: string;
  isOver: boolean;
  /** Once it is worked out. */
  money?: MoneyChange;
}

export function useTrayDrag() {
  const session = usePlan();
  const { range, grain } = usePlanWindow();
  const [target, setTarget] = useState<Target | null>(null);
  const turn = useRef({ number: 0, key: "" });

  const overPerson = async (item: TrayItem, personId: string, number: number) => {
    const edit = giveToPerson(item, personId, newId);
    if (!edit) return;
    const takes = item.assignmentId === undefined ? [] : [item.assignmentId];
    const loads = await session.preview(edit, "loads", { range, grain, ids: [personId], takes });
    if (number !== turn.current.number || !loads?.people[0]) return;
    const { name, says, isOver } = dropOutcome(loads);
    setTarget({ edit, says: `${name} ${says}`, isOver });
    const { money } = await session.ask("impact", { edit });
    if (number === turn.current.number) setTarget({ edit, says: `${name} ${says}`, isOver, money });
  };
  const overDay = async (item: TrayItem, day: number, number: number) => {
    const edit = await session.ask("beginOnDay", { item, day });
    if (number === turn.current.number && edit) setTarget({ edit, says: `starts no earlier than ${shortDay(day)}`, isOver: false });
  };
  const look = (item: TrayItem, x: number, y: number) => {
    const found = placeUnder(x, y, range);
    const key = found === null ? "" : "personId" in found ? `person ${found.personId}` : `day ${found.day}`;
    if (key === turn.current.key) return;
    turn.current = { number: turn.current.number + 1, key };
    setTarget(null);
    if (found === null) return;
    if ("personId" in found) void overPerson(item, found.personId, turn.current.number);
    else void overDay(item, found.day, turn.current.number);
  };
  const stop = () => {
    turn.current = { number: turn.current.number + 1, key: "" };
    setTarget(null);
  };
  const { dragged, handlers } = usePointerDrag<TrayItem>({
    threshold: FURTHEST_CLICK,
    onDrag: (item, { x, y }) => look(item, x, y),
    onDrop: () => {
      if (target) void session.edit(target.edit);
      stop();
    },
    onCancel: stop,
  });
  const chip = dragged ? createPortal(<Chip {...dragged} item={dragged.data} target={target} />, document.body) : null;
  return { handlers, chip };
}

function Chip({ item, x, y, target }: { item: TrayItem; x: number; y: number; target: Target | null }) {
  const { currency } = usePlanFacts();
  return (
    <div className="drag-says w-max" style={{ left: Math.min(x + 12, window.innerWidth - 330), top: Math.max(8, y - 64) }}>
      <div className="font-medium">
        {item.taskName} {item.minutes > 0 && <span className="text-ink-2">{hoursText(item.minutes)} h</span>}
      </div>
      <div role="status" className={`text-[13px] ${target?.isOver ? "text-over" : "text-ink-2"}`}>
        {target?.says ?? dragHints[item.kind]}
        {target?.money && moneyPhrases(target.money, currency).map(({ text }) => <p key={text}>{text}</p>)}
      </div>
    </div>
  );
}

/** The person whose row, or the day of the chart, that lies under a point. */
function placeUnder(x: number, y: number, range: { start: number; stop: number }): { personId: string } | { day: number } | null {
  for (const element of document.elementsFromPoint(x, y)) {
    const person = element.closest<HTMLElement>("[data-person]")?.dataset.person;
    if (person !== undefined) return { personId: person };
    const chart = element.closest<HTMLElement>("[data-chart]");
    if (!chart) continue;
    const { left, width } = chart.getBoundingClientRect();
    return { day: range.start + Math.floor(((x - left) / width) * (range.stop - range.start)) };
  }
  return null;
}

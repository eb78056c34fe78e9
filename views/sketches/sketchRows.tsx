"use client";
// The change of one entry of a sketch, from one value to another; and if the plan has changed since: yours, then, now.
import type { SketchCell, SketchRowChange } from "../../core/answers/sketches.ts";
import { countText } from "../../ui/format.ts";
import { ChangedRow } from "../notices/changedRow.tsx";
import { fieldText, useValueText } from "../notices/valueText.ts";

type NameOf = ReturnType<typeof useValueText>;

export function SketchRows({ rows, count }: { rows: readonly SketchRowChange[]; count: number }) {
  const nameOf = useValueText();
  if (rows.length === 0) return null;
  return (
    <div className="pl-6 text-small">
      {rows.map((row) => (
        <p key={`${row.list} ${row.id}`}>
          <ChangedRow row={row} cell={(cell) => <Cell cell={cell} nameOf={nameOf} />} />
        </p>
      ))}
      {count > rows.length && <p className="text-side">and {countText(count - rows.length, "more row")}</p>}
    </div>
  );
}

function Cell({ cell: { field, saw, now, yours, isChangedSince }, nameOf }: { cell: SketchCell; nameOf: NameOf }) {
  const what = fieldText(field, nameOf);
  if (isChangedSince)
    return (
      <span className="block text-ochre-ink">
        {what}: yours {nameOf(yours)}, then {nameOf(saw)}, now {nameOf(now)}
      </span>
    );
  return (
    <span className="block text-ink-2">
      {what}: {nameOf(now)} → <span className="text-ink">{nameOf(yours)}</span>
    </span>
  );
}

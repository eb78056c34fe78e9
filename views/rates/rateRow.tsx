"use client";
import { X } from "lucide-react";
import type { RateEntry } from "../../core/plan/schema.ts";
import { IconButton } from "../../ui/button.tsx";
import { DATE_HINT, isDateText, readDate, writeDate } from "../../ui/dateText.ts";
import { readAmount, useDraft } from "../../ui/useDraft.ts";
// One rate: every figure is a field that is saved on Enter or on leaving it; Esc puts it back.
import { rateColumns } from "./rateColumns.ts";

const MOST = 1e8;

interface RowProps {
  entry: RateEntry;
  name: string;
  isFirst: boolean;
  inForce: "whole" | "part" | "no";
  onChange: (entry: RateEntry) => void;
  onRemove: () => void;
}

export function RateRow({ entry, name, isFirst, inForce, onChange, onRemove }: RowProps) {
  const set = (key: "rate" | "overtimeRate" | "perUse", value: number | undefined) => {
    const { [key]: _, ...others } = entry;
    onChange(value === undefined ? ({ ...others } as RateEntry) : { ...entry, [key]: value });
  };
  const setFrom = (from: string) => {
    const { from: _, ...others } = entry;
    onChange(from === "" ? others : { ...entry, from });
  };
  return (
    <div className={`${rateColumns} h-[36px] min-w-[850px] items-center border-line border-b ${inForce === "no" ? "text-ink-2" : ""}`}>
      <span className={`truncate px-3 ${isFirst ? "font-medium" : "pl-6 text-ink-2"}`}>{isFirst ? name : "then"}</span>
      <DateCell label={`${name}, from`} value={entry.from ?? ""} onSave={setFrom} />
      <NumberCell label={`${name}, rate`} value={entry.rate} isNeeded onSave={(value) => set("rate", value)} />
      <NumberCell label={`${name}, overtime rate`} value={entry.overtimeRate} onSave={(value) => set("overtimeRate", value)} />
      <NumberCell label={`${name}, charge per use`} value={entry.perUse} onSave={(value) => set("perUse", value)} />
      <span className="flex items-center gap-2 px-3 text-[13px]">
        {inForce !== "no" && <span className={`size-[8px] rounded-full ${inForce === "whole" ? "bg-level" : "border-2 border-level"}`} />}
        {inForce === "whole" ? "in force" : inForce === "part" ? "for a part of it" : ""}
      </span>
      <IconButton label={`Delete this rate of ${name}`} onClick={onRemove}>
        <X size={14} />
      </IconButton>
    </div>
  );
}

const cell =
  "h-[28px] w-full rounded-[4px] border border-transparent bg-transparent px-2 hover:border-line-2 focus:border-pine focus:bg-sheet aria-invalid:border-over";

function NumberCell({
  label,
  value,
  isNeeded = false,
  onSave,
}: {
  label: string;
  value: number | undefined;
  isNeeded?: boolean;
  onSave: (value: number | undefined) => void;
}) {
  const { props, isSound } = useDraft<number | undefined>({
    value,
    write: (amount) => (amount === undefined ? "" : amount.toFixed(Math.max(2, decimalsOf(amount)))),
    read: (text) => {
      if (text.trim() === "") return isNeeded ? null : { value: undefined };
      const typed = readAmount(text, 0, MOST);
      return typed && decimalsOf(typed.value) <= 4 ? typed : null;
    },
    onSave,
  });
  return (
    <span className="px-1">
      <input
        {...props}
        aria-label={label}
        title={isSound ? undefined : "An amount from 0 on, with up to 4 decimals"}
        inputMode="decimal"
        placeholder="–"
        className={`${cell} text-right`}
      />
    </span>
  );
}

/** The day an entry begins; empty is the beginning of time. */
function DateCell({ label, value, onSave }: { label: string; value: string; onSave: (value: string) => void }) {
  const { props, isSound } = useDraft({
    value,
    write: writeDate,
    read: (text) => (isDateText(text) ? { value: readDate(text) ?? "" } : null),
    onSave,
  });
  return (
    <span className="px-1">
      <input
        {...props}
        aria-label={label}
        title={isSound ? undefined : DATE_HINT}
        placeholder="the beginning"
        className={`${cell} placeholder:text-ink-2`}
      />
    </span>
  );
}

function decimalsOf(value: number): number {
  return (String(value).split(".")[1] ?? "").length;
}

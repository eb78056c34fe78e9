// The columns of a rate table: every date and figure is typed in its cell.
import { X } from "lucide-react";
import type { RateEntry } from "../../core/plan/schema.ts";
import { IconButton } from "../../ui/button.tsx";
import { DATE_HINT, isDateText, readDate, writeDate } from "../../ui/dateText.ts";
import type { CellEdit, TableColumn } from "../../ui/table/column.ts";
import { readAmount } from "../../ui/useDraft.ts";
import type { RateLine } from "./rateGroups.ts";

/** Cells of an entry to be changed; null takes one away. */
export type RateCells = { from?: string | null; rate?: number; overtimeRate?: number | null; perUse?: number | null };

interface RateActions {
  windowText: string;
  onChange: (entry: RateEntry, set: RateCells) => void;
  onRemove: (entry: RateEntry) => void;
}

const MOST = 1e8;

export function rateColumns({ windowText, onChange, onRemove }: RateActions): TableColumn<RateLine>[] {
  return [
    {
      id: "subject",
      head: "Who or what",
      width: 180,
      grow: 1.4,
      isRowHead: true,
      value: ({ name }) => name,
      cell: ({ name, isFirst }) => (
        <span className={`truncate ${isFirst ? "font-medium" : "pl-4 text-ink-2"}`}>{isFirst ? name : "then"}</span>
      ),
    },
    {
      id: "from",
      head: "From",
      width: 150,
      value: ({ entry }) => entry.from ?? "",
      copied: ({ entry }) => writeDate(entry.from),
      cell: ({ entry }) => writeDate(entry.from) || <span className="text-ink-2">the beginning</span>,
      edit: ({ entry }) => dateEdit(entry, onChange),
    },
    figure("rate", "Rate", onChange),
    figure("overtimeRate", "Overtime", onChange),
    figure("perUse", "Per use", onChange),
    {
      id: "inForce",
      head: "In the window",
      says: windowText,
      width: 140,
      grow: 1,
      cell: ({ inForce }) => <InForce inForce={inForce} />,
    },
    {
      id: "remove",
      head: "",
      width: 44,
      cell: ({ entry, name }) => (
        <IconButton label={`Delete this rate of ${name}`} onClick={() => onRemove(entry)}>
          <X size={14} />
        </IconButton>
      ),
    },
  ];
}

type Figure = "rate" | "overtimeRate" | "perUse";

function figure(key: Figure, head: string, onChange: RateActions["onChange"]): TableColumn<RateLine> {
  return {
    id: key,
    head,
    width: 110,
    isFigure: true,
    value: ({ entry }) => entry[key] ?? null,
    cell: ({ entry }) => amountText(entry[key]) || <span className="text-ink-3">–</span>,
    edit: ({ entry }) => amountEdit(entry, key, onChange),
  };
}

const decimalsOf = (value: number) => (String(value).split(".")[1] ?? "").length;

/** As it is typed: two decimals at least, four at most. */
const amountText = (amount: number | undefined) => (amount === undefined ? "" : amount.toFixed(Math.max(2, decimalsOf(amount))));

function amountEdit(entry: RateEntry, key: Figure, onChange: RateActions["onChange"]): CellEdit<RateLine> {
  const read = (text: string) => {
    if (text.trim() === "") return key === "rate" ? null : { value: undefined };
    const typed = readAmount(text, 0, MOST);
    return typed && decimalsOf(typed.value) <= 4 ? typed : null;
  };
  return {
    write: () => amountText(entry[key]),
    read,
    says: "An amount from 0 on, with up to 4 decimals",
    onSave: (_, text) => onChange(entry, { [key]: read(text)?.value ?? null }),
  };
}

/** The day an entry begins; empty is the beginning of time. */
function dateEdit(entry: RateEntry, onChange: RateActions["onChange"]): CellEdit<RateLine> {
  return {
    write: () => writeDate(entry.from),
    read: (text) => (isDateText(text) ? { value: text } : null),
    says: DATE_HINT,
    onSave: (_, text) => onChange(entry, { from: readDate(text) }),
  };
}

function InForce({ inForce }: { inForce: RateLine["inForce"] }) {
  if (inForce === "no") return null;
  return (
    <span className="flex items-center gap-2 text-[13px]">
      <span className={`size-[8px] rounded-full ${inForce === "whole" ? "bg-level" : "border-2 border-level"}`} />
      {inForce === "whole" ? "in force" : "for a part of it"}
    </span>
  );
}

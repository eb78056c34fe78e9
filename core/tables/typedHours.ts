// Hours typed period by period, as one cell: "2027-02-08 to 2027-02-11: 14; 2027-02-15: 3.5".
import type { Assignment } from "../plan/schema.ts";
import { dateCell, numberCell, type Read } from "./cells.ts";
import type { Cell, DateOrder } from "./table.ts";

type Typed = NonNullable<Assignment["custom"]>;

/** Empty for none; a list of no periods says so. */
export function typedHoursText(custom: Typed | undefined): Cell {
  if (custom === undefined) return "";
  if (custom.length === 0) return "none";
  return custom.map(({ from, to, hours }) => `${from === to ? from : `${from} to ${to}`}: ${hours}`).join("; ");
}

/** Reads such a cell. */
export function typedHoursCell(cell: Cell, order: DateOrder): Read<Typed> {
  if (cell.trim() === "none") return { value: [] };
  const typed: Typed = [];
  for (const part of cell.split(";").filter((own) => own.trim() !== "")) {
    const read = /^\s*(.+?)(?:\s+(?:to|until|–|bis)\s+(.+?))?\s*:\s*(\S+)\s*h?\s*$/.exec(part);
    if (!read) return { reason: `"${part.trim().slice(0, 60)}" is not a period with its hours; write 2027-02-08 to 2027-02-11: 14.` };
    const from = dateCell(read[1], order);
    const to = read[2] === undefined ? from : dateCell(read[2], order);
    const hours = numberCell(read[3]);
    for (const own of [from, to, hours]) if ("reason" in own) return { reason: own.reason };
    typed.push({ from: known(from), to: known(to), hours: known(hours) });
  }
  return { value: typed };
}

function known<T>(read: Read<T>): T {
  if ("reason" in read) throw new Error(read.reason);
  return read.value;
}

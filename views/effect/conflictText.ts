// The date conflicts, in words, with their size.
import { TICKS_PER_DAY } from "../../core/calendar/workingLine.ts";
import type { Conflict } from "../../core/schedule/conflicts.ts";
import { countText } from "../../ui/format.ts";

export function conflictText({ kind, ticks }: Conflict): string {
  const days = countText(Math.round((ticks / TICKS_PER_DAY) * 10) / 10, "working day");
  switch (kind) {
    case "link":
      return `Pinned ${days} too early for a link.`;
    case "deadline":
    case "finishNotAfter":
      return `Finishes ${days} after its deadline.`;
    case "notAfter":
      return `Starts ${days} later than it may.`;
    case "projectDeadline":
      return `The project finishes ${days} after its deadline.`;
    case "noWorkingDay":
      return "Pinned to days on which nobody works.";
    case "noCapacity":
      return "A person assigned to it never has the time to finish it.";
  }
}

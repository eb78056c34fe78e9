"use client";
// An amount of money that opens its lines.
import type { Figure } from "../../core/plan/moneySides.ts";
import { moneyText } from "../../ui/format.ts";

interface Props {
  minor: Figure;
  /** Row and column of the amount, for screen readers. */
  says: string;
  onOpen: () => void;
  /** A sum of 0 is written; an amount of 0 is a dash. */
  isSum?: boolean;
  /** False in a table with arrow keys, where the cell has the focus. */
  isTabStop?: boolean;
}

export function AmountButton({ minor, says, onOpen, isSum = false, isTabStop = false }: Props) {
  if (minor === 0) return isSum ? moneyText(0) : "–";
  const press = (event: React.MouseEvent) => {
    event.stopPropagation();
    onOpen();
  };
  return (
    <button
      type="button"
      {...(!isTabStop && { tabIndex: -1 })}
      aria-label={`${says}: ${moneyText(minor)}`}
      className="hover:underline"
      onClick={press}
    >
      {moneyText(minor)}
    </button>
  );
}

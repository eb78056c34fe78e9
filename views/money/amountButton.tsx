"use client";
// An amount of money that opens the lines it is made of.
import { moneyText } from "../../ui/format.ts";

interface Props {
  minor: number;
  /** What the amount is of, for those who cannot see its row and column. */
  says: string;
  onOpen: () => void;
  /** A sum of 0 is written; an amount of 0 is a dash. */
  isSum?: boolean;
  /** False in a table that is walked by arrow keys: its cells take the focus. */
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

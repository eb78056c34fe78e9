"use client";
// One row of the board.
import { memo } from "react";
import type { RowProps } from "./cells.tsx";
import { PersonRow } from "./personRow.tsx";
import { SumRow } from "./sumRow.tsx";

/** Drawn again only when something it shows has changed: scrolling draws just the rows that come into sight. */
export const BoardRow = memo(function BoardRow(props: RowProps) {
  return props.balance.board.rows[props.at].kind === "person" ? <PersonRow {...props} /> : <SumRow {...props} />;
});

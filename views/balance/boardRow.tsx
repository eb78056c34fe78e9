"use client";
// One row of the board.
import { memo } from "react";
import { PersonRow } from "./personRow.tsx";
import { isSameRow, type RowProps } from "./rowProps.ts";
import { SumRow } from "./sumRow.tsx";

/** Drawn again only when something it shows has changed: scrolling draws just the rows that come into sight, and an edit those
 * whose figures are others. */
export const BoardRow = memo(function BoardRow(props: RowProps) {
  return props.board.rows[props.at].kind === "person" ? <PersonRow {...props} /> : <SumRow {...props} />;
}, isSameRow);

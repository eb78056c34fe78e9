"use client";
// Marking cells as a block by Shift and arrows or by the pointer; and copying, pasting, clearing and filling it.
import { type ClipboardEvent, type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import { cellsOfText, markedBetween, textOfBlock } from "./blocks.ts";
import type { TableColumn } from "./column.ts";
import type { RowLine } from "./lines.ts";
import { isControl, type Place, placeAt } from "./place.ts";
import type { TableProps } from "./tableProps.ts";

interface BlockOptions<R> {
  props: TableProps<R>;
  columns: readonly TableColumn<R>[];
  rows: readonly RowLine<R>[];
  active: Place | null;
  setActive: (place: Place) => void;
}

export function useBlocks<R>({ props: { blocks }, columns, rows, active, setActive }: BlockOptions<R>) {
  /** The start of the selection. */
  const [anchor, setAnchor] = useState<Place | null>(null);
  const isPressing = useRef(false);
  // A table without blocks has nothing to look up, however many rows it has.
  const keys = blocks ? rows.map(({ key }) => key) : [];
  const ids = blocks ? columns.map(({ id }) => id) : [];
  const marked = blocks && active ? markedBetween(keys, ids, anchor, active) : null;
  const isMany = marked !== null && (marked.top !== marked.bottom || marked.left !== marked.right);
  const rowsFrom = (top: number, bottom?: number) => rows.slice(top, bottom).map(({ row }) => row);

  /** Keys that are meant for all that is marked; true where one was. */
  const press = ({ key, ctrlKey, metaKey, altKey }: KeyboardEvent): boolean => {
    if (!blocks || !marked || altKey) return false;
    const { top, bottom, left, right } = marked;
    const block = { rows: rowsFrom(top, bottom + 1), columns: ids.slice(left, right + 1) };
    const letter = ctrlKey || metaKey ? key.toLowerCase() : key;
    if (letter === "c" || letter === "x") void navigator.clipboard?.writeText(textOfBlock(block.rows, columns.slice(left, right + 1)));
    if (letter === "Delete" || letter === "Backspace" || letter === "x") blocks.onClear(block);
    else if (letter === "d" || letter === "r") blocks.onFill(block, letter === "d" ? "down" : "right");
    else return letter === "c";
    return true;
  };
  return {
    /** Says that the focus moves on: with what is marked, or to a single cell. */
    move: (isMarking: boolean) => setAnchor(isMarking ? (anchor ?? active) : null),
    press: (event: KeyboardEvent) => (event.ctrlKey || event.metaKey || event.key.length > 1) && press(event),
    paste: (event: ClipboardEvent) => {
      if (!blocks || !marked || isControl(event.target, "input,textarea")) return;
      event.preventDefault();
      blocks.onPaste(
        { rows: rowsFrom(marked.top), columns: ids.slice(marked.left) },
        cellsOfText(event.clipboardData.getData("text/plain")),
      );
    },
    /** Pressing marks from where one is while Shift is held, and from where one pressed while the pointer moves on. */
    point: (event: PointerEvent) => {
      const place = placeAt(event.target);
      if (!blocks || place === null || place.column === null || isControl(event.target, "a,button,input")) return;
      if (event.type === "pointerdown") {
        setAnchor(event.shiftKey ? (anchor ?? active) : place);
        isPressing.current = true;
      } else if (isPressing.current && event.buttons === 1) setActive(place);
      else isPressing.current = false;
    },
    /** Positions of the first and the last marked column of a row, −1 where none is. */
    markedOf: (key: string): readonly [from: number, to: number] => {
      const at = isMany ? keys.indexOf(key) : -1;
      return isMany && at >= marked.top && at <= marked.bottom ? [marked.left, marked.right] : [-1, -1];
    },
  };
}

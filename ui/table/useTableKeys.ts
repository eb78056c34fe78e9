"use client";
// Walking a table by keys: rows by the arrows up and down, cells by those to the sides where cells can be typed in.
import { type FocusEvent, type KeyboardEvent, useState } from "react";
import { focusSoon } from "../focusSoon.ts";
import { isTyping } from "../keys.ts";
import type { EditStep } from "./cellEditor.tsx";
import type { TableColumn } from "./column.ts";
import { cellText, copiedText } from "./copied.ts";
import type { Line, RowLine } from "./lines.ts";
import { isControl, type Place, placeAt, placeId } from "./place.ts";
import type { TableProps } from "./tableProps.ts";
import { useBlocks } from "./useBlocks.ts";

export interface Editing extends Place {
  first: string | null;
}

interface KeyOptions<R> {
  props: TableProps<R>;
  columns: readonly TableColumn<R>[];
  lines: readonly Line<R>[];
  reveal: (at: number) => void;
}

export function useTableKeys<R>({ props, columns, lines, reveal }: KeyOptions<R>) {
  const [active, setActive] = useState<Place | null>(null);
  const [editing, setEditing] = useState<Editing | null>(null);
  const hasCells = columns.some(({ edit, onKey }) => edit || onKey);
  const rows = lines.filter((line): line is RowLine<R> => line.kind === "row");
  const blocks = useBlocks({ props, columns, rows, active, setActive });
  const goTo = (line: RowLine<R> | undefined, column: string | null, isMarking = false) => {
    if (!line) return;
    const place = { key: line.key, column };
    blocks.move(isMarking);
    reveal(lines.indexOf(line));
    setActive(place);
    focusSoon(placeId(props.name, place));
  };
  const walker: Walker<R> = { props, columns, rows, hasCells, goTo };
  const begin = (line: RowLine<R>, column: TableColumn<R> | undefined, first: string | null): boolean => {
    if (!column?.edit?.(line.row)) return false;
    setEditing({ key: line.key, column: column.id, first });
    return true;
  };
  const done = (line: RowLine<R>, column: string, step: EditStep) => {
    setEditing(null);
    if (step === "stay") goTo(line, column);
    else if (step === "down") goTo(rowBeside(rows, line, 1), column);
    else if (step !== "leave") stepCell(walker, line, column, step === "next" ? 1 : -1);
  };
  const press = (event: KeyboardEvent) => {
    const place = placeAt(event.target);
    const line = rows.find(({ key }) => key === place?.key);
    if (!place || !line || isTyping(event.nativeEvent) || isControl(event.target, "a,button")) return;
    const column = columns.find(({ id }) => id === place.column);
    const isPlain = !event.ctrlKey && !event.metaKey && !event.altKey;
    if (props.onKey?.(event, line.row, place.column)) event.preventDefault();
    else if (blocks.press(event)) event.preventDefault();
    else if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "c" && !event.shiftKey)
      copy(props, columns, rows, line, column);
    else if ((event.ctrlKey || event.metaKey) && toCorner(walker, event.key, place)) event.preventDefault();
    else if (!isPlain) return;
    else if (walk(walker, event, line, place) || takeKey(event.key, props, line, column, begin)) event.preventDefault();
  };
  const focus = (event: FocusEvent) => {
    const place = placeAt(event.target);
    if (place && (place.key !== active?.key || place.column !== active.column)) setActive(place);
  };
  return { hasCells, active: activeOf(active, rows), editing, blocks, begin, done, press, focus };
}

/** The place that the keys are at: the first row where there is none, or where it has gone. */
function activeOf<R>(active: Place | null, rows: readonly RowLine<R>[]): Place | null {
  if (active && rows.some(({ key }) => key === active.key)) return active;
  return rows[0] ? { key: rows[0].key, column: null } : null;
}

interface Walker<R> extends Pick<KeyOptions<R>, "props" | "columns"> {
  rows: readonly RowLine<R>[];
  hasCells: boolean;
  goTo: (line: RowLine<R> | undefined, column: string | null, isMarking?: boolean) => void;
}

const rowBeside = <R>(rows: readonly RowLine<R>[], line: RowLine<R>, by: number): RowLine<R> =>
  rows[Math.max(0, Math.min(rows.length - 1, rows.indexOf(line) + by))];

function stepCell<R>({ columns, goTo }: Walker<R>, line: RowLine<R>, column: string | null, by: number, isMarking = false): void {
  const at = columns.findIndex(({ id }) => id === column) + by;
  goTo(line, at < 0 ? null : columns[Math.min(at, columns.length - 1)].id, isMarking);
}

/** A key that leads to another row or cell, or folds one; true where it did. */
function walk<R>(walker: Walker<R>, { key, shiftKey }: KeyboardEvent, line: RowLine<R>, place: Place): boolean {
  const { props, columns, rows, hasCells, goTo } = walker;
  const vertical = steps[key];
  const isMarking = shiftKey && props.blocks !== undefined && place.column !== null;
  const edge = props.blocks && place.column !== null ? edgeColumn(columns, key) : undefined;
  if (edge !== undefined) goTo(line, edge, isMarking);
  else if (vertical !== undefined) {
    const next = rowBeside(rows, line, vertical);
    if (shiftKey) props.ticks?.onTick([line.id, next.id], true);
    goTo(next, place.column, isMarking);
    if (props.followsKeys && next !== line) props.onOpen?.(next.row);
  } else if (place.column === null && line.isFolded !== null && key === (line.isFolded ? "ArrowRight" : "ArrowLeft"))
    props.onFold?.(line.id);
  else if (hasCells && (key === "ArrowRight" || key === "ArrowLeft"))
    stepCell(walker, line, place.column, key === "ArrowRight" ? 1 : -1, isMarking);
  else if (key === "ArrowLeft" && line.depth > 0) goTo(parentOf(rows, line), null);
  else return false;
  return true;
}

/** To the first or the last row, and in cells to its first or last column; true where the key says so. */
function toCorner<R>({ columns, rows, goTo }: Walker<R>, key: string, { column }: Place): boolean {
  if (key !== "Home" && key !== "End") return false;
  const at = key === "Home" ? 0 : -1;
  goTo(rows.at(at), column === null ? null : (columns.at(at)?.id ?? null));
  return true;
}

/** The first or the last column that can be typed in, where Home or End asks for it. */
function edgeColumn<R>(columns: readonly TableColumn<R>[], key: string): string | undefined {
  const typed = columns.filter(({ edit }) => edit);
  return key === "Home" ? typed[0]?.id : key === "End" ? typed[typed.length - 1]?.id : undefined;
}

/** A key that the cell, or else the row, answers to; true where one did. */
function takeKey<R>(
  key: string,
  { ticks, onOpen }: TableProps<R>,
  line: RowLine<R>,
  column: TableColumn<R> | undefined,
  begin: (line: RowLine<R>, column: TableColumn<R> | undefined, first: string | null) => boolean,
): boolean {
  if (column?.onKey?.(line.row, key)) return true;
  if (key === "Enter" || key === "F2") {
    if (!begin(line, column, null)) onOpen?.(line.row);
  } else if (key === " ") onOpen?.(line.row);
  else if (key.toLowerCase() === "x" && ticks) ticks.onTick([line.id], !ticks.ticked.has(line.id));
  else return (key.length === 1 || key === "Delete") && begin(line, column, key === "Delete" ? "" : key);
  return true;
}

const steps: Record<string, number | undefined> = {
  ArrowDown: 1,
  ArrowUp: -1,
  PageDown: 12,
  PageUp: -12,
  Home: Number.NEGATIVE_INFINITY,
  End: Number.POSITIVE_INFINITY,
};

function parentOf<R>(rows: readonly RowLine<R>[], line: RowLine<R>): RowLine<R> | undefined {
  return rows.slice(0, rows.indexOf(line)).findLast(({ depth }) => depth < line.depth);
}

/** The selected rows, else the cell or the row in focus; selected text is left to the browser. */
function copy<R>(
  { ticks }: TableProps<R>,
  columns: readonly TableColumn<R>[],
  rows: readonly RowLine<R>[],
  line: RowLine<R>,
  column: TableColumn<R> | undefined,
) {
  if (String(getSelection() ?? "") !== "") return;
  const ticked = ticks ? rows.filter(({ id }) => ticks.ticked.has(id)) : [];
  const text =
    ticked.length > 0
      ? copiedText(
          columns,
          ticked.map(({ row }) => row),
        )
      : column?.value
        ? cellText(column, line.row)
        : copiedText(columns, [line.row]);
  void navigator.clipboard?.writeText(text);
}

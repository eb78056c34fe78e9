"use client";
// One row of a table, and the heading of a section.
import { ChevronDown, ChevronRight } from "lucide-react";
import { memo, type ReactNode } from "react";
import { Checkbox } from "../checkbox.tsx";
import { CellEditor, type EditStep } from "./cellEditor.tsx";
import type { TableColumn } from "./column.ts";
import type { RowLine } from "./lines.ts";
import { type Place, placeId } from "./place.ts";
import type { Editing } from "./useTableKeys.ts";

export interface RowProps<R> {
  name: string;
  line: RowLine<R>;
  at: number;
  top: number;
  height: number;
  columns: readonly TableColumn<R>[];
  isTree: boolean;
  isGrid: boolean;
  isSelected: boolean;
  /** Columns of a marked block, by position; −1 for none. */
  markedFrom: number;
  markedTo: number;
  rowName: string;
  tickText: string;
  isTicked: boolean | null;
  look: string | false | undefined;
  active: Place | null;
  editing: Editing | null;
  onTick: (id: string, isOn: boolean, isRange: boolean) => void;
  onFold: (id: string) => void;
  onDone: (line: RowLine<R>, column: string, step: EditStep) => void;
}

function PlainRow<R>(props: RowProps<R>) {
  const { name, line, at, top, height, columns, isTree, isGrid, isSelected, isTicked, look, active } = props;
  const { id, key } = line;
  const isOn = isSelected || isTicked === true;
  return (
    <tr
      id={placeId(name, { key, column: null })}
      data-key={key}
      {...{ [`data-${name}`]: id }}
      tabIndex={isGrid ? (active?.column === null ? 0 : -1) : undefined}
      aria-rowindex={at + 2}
      aria-selected={isGrid ? isOn : undefined}
      aria-level={isTree ? line.depth + 1 : undefined}
      aria-expanded={line.isFolded === null ? undefined : !line.isFolded}
      className={`rows-line rows-row ${isOn ? "rows-row-on" : look || ""}`}
      style={{ top, height }}
    >
      {isTicked !== null && (
        <td className="rows-tick">
          <Checkbox label={props.tickText} checked={isTicked} onChange={(on, event) => props.onTick(id, on, event.shiftKey)} />
        </td>
      )}
      {columns.map((column, position) => (
        <Cell key={column.id} {...props} column={column} isMarked={position >= props.markedFrom && position <= props.markedTo} />
      ))}
    </tr>
  );
}

/** Drawn again only where something of it has changed. */
export const Row = memo(PlainRow) as typeof PlainRow;

function Cell<R>({
  column,
  name,
  rowName,
  line,
  isGrid,
  isTree,
  active,
  editing,
  onFold,
  onDone,
  isMarked,
}: RowProps<R> & { column: TableColumn<R>; isMarked: boolean }) {
  const { row } = line;
  const Tag = column.isRowHead ? "th" : "td";
  const says = column.cellSays?.(row);
  const edit = editing?.column === column.id ? column.edit?.(row) : null;
  const canFocus = isGrid && (column.edit || column.onKey || column.value) !== undefined;
  return (
    <Tag
      id={placeId(name, { key: line.key, column: column.id })}
      {...(column.isRowHead && { scope: "row" })}
      data-column={column.id}
      data-figure={column.isFigure}
      data-sticky={column.isSticky}
      data-bare={column.isBare}
      data-marked={isMarked || undefined}
      tabIndex={canFocus ? (active?.column === column.id ? 0 : -1) : undefined}
      aria-label={says}
      title={says ?? column.cellTitle?.(row)}
      className={`rows-cell ${column.look?.(row) || ""}`}
      style={isTree && column.isRowHead ? { paddingLeft: 6 + line.depth * 20 } : undefined}
    >
      {isTree && column.isRowHead && <Fold line={line} rowName={rowName} onFold={onFold} />}
      {edit ? (
        <CellEditor
          row={row}
          label={`${rowName}, ${column.head.toLowerCase()}`}
          edit={edit}
          first={editing?.first ?? null}
          onDone={(step) => onDone(line, column.id, step)}
        />
      ) : (
        column.cell(row)
      )}
    </Tag>
  );
}

function Fold<R>({ line: { id, isFolded }, rowName, onFold }: { line: RowLine<R>; rowName: string; onFold: (id: string) => void }) {
  if (isFolded === null) return <span className="w-[12px] shrink-0" />;
  return (
    <button
      type="button"
      tabIndex={-1}
      aria-label={`${isFolded ? "Expand" : "Collapse"} ${rowName}`}
      onClick={() => onFold(id)}
      className="rows-fold"
    >
      {isFolded ? <ChevronRight size={13} /> : <ChevronDown size={13} />}
    </button>
  );
}

export function SectionRow({ title, says, top, height, at }: { title: string; says: ReactNode; top: number; height: number; at: number }) {
  return (
    <tr aria-rowindex={at + 2} className="rows-line rows-section" style={{ top, height }}>
      <th scope="rowgroup" className="rows-section-head">
        {title} {says && <span className="rows-section-says">{says}</span>}
      </th>
    </tr>
  );
}

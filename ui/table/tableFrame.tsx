"use client";
// A table as it is now on the screen: headings in sight, rows drawn where one looks, walked by keys, sorted, copied.
import { useVirtualizer } from "@tanstack/react-virtual";
import { type MouseEvent, type ReactNode, type RefObject, useCallback, useEffect, useEffectEvent, useMemo, useRef, useState } from "react";
import { SCREEN_WIDTH, sizeIn, useWidth } from "../useWidth.ts";
import type { EditStep } from "./cellEditor.tsx";
import { columnsThatFit, leastWidth, type TableColumn, tracksOf } from "./column.ts";
import { Divider } from "./divider.tsx";
import { FootRow } from "./footRow.tsx";
import { HeadRow } from "./headRow.tsx";
import { type Line, type RowLine, useLines } from "./lines.ts";
import { isControl, type Place, placeAt } from "./place.ts";
import { Row, SectionRow } from "./row.tsx";
import type { TableProps } from "./tableProps.ts";
import { useSort } from "./useSort.ts";
import { type Editing, useTableKeys } from "./useTableKeys.ts";
import { useWidths } from "./useWidths.ts";

const ROW_HEIGHT = 36;
const HEAD_HEIGHT = 34;
const SECTION_HEIGHT = 29;
const TICK_WIDTH = 34;

export function TableFrame<R>(props: TableProps<R>) {
  const { ticks } = props;
  const frame = useRef<HTMLDivElement>(null);
  const standing = useStanding(props, frame);
  const { columns, lines, virtual, tracks, least, head, setWidth } = standing;
  const height = virtual.getTotalSize();
  return (
    <div
      ref={frame}
      className={`rows-frame ${props.isFramed === false ? "rows-frame-bare" : props.isShort ? "rows-frame-short" : ""}`}
      style={{ "--tracks": tracks, "--least": `${least}px` }}
    >
      <Whole props={props} standing={standing} height={height} />
      {lines.length === 0 && props.empty && <div className="p-6 text-ink-2">{props.empty}</div>}
      <Divider columns={columns} height={head + height} hasTicks={ticks !== undefined} setWidth={setWidth} />
      {props.overlay && (
        <Overlay {...props.overlay} lines={lines} columns={columns} top={head} height={height} hasTicks={ticks !== undefined} />
      )}
    </div>
  );
}

/** The columns as wide as they are, the lines in their order, and which of them are drawn. */
function useStanding<R>(props: TableProps<R>, frame: RefObject<HTMLDivElement | null>) {
  const { name, sections, idOf, parentOf, folded, ticks, rowHeight = ROW_HEIGHT, headHeight = HEAD_HEIGHT, isHeadless = false } = props;
  const { widths, setWidth } = useWidths(name);
  const tickWidth = ticks ? TICK_WIDTH : 0;
  const place = props.isShort || props.isFramed === false ? name : "screen";
  const room = useWidth(frame, place, SCREEN_WIDTH) - tickWidth;
  const [activeColumn, setActiveColumn] = useState<string | null>(null);
  const columns = useMemo(() => columnsThatFit(props.columns, widths, room, activeColumn), [props.columns, widths, room, activeColumn]);
  const { sorting, onSort } = useSort(props.sortIn ?? "address", props.columns);
  const { table, lines } = useLines({ columns, sections, idOf, parentOf, folded, sorting, onSort });
  const head = isHeadless ? 0 : headHeight;
  const virtual = useVirtualizer({
    count: lines.length,
    getScrollElement: () => frame.current,
    estimateSize: (at) => (lines[at].kind === "section" ? SECTION_HEIGHT : rowHeight),
    getItemKey: (at) => lines[at].key,
    overscan: 10,
    initialRect: sizeIn(place, { width: 1000, height: 640 }),
    scrollPaddingStart: head,
    scrollMargin: head,
  });
  const tracks = `${ticks ? `${tickWidth}px ` : ""}${tracksOf(columns, widths, room)}`;
  return { columns, table, lines, virtual, tracks, least: leastWidth(columns, widths, room), head, setWidth, setActiveColumn };
}

interface WholeProps<R> {
  props: TableProps<R>;
  standing: ReturnType<typeof useStanding<R>>;
  /** Pixels of all rows. */
  height: number;
}

/** The table itself: walked by keys where it is a grid. */
function Whole<R>({ props, standing, height }: WholeProps<R>) {
  const { columns, table, lines, virtual, head, setWidth, setActiveColumn } = standing;
  const keys = useTableKeys({ props, columns, lines, reveal: (at) => virtual.scrollToIndex(at) });
  const isGrid = props.parentOf !== undefined || props.onOpen !== undefined || props.ticks !== undefined || keys.hasCells;
  useSelectedInSight(props.selectedId, lines, (at) => virtual.scrollToIndex(at, { align: "center" }));
  const shared = useRowActions({ props, lines, columns, keys });
  const press = (event: MouseEvent) => pressed(event, { props, lines, columns, keys });
  // The clicked or focused column stays, regardless of what opens next to the table.
  const stay = ({ target }: { target: EventTarget }) => setActiveColumn(placeAt(target)?.column ?? null);
  return (
    <table
      onPointerDownCapture={stay}
      onFocusCapture={stay}
      role={props.parentOf ? "treegrid" : isGrid ? "grid" : "table"}
      aria-label={props.label}
      aria-rowcount={lines.length + 1}
      {...(props.ticks && { "aria-multiselectable": true })}
      onKeyDown={isGrid ? keys.press : undefined}
      onFocus={isGrid ? keys.focus : undefined}
      onPaste={props.blocks && keys.blocks.paste}
      onPointerDown={props.blocks && keys.blocks.point}
      onPointerOver={props.blocks && keys.blocks.point}
      data-blocks={props.blocks !== undefined}
      onClick={isGrid ? press : undefined}
      onDoubleClick={keys.hasCells ? press : undefined}
      className="rows-whole"
    >
      {!props.isHeadless && <HeadRow columns={columns} table={table} height={head} ticks={headTicks(props, lines)} setWidth={setWidth} />}
      <tbody className="relative block" style={{ height }}>
        {virtual.getVirtualItems().map(({ index, start }) => (
          <LineRow
            key={lines[index].key}
            line={lines[index]}
            at={index}
            top={start - head}
            isGrid={isGrid}
            columns={columns}
            keys={keys}
            marked={keys.blocks.markedOf(lines[index].key)}
            props={props}
            {...shared}
          />
        ))}
      </tbody>
      {columns.some(({ foot }) => foot !== undefined) && <FootRow columns={columns} />}
    </table>
  );
}

interface Context<R> {
  props: TableProps<R>;
  lines: readonly Line<R>[];
  columns: readonly TableColumn<R>[];
  keys: ReturnType<typeof useTableKeys<R>>;
}

interface RowActions<R> {
  onTick: (id: string, isOn: boolean, isRange: boolean) => void;
  onFold: (id: string) => void;
  onDone: (line: RowLine<R>, column: string, step: EditStep) => void;
}

/** The actions of a row: the same functions for the life of the table, so that rows are not drawn again for them. */
function useRowActions<R>(context: Context<R>): RowActions<R> {
  const latest = useRef(context);
  latest.current = context;
  const last = useRef<string | null>(null);
  const onTick = useCallback((id: string, isOn: boolean, isRange: boolean) => {
    const { props, lines } = latest.current;
    const ids = lines.flatMap((line) => (line.kind === "row" ? [line.id] : []));
    const [from, to] = [ids.indexOf(last.current ?? ""), ids.indexOf(id)].sort((a, b) => a - b);
    props.ticks?.onTick(isRange && from >= 0 ? ids.slice(from, to + 1) : [id], isOn);
    last.current = id;
  }, []);
  const onFold = useCallback((id: string) => latest.current.props.onFold?.(id), []);
  const onDone = useCallback<RowActions<R>["onDone"]>((line, column, step) => latest.current.keys.done(line, column, step), []);
  return { onTick, onFold, onDone };
}

/** A press on a row opens it, twice on a cell that can be typed in begins that. */
function pressed<R>(event: MouseEvent, { props, lines, columns, keys }: Context<R>): void {
  const place = placeAt(event.target);
  const line = lines.find(({ key }) => key === place?.key);
  if (line?.kind !== "row" || isControl(event.target, "a,button,input,label")) return;
  const column = columns.find(({ id }) => id === place?.column);
  if (event.type === "dblclick") keys.begin(line, column, null);
  else props.onOpen?.(line.row);
}

function headTicks<R>({ ticks }: TableProps<R>, lines: readonly Line<R>[]) {
  if (!ticks) return null;
  if (ticks.what === null) return { isAll: false, label: null, onAll: () => undefined };
  const ids = [...new Set(lines.flatMap((line) => (line.kind === "row" ? [line.id] : [])))];
  const isAll = ids.length > 0 && ids.every((id) => ticks.ticked.has(id));
  return { isAll, label: `${isAll ? "Deselect" : "Select"} ${ticks.what}`, onAll: (isOn: boolean) => ticks.onTick(ids, isOn) };
}

/** A link to a row shows it once, when the screen opens: later ones are chosen where one already looks. */
function useSelectedInSight<R>(selectedId: string | null | undefined, lines: readonly Line<R>[], reveal: (at: number) => void) {
  const show = useEffectEvent(() => {
    const at = lines.findIndex((line) => line.kind === "row" && line.id === selectedId);
    if (at > 6) reveal(at);
  });
  useEffect(() => show(), []);
}

interface LineRowProps<R> extends RowActions<R> {
  marked: readonly [from: number, to: number];
  line: Line<R>;
  at: number;
  top: number;
  isGrid: boolean;
  columns: readonly TableColumn<R>[];
  keys: { active: Place | null; editing: Editing | null };
  props: TableProps<R>;
}

function LineRow<R>({ line, at, top, isGrid, columns, keys, marked, props, ...actions }: LineRowProps<R>) {
  if (line.kind === "section") return <SectionRow title={line.title} says={line.says} top={top} height={SECTION_HEIGHT} at={at} />;
  const own = (place: Place | null) => (place?.key === line.key ? place : null);
  return (
    <Row
      {...actions}
      name={props.name}
      rowName={props.nameOf(line.row)}
      line={line}
      at={at}
      top={top}
      height={props.rowHeight ?? ROW_HEIGHT}
      columns={columns}
      isTree={props.parentOf !== undefined}
      isGrid={isGrid}
      isSelected={line.id === props.selectedId}
      markedFrom={marked[0]}
      markedTo={marked[1]}
      tickText={props.ticks?.says?.(props.nameOf(line.row)) ?? `Select ${props.nameOf(line.row)}`}
      isTicked={props.ticks ? props.ticks.ticked.has(line.id) : null}
      look={props.rowLook?.(line.row)}
      active={own(keys.active)}
      editing={keys.editing?.key === line.key ? keys.editing : null}
    />
  );
}

interface OverlayProps<R> {
  column: string;
  draw: (rows: readonly R[], height: number) => ReactNode;
  lines: readonly Line<R>[];
  columns: readonly TableColumn<R>[];
  top: number;
  height: number;
  hasTicks: boolean;
}

function Overlay<R>({ column, draw, lines, columns, top, height, hasTicks }: OverlayProps<R>) {
  const at = columns.findIndex(({ id }) => id === column);
  const rows = useMemo(() => lines.flatMap((line) => (line.kind === "row" ? [line.row] : [])), [lines]);
  if (at < 0) return null;
  return (
    <div aria-hidden className="rows-line rows-overlay" style={{ top, height }}>
      <span className="relative overflow-hidden" style={{ gridColumnStart: at + (hasTicks ? 2 : 1) }}>
        {draw(rows, height)}
      </span>
    </div>
  );
}

// Rows of the plan to and from SQL. Statements are made once from the table descriptions; values are always parameters.
import { isDeepStrictEqual } from "node:util";
import type { Change } from "../core/edits/change.ts";
import type { ListName } from "../core/plan/lists.ts";
import type { Plan, Row } from "../core/plan/schema.ts";
import { known } from "../core/values/lookUp.ts";
import { copyText } from "./copyText.ts";
import type { Sql } from "./driver.ts";
import { type Json, record, rowOf } from "./rowValues.ts";
import { writeExchangeRates, writeSettings } from "./settings.ts";
import { type ChildTable, type Table, tables } from "./tables.ts";

const CHUNK_ROWS = 5_000;

/** Reads all rows of a list in plan order. */
export async function readList(sql: Sql, table: Table): Promise<Row[]> {
  const names = table.columns.map(({ name }) => name).join(", ");
  const [{ rows }] = await sql.query<{ rows: string | null }>(
    `select json_agg(json_build_array(${names}) order by position, id)::text as rows from ${table.table}`,
  );
  const read: unknown[][] = JSON.parse(rows ?? "[]");
  const list = read.map((values) => rowOf(table.columns, values));
  for (const child of table.children) attach(table, child, list, await readChildren(sql, child));
  return list.map(({ isCustom: _, ...row }) => row) as unknown as Row[];
}

async function readChildren(sql: Sql, child: ChildTable): Promise<Map<string, unknown[]>> {
  const names = child.columns.map(({ name }) => name).join(", ");
  const [{ rows }] = await sql.query<{ rows: string | null }>(
    `select json_agg(json_build_array(parent_id, ${names}) order by parent_id, position)::text as rows from ${child.table}`,
  );
  const byParent = new Map<string, unknown[]>();
  const read: [string, ...unknown[]][] = JSON.parse(rows ?? "[]");
  for (const [parent, ...values] of read) {
    const entry = child.scalar ? values[0] : rowOf(child.columns, values);
    const known = byParent.get(parent);
    if (known) known.push(entry);
    else byParent.set(parent, [entry]);
  }
  return byParent;
}

/** Lists that the plan always writes, even when nothing is in them. */
const alwaysThere = new Set(["exceptions", "roleIds", "memberIds", "entries"]);

function attach(table: Table, child: ChildTable, list: Json[], byParent: Map<string, unknown[]>): void {
  for (const row of list) {
    const entries = byParent.get(String(row.id));
    const isTypedEmpty = table.list === "assignments" && row.isCustom === true;
    if (entries) row[child.key] = entries;
    else if (alwaysThere.has(child.key) || isTypedEmpty) row[child.key] = [];
  }
}

/** Writes what is known to be sound, so that what refers to what is not looked up again row by row: for a large plan that
 * takes most of the time, and a trail may begin in its middle. */
export async function withoutLookups(sql: Sql, write: () => Promise<void>): Promise<void> {
  await sql.query("set local session_replication_role = replica");
  await write();
  await sql.query("set local session_replication_role = origin");
}

/** Hears how much of something is done, from 0 to 1. */
export type OnPart = (part: number) => void;

/** Writes the lists of a plan that differ from those that are in the tables in their place.
 * @param standing The plan whose rows the tables hold; null where there are none. */
export async function writeLists(sql: Sql, plan: Plan, standing: Plan | null, onPart?: OnPart): Promise<void> {
  if (!standing) return loadLists(sql, plan, tables, onPart);
  const changed = tables.filter(({ list }) => !isDeepStrictEqual(standing[list], plan[list]));
  if (rowsOf(standing, changed) > FEW_DELETED) {
    await emptyTables(sql);
    await loadLists(sql, plan, tables, onPart);
  } else {
    for (const name of changed.flatMap(namesOf)) await sql.query(`delete from ${name}`);
    await loadLists(sql, plan, changed, onPart);
  }
}

/** Deleted rows keep their room on the disk, as those of an edit do; tables of more rows are emptied all together, which
 * gives it back. */
const FEW_DELETED = 2_000;

const rowsOf = (plan: Plan, lists: readonly Table[]): number => lists.reduce((count, { list }) => count + plan[list].length, 0);

const namesOf = ({ table, children }: Table): string[] => [table, ...children.map((child) => child.table)];

/** Tables that refer to each other can only be emptied together; the trail stays. */
async function emptyTables(sql: Sql): Promise<void> {
  await sql.query(`truncate ${tables.flatMap(namesOf).join(", ")}`);
}

async function loadLists(sql: Sql, plan: Plan, lists: readonly Table[], onPart?: OnPart): Promise<void> {
  const all = rowsOf(plan, lists);
  let written = 0;
  for (const table of lists) {
    const rows: readonly Row[] = plan[table.list];
    for (let from = 0; from < rows.length; from += CHUNK_ROWS) {
      const chunk = rows.slice(from, from + CHUNK_ROWS);
      await sql.load(
        target(table, "position"),
        copyText(table.columns, chunk.map(parentValues), (_, at) => [from + at]),
      );
      for (const child of table.children) await loadChildren(sql, child, chunk);
      written += chunk.length;
      if (!onPart) continue;
      onPart(written / all);
      // The person who waits hears of it: the database runs in this very thread.
      await new Promise(setImmediate);
    }
  }
}

async function loadChildren(sql: Sql, child: ChildTable, parents: readonly Row[]): Promise<void> {
  const places: [string, number][] = [];
  const entries: object[] = [];
  for (const parent of parents)
    for (const [position, entry] of entriesOf(child, parent).entries()) {
      places.push([parent.id, position]);
      entries.push(child.scalar ? { [child.scalar.key]: entry } : Object(entry));
    }
  if (entries.length > 0)
    await sql.load(
      target(child, "parent_id, position"),
      copyText(child.columns, entries, (_, at) => places[at]),
    );
}

const target = ({ table, columns }: Table | ChildTable, lead: string): string =>
  `${table} (${[lead, ...columns.map(({ name }) => name)].join(", ")})`;

/** Writes changes in order; runs that add to the end of a list, or that change rows in place, are written together. */
export async function writeChanges(sql: Sql, changes: readonly Change[]): Promise<void> {
  for (const run of runsTogether(changes)) await writeRun(sql, run);
}

/** Neighbouring changes that one statement can write. */
function runsTogether(changes: readonly Change[]): Change[][] {
  const runs: Change[][] = [];
  const seen = new Set<string>();
  for (const change of changes) {
    const last = runs.at(-1);
    const isLike = last !== undefined && last[0].list === change.list && sortOf(last[0]) === sortOf(change);
    if (isLike && last.length < CHUNK_ROWS && !seen.has(change.id)) last.push(change);
    else {
      runs.push([change]);
      seen.clear();
    }
    seen.add(change.id);
  }
  return runs;
}

function sortOf({ before, after }: Change): "deleted" | "changed" | "added" {
  if (!after) return "deleted";
  return before ? "changed" : "added";
}

async function writeRun(sql: Sql, run: readonly Change[]): Promise<void> {
  const { list, after: last } = run[run.length - 1];
  if (list === "settings") return void (last && (await writeSettings(sql, last)));
  if (list === "exchange") return void (last && (await writeExchangeRates(sql, last.rates)));
  const table = tableOf(list);
  const ids = run.map(({ id }) => id);
  const sort = sortOf(run[0]);
  if (sort === "deleted") return void (await sql.query(`delete from ${table.table} where id = any($1::text[])`, [ids]));
  // A row that is changed in place keeps its position, so no position is given here.
  const positions = sort === "changed" ? null : await positionsOf(sql, table, run);
  const rows = run.map(({ after }) => after as Row);
  await sql.query(upsertText(table), [JSON.stringify(rows.map((row) => parentRecord(table, row, positions?.get(row.id) ?? 0)))]);
  for (const child of table.children) {
    if (sort === "changed") await sql.query(`delete from ${child.table} where parent_id = any($1::text[])`, [ids]);
    await writeChildren(sql, child, rows);
  }
}

/** Positions for rows that are added, each before the row it names: those that are placed before one row that is there
 * already share the room before it. */
async function positionsOf(sql: Sql, table: Table, run: readonly Change[]): Promise<Map<string, number>> {
  const groups = groupsOf(run);
  const room = await roomBefore(sql, table, [...groups.keys()]);
  const atEnd: string[] = [];
  const positions = new Map<string, number>();
  for (const [anchor, ids] of groups) {
    const found = anchor === null ? undefined : room.get(anchor);
    // A row that is gone has nothing before it: as in memory, what was to be there goes to the end.
    if (!found) atEnd.push(...ids);
    else {
      const { below, above = below - ids.length - 1 } = found;
      const step = (below - above) / (ids.length + 1);
      ids.forEach((id, at) => {
        positions.set(id, above + step * (at + 1));
      });
      if (above + step <= above || below - step >= below) return renumbered(sql, table, run);
    }
  }
  if (atEnd.length > 0) {
    const [{ last }] = await sql.query<{ last: number | null }>(`select max(position) as last from ${table.table}`);
    atEnd.forEach((id, at) => {
      positions.set(id, (last ?? 0) + 1 + at);
    });
  }
  return positions;
}

/** The added rows by the row that is there already and that they are placed before, in their order; null for the end. */
function groupsOf(run: readonly Change[]): Map<string | null, string[]> {
  const groups = new Map<string | null, string[]>();
  const anchorOf = new Map<string, string | null>();
  for (const { id, next = null } of run) {
    const known = next === null ? undefined : anchorOf.get(next);
    const anchor = known === undefined ? next : known;
    const ids = groups.get(anchor) ?? [];
    const at = known === undefined || next === null ? ids.length : ids.lastIndexOf(next);
    ids.splice(at, 0, id);
    groups.set(anchor, ids);
    anchorOf.set(id, anchor);
  }
  return groups;
}

/** As many rows as are looked up one by one; for more of them the whole list is read in its order. */
const FEW_ROWS = 4;

async function roomBefore(
  sql: Sql,
  { table }: Table,
  anchors: readonly (string | null)[],
): Promise<Map<string, { below: number; above?: number }>> {
  const ids = anchors.filter((id) => id !== null);
  if (ids.length === 0) return new Map();
  const text =
    ids.length <= FEW_ROWS
      ? `select n.id, n.position as below, (select max(position) from ${table} where position < n.position) as above from ${table} n where n.id = any($1::text[])`
      : `select id, below, above from (select id, position as below, lag(position) over (order by position, id) as above from ${table}) o where id = any($1::text[])`;
  const found = await sql.query<{ id: string; below: number; above: number | null }>(text, [ids]);
  return new Map(found.map(({ id, below, above }) => [id, { below, ...(above !== null && { above }) }]));
}

/** There is no number left in between: all rows are numbered again. */
async function renumbered(sql: Sql, table: Table, run: readonly Change[]): Promise<Map<string, number>> {
  await sql.query(
    `update ${table.table} t set position = o.number from (select id, row_number() over (order by position, id) as number from ${table.table}) o where o.id = t.id`,
  );
  return positionsOf(sql, table, run);
}

function tableOf(list: ListName): Table {
  return known(
    tables.find((table) => table.list === list),
    `table of ${list}`,
  );
}

const upserts = new Map<string, string>();

/** Inserts rows given as one JSON list, or overwrites those with the same id; a row keeps its position. */
function upsertText({ table, columns }: Table): string {
  let text = upserts.get(table);
  if (text === undefined) {
    const names = columns.map(({ name }) => name);
    const typed = columns.map(({ name, type }) => `${name} ${type}`);
    const overwritten = names.filter((name) => name !== "id").map((name) => `${name} = excluded.${name}`);
    text = `insert into ${table} (position, ${names.join(", ")})
      select position, ${names.join(", ")} from json_to_recordset($1::json) as r(position double precision, ${typed.join(", ")})
      on conflict (id) do update set ${overwritten.join(", ")}`;
    upserts.set(table, text);
  }
  return text;
}

async function writeChildren(sql: Sql, child: ChildTable, parents: readonly Row[]): Promise<void> {
  const records = parents.flatMap((parent) =>
    entriesOf(child, parent).map((entry, position) => ({ parent_id: parent.id, position, ...childValues(child, entry) })),
  );
  if (records.length === 0) return;
  const names = child.columns.map(({ name }) => name).join(", ");
  const typed = child.columns.map(({ name, type }) => `${name} ${type}`).join(", ");
  await sql.query(
    `insert into ${child.table} (parent_id, position, ${names})
      select parent_id, position, ${names} from json_to_recordset($1::json) as r(parent_id text, position integer, ${typed})`,
    [JSON.stringify(records)],
  );
}

function entriesOf({ key }: ChildTable, parent: Row): readonly unknown[] {
  const { [key]: entries }: Json = parent;
  return Array.isArray(entries) ? entries : [];
}

function childValues({ scalar, columns }: ChildTable, entry: unknown): Json {
  return scalar ? { [scalar.name]: entry } : record(columns, Object(entry));
}

const parentRecord = (table: Table, row: Row, position: number): Json => ({ position, ...record(table.columns, parentValues(row)) });

/** A row's values; that its weeks are typed is a value too, for there may be none. */
function parentValues(row: Row): Json {
  const values: Json = row;
  return values.custom === undefined ? values : { ...values, isCustom: true };
}

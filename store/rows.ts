// Rows of the plan to and from SQL. Statements are made once from the table descriptions; values are always parameters.
import type { Change } from "../core/edits/change.ts";
import type { ListName, Plan, Row } from "../core/plan/schema.ts";
import type { Sql } from "./driver.ts";
import { type ChildTable, type Column, type Table, tables } from "./tables.ts";

const CHUNK_ROWS = 5_000;

type Json = Record<string, unknown>;

/** Reads all rows of a list in plan order. */
export async function readList(sql: Sql, table: Table): Promise<Row[]> {
  const names = table.columns.map(({ name }) => name).join(", ");
  const [{ rows }] = await sql.query<{ rows: string | null }>(
    `select json_agg(json_build_array(${names}) order by position, id)::text as rows from ${table.table}`,
  );
  const list = ((JSON.parse(rows ?? "[]") as unknown[][]) ?? []).map((values) => rowOf(table.columns, values));
  for (const child of table.children) attach(table, child, list, await readChildren(sql, child));
  return list.map(({ isCustom: _, ...row }) => row) as unknown as Row[];
}

async function readChildren(sql: Sql, child: ChildTable): Promise<Map<string, unknown[]>> {
  const names = child.columns.map(({ name }) => name).join(", ");
  const [{ rows }] = await sql.query<{ rows: string | null }>(
    `select json_agg(json_build_array(parent_id, ${names}) order by parent_id, position)::text as rows from ${child.table}`,
  );
  const byParent = new Map<string, unknown[]>();
  for (const [parent, ...values] of JSON.parse(rows ?? "[]") as [string, ...unknown[]][]) {
    const entry = child.scalar ? values[0] : rowOf(child.columns, values);
    const known = byParent.get(parent);
    if (known) known.push(entry);
    else byParent.set(parent, [entry]);
  }
  return byParent;
}

/** Lists that the plan always writes, even when nothing stands in them. */
const alwaysThere = new Set(["exceptions", "roleIds", "memberIds", "entries"]);

function attach(table: Table, child: ChildTable, list: Json[], byParent: Map<string, unknown[]>): void {
  for (const row of list) {
    const entries = byParent.get(row.id as string);
    const isTypedEmpty = table.list === "assignments" && row.isCustom === true;
    if (entries) row[child.key] = entries;
    else if (alwaysThere.has(child.key) || isTypedEmpty) row[child.key] = [];
  }
}

function rowOf(columns: readonly Column[], values: readonly unknown[]): Json {
  const row: Json = {};
  columns.forEach(({ key }, at) => {
    if (values[at] !== null) row[key] = values[at];
  });
  return row;
}

/** Writes whole lists into empty tables. */
export async function writePlan(sql: Sql, plan: Plan): Promise<void> {
  for (const table of tables) {
    const rows = plan[table.list] as readonly Row[];
    for (let from = 0; from < rows.length; from += CHUNK_ROWS) {
      const chunk = rows.slice(from, from + CHUNK_ROWS);
      await sql.query(upsertText(table), [JSON.stringify(chunk.map((row, at) => parentRecord(table, row, from + at)))]);
      for (const child of table.children) await writeChildren(sql, child, chunk);
    }
  }
}

/** Empties all tables of the plan; the trail stays. */
export async function clearPlan(sql: Sql): Promise<void> {
  for (const { table, children } of tables.toReversed()) {
    for (const child of children) await sql.query(`delete from ${child.table}`);
    await sql.query(`delete from ${table}`);
  }
}

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
    const isLike = last !== undefined && last[0].list === change.list && sortOf(last[0]) === sortOf(change) && sortOf(change) !== "between";
    if (isLike && last.length < CHUNK_ROWS && !seen.has(change.id)) last.push(change);
    else {
      runs.push([change]);
      seen.clear();
    }
    seen.add(change.id);
  }
  return runs;
}

function sortOf({ before, after, next }: Change): "deleted" | "changed" | "appended" | "between" {
  if (!after) return "deleted";
  if (before) return "changed";
  return (next ?? null) === null ? "appended" : "between";
}

async function writeRun(sql: Sql, run: readonly Change[]): Promise<void> {
  const table = tableOf(run[0].list);
  const ids = run.map(({ id }) => id);
  const sort = sortOf(run[0]);
  if (sort === "deleted") return void (await sql.query(`delete from ${table.table} where id = any($1::text[])`, [ids]));
  const rows = run.map(({ after }) => after as Row);
  // A row that is changed in place keeps its position, whatever is given here.
  const first = sort === "changed" ? 0 : await positionBefore(sql, table, run[0].next ?? null);
  await sql.query(upsertText(table), [JSON.stringify(rows.map((row, at) => parentRecord(table, row, first + at)))]);
  for (const child of table.children) {
    if (sort === "changed") await sql.query(`delete from ${child.table} where parent_id = any($1::text[])`, [ids]);
    await writeChildren(sql, child, rows);
  }
}

function tableOf(list: ListName): Table {
  return tables.find((table) => table.list === list) as Table;
}

/** A position just before a row's, or after all. Positions are renumbered when there is no number in between left. */
async function positionBefore(sql: Sql, table: Table, next: string | null): Promise<number> {
  const [found] = await sql.query<{ above: number | null; below: number | null }>(
    next === null
      ? `select max(position) as above, null::double precision as below from ${table.table} where $1::text is null`
      : `select (select max(position) from ${table.table} where position < n.position) as above, n.position as below from ${table.table} n where id = $1`,
    [next],
  );
  // A row that is not there any longer has nothing before it: as in memory, what was to stand there goes to the end.
  if (!found) return positionBefore(sql, table, null);
  const { above, below } = found;
  if (below === null) return (above ?? 0) + 1;
  if (above === null) return below - 1;
  const between = (above + below) / 2;
  if (between > above && between < below) return between;
  await sql.query(
    `update ${table.table} t set position = o.number from (select id, row_number() over (order by position, id) as number from ${table.table}) o where o.id = t.id`,
  );
  return positionBefore(sql, table, next);
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
  const records = parents.flatMap((parent) => {
    const entries = ((parent as unknown as Json)[child.key] ?? []) as unknown[];
    return entries.map((entry, position) => ({ parent_id: parent.id, position, ...childValues(child, entry) }));
  });
  if (records.length === 0) return;
  const names = child.columns.map(({ name }) => name).join(", ");
  const typed = child.columns.map(({ name, type }) => `${name} ${type}`).join(", ");
  await sql.query(
    `insert into ${child.table} (parent_id, position, ${names})
      select parent_id, position, ${names} from json_to_recordset($1::json) as r(parent_id text, position integer, ${typed})`,
    [JSON.stringify(records)],
  );
}

function childValues({ scalar, columns }: ChildTable, entry: unknown): Json {
  return scalar ? { [scalar.name]: entry } : record(columns, entry as Json);
}

function parentRecord(table: Table, row: Row, position: number): Json {
  const values = row as unknown as Json;
  return { position, ...record(table.columns, values.custom === undefined ? values : { ...values, isCustom: true }) };
}

function record(columns: readonly Column[], row: Json): Json {
  return Object.fromEntries(columns.map(({ key, name }) => [name, row[key] ?? null]));
}

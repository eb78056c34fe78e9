// The trail in the database: every revision with who made it, what it says and what it changed.
import type { Change } from "../core/edits/change.ts";
import type { Edit } from "../core/edits/edit.ts";
import type { TrailStep } from "../core/edits/history.ts";
import type { Sql } from "./driver.ts";

/** One revision as the trail keeps it. */
export interface TrailEntry extends TrailStep {
  at: string;
  actor: string;
  changes: Change[];
  /** The name that its sender gave it. */
  key: string | null;
}

/** A revision as it was made: with the edit that was asked for, null where none was. */
export interface MadeEntry extends TrailEntry {
  edit: Edit | null;
}

const ENTRY = `json_build_object('revision', revision, 'at', at, 'actor', actor, 'kind', kind, 'of', of_revision, 'words', words,
  'maker', maker, 'changes', changes, 'key', key, 'edit', edit)::text as entry`;

const parsed = (rows: { entry: string }[]): MadeEntry[] => rows.map(({ entry }) => JSON.parse(entry));

/** The last entries of the trail, or all since a revision; the oldest first. */
export async function readTrail(sql: Sql, { since, most }: { since?: number; most?: number }): Promise<MadeEntry[]> {
  const rows = await sql.query<{ entry: string }>(`select ${ENTRY} from trail where revision > $1 order by revision desc limit $2`, [
    since ?? 0,
    most ?? null,
  ]);
  return parsed(rows).reverse();
}

/** The entries before a revision, the newest first. */
export async function readTrailBefore(sql: Sql, revision: number, most: number, about?: string): Promise<TrailEntry[]> {
  const rows = await sql.query<{ entry: string }>(
    `select ${ENTRY} from trail where revision < $1 and ($3::text is null or strpos(changes::text, $3) > 0) order by revision desc limit $2`,
    [revision, most, about === undefined ? null : JSON.stringify(about)],
  );
  return parsed(rows);
}

/** The newest entry about a revision: that one, or the last that took it back or brought it again. */
export async function readEntryAbout(sql: Sql, revision: number): Promise<TrailEntry | null> {
  const rows = await sql.query<{ entry: string }>(
    `select ${ENTRY} from trail where revision = $1 or of_revision = $1 order by revision desc limit 1`,
    [revision],
  );
  return parsed(rows)[0] ?? null;
}

/** All steps since a plan was last opened as a whole, without what they changed. */
export async function readSteps(sql: Sql): Promise<TrailStep[]> {
  const [{ steps }] = await sql.query<{ steps: string | null }>(
    `select json_agg(json_build_array(revision, kind, of_revision, words, maker) order by revision)::text as steps
     from trail where revision > (select coalesce(max(revision), 0) from trail where kind = 'replace')`,
  );
  const rows: [number, TrailStep["kind"], number | null, string, string | null][] = JSON.parse(steps ?? "[]");
  return rows.map(([revision, kind, of, words, maker]) => ({ revision, kind, of, words, maker }));
}

/** The revision of the entry with this key; null where there is none. */
export async function revisionOfKey(sql: Sql, key: string): Promise<number | null> {
  const [found] = await sql.query<{ revision: number }>("select revision from trail where key = $1", [key]);
  return found?.revision ?? null;
}

export async function writeTrail(sql: Sql, entry: MadeEntry): Promise<void> {
  const { revision, at, actor, kind, of, words, edit, changes, key, maker } = entry;
  await sql.query(
    `insert into trail (revision, at, actor, kind, of_revision, words, edit, changes, key, maker)
     values ($1, $2::timestamptz, $3, $4, $5, $6, $7::jsonb, $8::jsonb, $9, $10)`,
    [revision, at, actor, kind, of, words, edit && JSON.stringify(edit), JSON.stringify(changes), key, maker],
  );
}

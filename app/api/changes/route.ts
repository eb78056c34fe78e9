// The trail, a page at a time: what was done, by whom and when, and the rows that each step changed; of everything, or of
// what names one id.
import type { ToldStep, TrailPage } from "../../../client/messages.ts";
import { makerOf, sinceOf } from "../../../client/messages.ts";
import { stepRows } from "../../../core/edits/stepRows.ts";
import { BUILT_IN_USER, openStore } from "../../host.ts";

export const dynamic = "force-dynamic";

const STEPS = 60;
/** Of an import or a plan that was opened thousands of rows change: so many are reported. */
const MOST_ROWS = 40;

export async function GET(request: Request): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const store = await openStore();
  const before = sinceOf(searchParams.get("before")) ?? store.snapshot().revision + 1;
  const maker = makerOf(searchParams.get("maker"));
  const entries = await store.trailBefore(before, STEPS, searchParams.get("about") ?? undefined);
  const steps = entries.map((entry): ToldStep => {
    const rows = stepRows(entry.changes);
    return {
      revision: entry.revision,
      at: entry.at,
      by: entry.actor === BUILT_IN_USER.id ? BUILT_IN_USER.name : entry.actor,
      kind: entry.kind,
      of: entry.of,
      words: entry.words,
      isOwn: maker !== null && entry.maker === maker,
      rows: rows.slice(0, MOST_ROWS),
      count: rows.length,
    };
  });
  const page: TrailPage = { steps, isAll: entries.length < STEPS };
  return Response.json(page, { headers: { "cache-control": "no-store" } });
}

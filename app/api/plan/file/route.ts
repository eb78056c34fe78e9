// The plan as a file: download, and upload in two steps (what it holds, then replace).
import { MOST_BYTES, MOST_FAULTS_TOLD } from "../../../../core/limits.ts";
import { faultLine } from "../../../../core/plan/faults.ts";
import { parsePlan } from "../../../../core/plan/parse.ts";
import type { Plan } from "../../../../core/plan/schema.ts";
import { readText, TooLarge } from "../../../body.ts";
import { BUILT_IN_USER, openStore } from "../../../host.ts";

export const dynamic = "force-dynamic";

export async function GET(): Promise<Response> {
  const { plan, revision } = (await openStore()).snapshot();
  const name =
    plan.settings.name
      .replaceAll(/[^\p{L}\p{N}]+/gu, "-")
      .replaceAll(/^-|-$/g, "")
      .toLowerCase() || "plan";
  return new Response(JSON.stringify(plan, null, 1), {
    headers: {
      "content-type": "application/json; charset=utf-8",
      "content-disposition": `attachment; filename*=UTF-8''${encodeURIComponent(`${name}-revision-${revision}.json`)}`,
      "cache-control": "no-store",
    },
  });
}

/** Checks a plan file and says what it holds; with `?replace=yes` it becomes the plan. */
export async function POST(request: Request): Promise<Response> {
  let text: string;
  try {
    text = await readText(request, MOST_BYTES.plan);
  } catch (error) {
    if (!(error instanceof TooLarge)) throw error;
    return Response.json(
      { faults: [`This file is larger than ${MOST_BYTES.plan / 1e6} MB, the most a plan may be. Nothing was changed.`] },
      { status: 413 },
    );
  }
  const parsed = parsePlan(text);
  if (!parsed.plan) {
    const lines = parsed.faults.slice(0, MOST_FAULTS_TOLD).map(faultLine);
    const more = parsed.faults.length - lines.length;
    return Response.json({ faults: more > 0 ? [...lines, `… and ${more} more.`] : lines }, { status: 422 });
  }
  const holds = holdings(parsed.plan);
  if (new URL(request.url).searchParams.get("replace") !== "yes") return Response.json({ faults: [], holds });
  const store = await openStore();
  const { revision, backup } = await store.replace(parsed.plan, BUILT_IN_USER.id, new Date().toISOString());
  return Response.json({ faults: [], holds, revision, backup: backup?.split(/[\\/]/).slice(-2).join("/") ?? null });
}

function holdings({ settings, people, projects, tasks, assignments, rateTables }: Plan) {
  return {
    name: settings.name,
    from: settings.planStart,
    to: settings.planEnd,
    people: people.length,
    projects: projects.length,
    tasks: tasks.length,
    assignments: assignments.length,
    rateTables: rateTables.length,
  };
}

// The plan as a file: download, and upload in two steps (what it holds, then replace).

import { type Fault, faultLine } from "../../../../core/plan/faults.ts";
import { MOST_BYTES, MOST_FAULTS_TOLD } from "../../../../core/plan/limits.ts";
import type { Plan } from "../../../../core/plan/schema.ts";
import { readBytes } from "../../../body.ts";
import { failureOf, fileWork } from "../../../files.ts";
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
  try {
    const bytes = await readBytes(request, MOST_BYTES.plan);
    const { plan, faults } = await fileWork().do<"readPlan">({ kind: "readPlan", bytes }, request.signal);
    if (!plan) return refuse(422, toldFaults(faults));
    const holds = holdings(plan);
    if (new URL(request.url).searchParams.get("replace") !== "yes") return Response.json({ faults: [], holds });
    const store = await openStore();
    const { revision, backup } = await store.replace(plan, BUILT_IN_USER.id, new Date().toISOString());
    return Response.json({ faults: [], holds, revision, backup: backup?.split(/[\\/]/).slice(-2).join("/") ?? null });
  } catch (error) {
    const { status, message } = failureOf(error);
    return refuse(status, [message]);
  }
}

function toldFaults(faults: readonly Fault[]): string[] {
  const lines = faults.slice(0, MOST_FAULTS_TOLD).map(faultLine);
  const more = faults.length - lines.length;
  return more > 0 ? [...lines, `… and ${more} more.`] : lines;
}

function refuse(status: number, faults: string[]): Response {
  return Response.json({ faults }, { status });
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

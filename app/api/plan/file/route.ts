// The plan as a file: download, and upload in two steps (what it holds, then replace).

import { type Fault, faultLine } from "../../../../core/plan/faults.ts";
import { MOST_BYTES, MOST_FAULTS_TOLD } from "../../../../core/plan/limits.ts";
import type { Plan } from "../../../../core/plan/schema.ts";
import type { OnPart } from "../../../../store/rows.ts";
import { readBytes } from "../../../body.ts";
import { holdPlan, takeHeld } from "../../../checkedPlan.ts";
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

/** Checks a plan file, says what it holds and holds it for a while. With `?replace=yes` it becomes the plan; with
 * `?held=` and what the check has answered, the file that was checked does, which reports its progress. */
export async function POST(request: Request): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const id = searchParams.get("held");
  if (id !== null) {
    const held = takeHeld(id);
    return held ? replaceTelling(held) : refuse(410, ["The checked file is no longer kept. Choose it again."]);
  }
  try {
    const bytes = await readBytes(request, MOST_BYTES.plan);
    const { plan, faults } = await fileWork().do<"readPlan">({ kind: "readPlan", bytes }, request.signal);
    if (!plan) return refuse(422, faultLines(faults));
    if (searchParams.get("replace") === "yes") return Response.json(await replacedBy(plan));
    return Response.json({ faults: [], holds: holdings(plan), held: holdPlan(plan) });
  } catch (error) {
    const { status, message } = failureOf(error);
    return refuse(status, [message]);
  }
}

async function replacedBy(plan: Plan, onPart?: OnPart) {
  const store = await openStore();
  const { revision, backup } = await store.replace(plan, BUILT_IN_USER.id, new Date().toISOString(), onPart);
  return { faults: [], holds: holdings(plan), revision, backup: backup?.split(/[\\/]/).slice(-2).join("/") ?? null };
}

/** Replaces the plan and answers in lines of JSON: how far it is, and at last what came of it. */
function replaceTelling(plan: Plan): Response {
  const encoder = new TextEncoder();
  let hasLeft = false;
  const body = new ReadableStream<Uint8Array>({
    async start(lines) {
      // A client that leaves misses the answer. The plan is replaced all the same, or not at all: the trail says which.
      const tell = (line: object) => {
        if (!hasLeft) lines.enqueue(encoder.encode(`${JSON.stringify(line)}\n`));
      };
      try {
        tell(await replacedBy(plan, (part) => tell({ part })));
      } catch (error) {
        tell({ faults: [failureOf(error).message] });
      }
      if (!hasLeft) lines.close();
    },
    cancel() {
      hasLeft = true;
    },
  });
  return new Response(body, { headers: { "content-type": "application/x-ndjson; charset=utf-8", "cache-control": "no-store" } });
}

function faultLines(faults: readonly Fault[]): string[] {
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

// Evens out the plan as it is on the server, for browsers to which it is too large: lines of JSON as they are found.
import { evenOutQuerySchema } from "../../../client/evenOutQuery.ts";
import { MOST_BYTES, MOST_NESTING } from "../../../core/plan/limits.ts";
import { parseJson } from "../../../core/values/nesting.ts";
import { readText } from "../../body.ts";
import { evenOutStream } from "../../evenOutThreads.ts";
import { failureOf } from "../../files.ts";
import { BUILT_IN_USER, openStore } from "../../host.ts";

export const dynamic = "force-dynamic";

export async function POST(request: Request): Promise<Response> {
  let value: unknown;
  try {
    value = parseJson(await readText(request, MOST_BYTES.edit), MOST_NESTING);
  } catch (error) {
    if (error instanceof SyntaxError) return refuse(400, "This is not JSON. Nothing was searched.");
    const { status, message } = failureOf(error);
    return refuse(status, message);
  }
  const checked = evenOutQuerySchema.safeParse(value);
  if (!checked.success) {
    const [{ path, message }] = checked.error.issues;
    return refuse(400, `${path.join(".") || "The question"}: ${message}. Nothing was searched.`);
  }
  const { plan } = (await openStore()).snapshot();
  const stream = evenOutStream({ plan: JSON.stringify(plan), query: checked.data, access: BUILT_IN_USER.access }, request.signal);
  if (!stream) return refuse(503, "The plan is being evened out for others. Try again in a moment.");
  return new Response(stream, {
    headers: { "content-type": "application/x-ndjson", "cache-control": "no-store", "x-accel-buffering": "no" },
  });
}

const refuse = (status: number, message: string) => Response.json({ message }, { status });

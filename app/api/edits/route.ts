// Settles edits: checks them again, applies them to the newest plan, answers with what has changed or why not.

import { makerOf, type Settled, settleSchema, sinceOf } from "../../../client/messages.ts";
import { faultText, placeOf } from "../../../core/plan/faults.ts";
import { MOST_BYTES, MOST_NESTING } from "../../../core/plan/limits.ts";
import { schemaFaults } from "../../../core/plan/parse.ts";
import { hasCode, messageOf } from "../../../core/values/errors.ts";
import { parseJson } from "../../../core/values/nesting.ts";
import { unstorableAt } from "../../../core/values/storable.ts";
import { readText } from "../../body.ts";
import { BUILT_IN_USER, openStore } from "../../host.ts";
import { logFailure } from "../../log.ts";

export const dynamic = "force-dynamic";

/** The changes since a revision, for clients that the stream of events does not reach. */
export async function GET(request: Request): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const since = sinceOf(searchParams.get("since"));
  if (since === null) return refuse(400, "State a revision, such as /api/edits?since=12.");
  const answer: Settled = (await openStore()).since(since, makerOf(searchParams.get("maker")));
  return Response.json(answer, { headers: { "cache-control": "no-store" } });
}

export async function POST(request: Request): Promise<Response> {
  if (!request.headers.get("content-type")?.startsWith("application/json"))
    return refuse(415, "Edits are sent as JSON. Nothing was changed.");
  let value: unknown;
  try {
    value = parseJson(await readText(request, MOST_BYTES.edit), MOST_NESTING);
  } catch (error) {
    if (hasCode(error, "tooLarge")) return refuse(413, messageOf(error));
    return refuse(400, "This edit is not JSON and was not made.");
  }
  const unstorable = unstorableAt(value);
  if (unstorable) {
    const fault = { place: placeOf(unstorable), message: faultText.notStorable() };
    return Response.json(await unchanged([fault]), { status: 400 });
  }
  const checked = settleSchema.safeParse(value, { reportInput: true });
  if (!checked.success) {
    const faults = schemaFaults(checked.error.issues, value);
    return Response.json(await unchanged(faults.length > 0 ? faults : [{ place: "", message: faultText.badText(value) }]), { status: 400 });
  }
  const store = await openStore();
  const { request: asked, base, maker = null } = checked.data;
  try {
    const answer: Settled = await store.settle(
      asked,
      { actor: BUILT_IN_USER.id, name: BUILT_IN_USER.name, id: maker },
      base,
      new Date().toISOString(),
    );
    return Response.json(answer, { status: answer.faults.length > 0 ? 409 : 200 });
  } catch (error) {
    // The sender keeps an edit that a stopping server or a failing disk refuses, and sends it again.
    if (hasCode(error, "storeClosed")) return refuse(503, messageOf(error));
    // The transaction was rolled back, so the edit can be put back like any other refusal.
    logFailure(error);
    return refuse(422, "This change could not be saved, for a reason that the server has written to its log. Nothing was changed.");
  }
}

async function refuse(status: number, message: string): Promise<Response> {
  return Response.json(await unchanged([{ place: "", message }]), { status });
}

async function unchanged(faults: Settled["faults"]): Promise<Settled> {
  const { revision, history } = (await openStore()).snapshot();
  return { revision, entries: null, history, faults };
}

// The dates that a step of the trail moved: the plan before it against the plan after it.
import { sinceOf } from "../../../../client/messages.ts";
import { filesReader, openStore } from "../../../host.ts";

export const dynamic = "force-dynamic";

export async function GET(request: Request): Promise<Response> {
  const revision = sinceOf(new URL(request.url).searchParams.get("revision"));
  if (revision === null || revision < 1) return Response.json({ message: "Name a revision: ?revision=12." }, { status: 400 });
  const store = await openStore();
  const after = await store.planAt(revision);
  const before = after && (await store.planAt(revision - 1));
  if (!before) return Response.json({ message: "The plan of that revision is no longer kept." }, { status: 404 });
  const moved = await (await filesReader()).ask({ kind: "moved", before: JSON.stringify(before), after: JSON.stringify(after) });
  return Response.json(moved.data, { headers: { "cache-control": "private, max-age=3600" } });
}

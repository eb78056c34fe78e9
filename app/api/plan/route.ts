// The whole plan as the browser's host reads it.
import { openStore } from "../../host.ts";

export const dynamic = "force-dynamic";

export async function GET(): Promise<Response> {
  const store = await openStore();
  return Response.json(store.snapshot(), { headers: { "cache-control": "no-store" } });
}

// The whole plan as the browser's host reads it.
import { makerOf } from "../../../client/messages.ts";
import { currentText } from "../../host.ts";

export const dynamic = "force-dynamic";

export async function GET(request: Request): Promise<Response> {
  const text = await currentText(makerOf(new URL(request.url).searchParams.get("maker")));
  return new Response(text, { headers: { "content-type": "application/json", "cache-control": "no-store" } });
}

// The whole plan as the browser's host reads it.
import { currentText } from "../../host.ts";

export const dynamic = "force-dynamic";

export async function GET(): Promise<Response> {
  const text = await currentText();
  // The bytes are shared by all who ask, so they are sent as they are.
  return new Response(text as Uint8Array<ArrayBuffer>, { headers: { "content-type": "application/json", "cache-control": "no-store" } });
}

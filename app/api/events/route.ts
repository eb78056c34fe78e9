// Every change, sent to every window as it happens: a stream of answers, each with the revisions since the last one.
import { makerOf, type Settled, sinceOf } from "../../../client/messages.ts";
import { openStore } from "../../host.ts";

export const dynamic = "force-dynamic";

/** A line that is sent while nothing happens, so that both sides notice a broken connection. */
const ALIVE_MS = 15_000;

export async function GET(request: Request): Promise<Response> {
  const store = await openStore();
  // A browser that comes back after a break says what it heard last.
  const { searchParams } = new URL(request.url);
  const heard = request.headers.get("last-event-id") ?? searchParams.get("since");
  const maker = makerOf(searchParams.get("maker"));
  let reported = sinceOf(heard) ?? store.snapshot().revision;
  const text = new TextEncoder();
  let end: () => void = () => undefined;
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const send = (line: string) => controller.enqueue(text.encode(line));
      const tell = () => {
        const answer: Settled = store.since(reported, maker);
        if (answer.revision === reported) return;
        reported = answer.revision;
        send(`id: ${reported}\ndata: ${JSON.stringify(answer)}\n\n`);
      };
      const stopListening = store.onChange(tell);
      const alive = setInterval(() => send("event: alive\ndata:\n\n"), ALIVE_MS);
      end = () => {
        stopListening();
        clearInterval(alive);
        end = () => undefined;
      };
      send("event: alive\ndata:\n\n");
      tell();
      request.signal.addEventListener("abort", () => end());
    },
    cancel: () => end(),
  });
  return new Response(stream, {
    headers: { "content-type": "text/event-stream", "cache-control": "no-cache, no-transform", "x-accel-buffering": "no" },
  });
}

// Evening out on the server, where the plan is large: it has more memory, and the browser stays free for its screens.

import type { EvenOutQuery } from "./evenOutQuery.ts";
import { post } from "./post.ts";
import type { EvenOutNews } from "./searches.ts";

/** Hears what is found until it is done or stopped; what has been heard by then is valid.
 * @returns False where the server has not begun: it is to be searched here then. */
export async function evenOutThere(
  query: EvenOutQuery,
  tell: (news: EvenOutNews, isDone: boolean) => void,
  signal: AbortSignal,
): Promise<boolean> {
  const found: EvenOutNews["found"] = [];
  let last: EvenOutNews | null = null;
  try {
    const response = await post("/api/even-out", { body: JSON.stringify(query), signal });
    if (!response.ok || !response.body) return false;
    for await (const line of linesOf(response.body)) {
      const { news, isDone } = JSON.parse(line) as { news: EvenOutNews; isDone: boolean };
      found.push(...news.found);
      last = { ...news, found: [...found] };
      tell(last, isDone);
      if (isDone) return true;
    }
  } catch {
    // Stopped, or the connection is broken: what has been found stands.
  }
  if (last) tell(last, true);
  return last !== null || signal.aborted;
}

async function* linesOf(body: ReadableStream<Uint8Array>): AsyncGenerator<string> {
  const reader = body.pipeThrough(new TextDecoderStream() as ReadableWritablePair<string, Uint8Array>).getReader();
  let rest = "";
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return;
    const lines = (rest + value).split("\n");
    rest = lines.pop() ?? "";
    yield* lines;
  }
}

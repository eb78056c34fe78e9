// Evening out on the server, where the plan is large: it has more memory, and the browser stays free for its screens.

import { answerLines } from "./answerLines.ts";
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
  let found: EvenOutNews["found"] = [];
  let last: EvenOutNews | null = null;
  try {
    const response = await post("/api/even-out", { body: JSON.stringify(query), signal });
    if (!response.ok) return false;
    for await (const { news, isDone } of answerLines<{ news: EvenOutNews; isDone: boolean }>(response)) {
      if (last && news.result !== last.result) found = [];
      found.push(...news.found);
      last = { ...news, found: [...found] };
      tell(last, isDone);
      if (isDone) return true;
    }
  } catch {
    // Stopped, or the connection is broken: what has been found is.
  }
  if (last) tell(last, true);
  return last !== null || signal.aborted;
}

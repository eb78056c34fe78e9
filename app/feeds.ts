// Feeds of the plan as iCalendar, for a download or a subscription.
import "server-only";
import type { Feed } from "../core/answers/feeds.ts";
import { writeCalendar } from "../interchange/ical.ts";
import { filesReader } from "./host.ts";

/** A feed of the newest plan, or why there is none of this kind and id. */
export const findFeed = async (of: string, id: string): Promise<Feed | string> =>
  (await (await filesReader()).ask({ kind: "feed", of, id })).data;

export function calendarResponse({ name, events }: Feed): Response {
  const stamp = `${new Date().toISOString().slice(0, 19)}Z`;
  return new Response(writeCalendar(name, events, stamp), {
    headers: { "content-type": "text/calendar; charset=utf-8", "cache-control": "no-cache" },
  });
}

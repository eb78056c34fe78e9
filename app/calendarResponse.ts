// A feed of events as an iCalendar answer, for a download or a subscription.
import type { Feed } from "../core/answers/feeds.ts";
import { writeCalendar } from "../interchange/ical.ts";

export function calendarResponse(feed: Feed | null, missing: string): Response {
  if (!feed) return Response.json({ message: missing }, { status: 404 });
  const stamp = `${new Date().toISOString().slice(0, 19)}Z`;
  return new Response(writeCalendar(feed.name, feed.events, stamp), {
    headers: { "content-type": "text/calendar; charset=utf-8", "cache-control": "no-cache" },
  });
}

import { assignmentsFeed } from "../../../../../core/answers/feeds.ts";
import { calendarResponse } from "../../../../calendarResponse.ts";
import { currentModel } from "../../../../host.ts";

export const dynamic = "force-dynamic";

/** A person's assignments as iCalendar, at `/api/feeds/people/ID.ics`. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const id = (await params).id.replace(/\.ics$/, "");
  return calendarResponse(assignmentsFeed((await currentModel()).model, id), "There is nobody with this id.");
}

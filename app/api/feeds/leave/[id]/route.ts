import { leaveFeed } from "../../../../../core/answers/feeds.ts";
import { calendarResponse } from "../../../../calendarResponse.ts";
import { currentModel } from "../../../../host.ts";

export const dynamic = "force-dynamic";

/** The leave of a team as iCalendar, at `/api/feeds/leave/ID.ics`; of everybody at `all.ics`. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const id = (await params).id.replace(/\.ics$/, "");
  return calendarResponse(leaveFeed((await currentModel()).model, id === "all" ? null : id), "There is no team with this id.");
}

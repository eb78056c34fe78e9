// A feed at its own address, which nobody can guess.
import { isFeedSecret } from "../../../../../../store/secrets.ts";
import { calendarResponse, findFeed } from "../../../../../feeds.ts";
import { folderOfData } from "../../../../../host.ts";

export const dynamic = "force-dynamic";

/** At `/api/feeds/people/ID/SECRET.ics` and `/api/feeds/leave/ID/SECRET.ics`. */
export async function GET(_: Request, { params }: { params: Promise<{ kind: string; id: string; secret: string }> }): Promise<Response> {
  const { kind, id, secret } = await params;
  if (!(await isFeedSecret(folderOfData(), `${kind}/${id}`, secret.replace(/\.ics$/, ""))))
    return Response.json(
      { message: "This is not the address of a feed, or it is no longer valid. Copy it again from the application." },
      { status: 404 },
    );
  const feed = await findFeed(kind, id);
  return typeof feed === "string" ? Response.json({ message: feed }, { status: 404 }) : calendarResponse(feed);
}

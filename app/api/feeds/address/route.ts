// The address of a feed, given to the application's own pages; and the renewal of all of them.
import { feedSecret, renewSecret } from "../../../../store/secrets.ts";
import { findFeed } from "../../../feeds.ts";
import { folderOfData } from "../../../host.ts";

export const dynamic = "force-dynamic";

export async function GET(request: Request): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const [kind, id] = [searchParams.get("kind") ?? "", searchParams.get("id") ?? ""];
  const feed = await findFeed(kind, id);
  if (typeof feed === "string") return Response.json({ message: feed }, { status: 404 });
  const secret = await feedSecret(folderOfData(), `${kind}/${id}`);
  const path = `/api/feeds/${kind}/${encodeURIComponent(id)}/${secret}.ics`;
  return Response.json({ path }, { headers: { "cache-control": "no-store" } });
}

/** Makes all addresses again: former subscriptions end. */
export async function POST(): Promise<Response> {
  await renewSecret(folderOfData(), "feed-key");
  return Response.json({ renewed: true });
}

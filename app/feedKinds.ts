// The kinds of feed, and finding one.
import { assignmentsFeed, type Feed, leaveFeed } from "../core/answers/feeds.ts";
import type { Model } from "../core/model.ts";

/** The kinds of feed: a person's assignments, and the leave of a team or, as "all", of everyone. */
const feeds: Record<string, { read: (model: Model, id: string) => Feed | null; missing: string }> = {
  people: { read: assignmentsFeed, missing: "There is no person with this id." },
  leave: { read: (model, id) => leaveFeed(model, id === "all" ? null : id), missing: "There is no team with this id." },
};

/** A feed, or why there is none of this kind and id. */
export function findFeed(model: Model, kind: string, id: string): Feed | string {
  const known = Object.hasOwn(feeds, kind) ? feeds[kind] : null;
  if (!known) return `There is no feed "${kind}"; there are ${Object.keys(feeds).join(" and ")}.`;
  return known.read(model, id) ?? known.missing;
}

// The sketch that a page is asked for with. Its address names it, but only pages know their address, and what is around
// them is not: so it comes along with the request.
import { headers } from "next/headers";

const HEADER = "x-roster-sketch";

/** Writes down, for the pages, the sketch that an address names. */
export function noteSketch(to: Headers, { searchParams }: URL): void {
  to.delete(HEADER);
  const sketchId = searchParams.get("sketch");
  if (sketchId !== null) to.set(HEADER, encodeURIComponent(sketchId));
}

/** The sketch on top of the plan in the page that is answered now; null for the plan itself. */
export async function openedSketch(): Promise<string | null> {
  const noted = (await headers()).get(HEADER);
  return noted === null ? null : decodeURIComponent(noted);
}

"use client";
// While a sketch is open: a line under the header that says so, whose it is and how much it holds; and the rows that it changes
// with a plum edge wherever they are.
import { usePathname, useRouter, useSearchParams } from "next/navigation";
import { useEffect } from "react";
import { useHost, useMaybeAnswer, usePlan } from "../../client/session.tsx";
import { Button } from "../../ui/button.tsx";
import { countText } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { rowSelectors } from "../notices/rowSelectors.ts";
import { useFrame } from "../scope/facts.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { texts } from "./words.ts";

/** As many rows are marked; a sketch that changes more is marked in part. */
const MOST_MARKED = 1_000;

export function SketchBar() {
  const session = usePlan();
  const linkTo = useLinkTo();
  const { sketches: came } = useFrame();
  const sketchId = useHost((state) => (state ? state.sketchId : (came?.sketchId ?? null)));
  const wanted = useSearchParams().get("sketch");
  const leave = useLeaveSketch();
  useEffect(() => session.openSketch(wanted), [session, wanted]);
  const sketches = useMaybeAnswer("sketches", sketchId === null ? null : {}, came);
  const marks = useMaybeAnswer("sketchMarks", sketchId === null ? null : { sketchId }, null);
  if (sketchId === null || !sketches) return null;
  const sketch = sketches.find(({ id }) => id === sketchId);
  const selectors = rowSelectors(marks ?? []);
  return (
    <div role="status" className="sketch-bar">
      {selectors.length > 0 && <style>{`:is(${selectors.slice(0, MOST_MARKED).join(",")}){box-shadow:inset 3px 0 var(--plum)}`}</style>}
      {sketch ? (
        <>
          <span className="font-semibold">Sketch: {sketch.name}</span>
          <span>
            by {sketch.by}, {changesText(sketch.changes)}
            {sketch.lost > 0 && `, ${sketch.lost} no longer possible`}. Your changes are recorded in it, and exports show its figures.
          </span>
          <Link href={linkTo("/sketches", { open: sketch.id })} className="text-link ml-auto">
            {texts.review}
          </Link>
        </>
      ) : (
        <span className="mr-auto">{texts.thisSketchNoLongerExists}</span>
      )}
      <Button onClick={leave}>{texts.closeTheSketch}</Button>
    </div>
  );
}

function changesText(count: number): string {
  if (count === 0) return "no changes yet";
  return `${countText(count, "change")} recorded`;
}

/** Goes back to the plan itself, on the screen one is on. */
function useLeaveSketch(): () => void {
  const router = useRouter();
  const path = usePathname();
  const params = useSearchParams();
  return () => {
    const left = new URLSearchParams(params);
    left.delete("sketch");
    router.replace(left.size > 0 ? `${path}?${left}` : path);
  };
}

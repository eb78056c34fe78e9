"use client";
// A part that is asked for often is drawn once out of sight, when the page has settled: a browser reads a function only when
// it is first called, and a large sheet has hundreds of them.
import { Activity, type ReactNode, useEffect, useState } from "react";
import { createPortal } from "react-dom";
import { atRest } from "../../client/atRest.ts";
import { useHasRested } from "../../client/useHasRested.ts";

/** Ids of the parts that have been drawn so in this page. */
const drawn = new Set<number>();

interface PrerenderProps {
  /** A part that is loaded later; one that has not come yet is not drawn. */
  of: { id: number; loaded: unknown };
  /** The part as it may be asked for. */
  children: ReactNode;
}

/** Draws a part outside the document, without its effects, once in a page. */
export function Prerender({ of, children }: PrerenderProps) {
  const hasRested = useHasRested();
  const [stage, setStage] = useState<Element | null>(null);
  useEffect(() => {
    if (!hasRested || drawn.has(of.id)) return;
    let isLeft = false;
    const rehearse = async () => {
      await atRest();
      if (isLeft || !of.loaded || drawn.has(of.id)) return;
      drawn.add(of.id);
      setStage(document.createElement("div"));
      await atRest();
      setStage(null);
    };
    void rehearse();
    return () => {
      isLeft = true;
    };
  }, [hasRested, of]);
  return stage && createPortal(<Activity mode="hidden">{children}</Activity>, stage);
}

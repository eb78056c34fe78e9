"use client";
// What is pressed first is drawn once out of sight, when the page has come to rest: a browser reads a function only when it is
// first called, and a large sheet has hundreds of them.
import { Activity, type ReactNode, useEffect, useState } from "react";
import { createPortal } from "react-dom";
import { atRest } from "../../client/atRest.ts";
import { useHasRested } from "../../client/useHasRested.ts";

let isOver = false;

/** Draws something outside the document, without its effects, once in a page. */
export function Rehearsal({ children }: { children: ReactNode }) {
  const hasRested = useHasRested();
  const [stage, setStage] = useState<Element | null>(null);
  useEffect(() => {
    if (!hasRested || isOver) return;
    let isLeft = false;
    const rehearse = async () => {
      await atRest();
      if (isLeft || isOver) return;
      isOver = true;
      setStage(document.createElement("div"));
      await atRest();
      setStage(null);
    };
    void rehearse();
    return () => {
      isLeft = true;
    };
  }, [hasRested]);
  return stage && createPortal(<Activity mode="hidden">{children}</Activity>, stage);
}

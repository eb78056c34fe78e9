"use client";
// Pieces of work done one after the other: each starts from the result of the one before.
import { useCallback, useRef } from "react";

/** Does a piece of work once all that were given before are done. */
export function useInTurn(): (work: () => Promise<unknown>) => void {
  const last = useRef<Promise<unknown>>(Promise.resolve());
  return useCallback((work) => {
    last.current = last.current.then(work, work);
  }, []);
}

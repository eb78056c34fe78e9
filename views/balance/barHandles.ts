"use client";
// The handles of the board's bars: the board follows the drag, since the bar's own row may scroll out of view.
import { createContext, useContext } from "react";
import type { useBarDrag } from "./useBarDrag.ts";

type Handlers = ReturnType<typeof useBarDrag>["handlers"];

export const BarHandlesContext = createContext<Handlers | null>(null);

/** Properties of a bar, or of one of its ends. */
export function useBarHandles(): Handlers {
  const handlers = useContext(BarHandlesContext);
  if (!handlers) throw new Error("useBarHandles belongs below a Board.");
  return handlers;
}

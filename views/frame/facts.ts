"use client";
// What every screen knows of the plan: what came with the page, names for pickers, horizon and today.
import { createContext, useContext } from "react";
import type { AnswerOf } from "../../client/questions.ts";
import { type Initial, useAnswer } from "../../client/session.tsx";

/** What every screen needs, as it came with the page. */
export interface FrameInitial {
  clock: number;
  user: { name: string; initials: string };
  theme: "light" | "dark";
  frame: Initial<AnswerOf<"frame">>;
  ribbon: Initial<AnswerOf<"ribbon">>;
  tray: Initial<AnswerOf<"tray">>;
  names: Initial<AnswerOf<"names">>;
}

export const FrameContext = createContext<FrameInitial | null>(null);

/** What came with the page for the frame. */
export function useFrame(): FrameInitial {
  const frame = useContext(FrameContext);
  if (!frame) throw new Error("useFrame belongs below a Frame.");
  return frame;
}

/** Names for pickers. */
export function useNames(): AnswerOf<"names"> {
  return useAnswer("names", {}, useFrame().names);
}

/** The plan's horizon, today and currency, and where its weeks and years begin. */
export function usePlanFacts() {
  const { ribbon, frame, clock } = useFrame();
  const { today, horizon } = useAnswer("ribbon", { clock }, ribbon);
  const { currency, periodSettings } = useAnswer("frame", {}, frame);
  return { today, horizon, currency, periodSettings };
}

"use client";
// The facts of the plan that every screen knows: those that came with the page, names for pickers, horizon and today.
import { createContext, useContext } from "react";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import { useAnswer } from "../../client/session.tsx";
import type { Day } from "../../core/calendar/day.ts";
import type { PeriodSettings, Range } from "../../core/calendar/periods.ts";

/** The data of the frame, as it came with the page. */
export interface FrameInitial {
  clock: number;
  user: { name: string; initials: string };
  theme: "light" | "dark";
  frame: Initial<AnswerOf<"frame">>;
  ribbon: Initial<AnswerOf<"ribbon">>;
  tray: Initial<AnswerOf<"tray">>;
  names: Initial<AnswerOf<"names">>;
  /** Null where the page was opened without a sketch. */
  sketches: Initial<AnswerOf<"sketches">> | null;
}

export const FrameContext = createContext<FrameInitial | null>(null);

/** The data of the frame that came with the page. */
export function useFrame(): FrameInitial {
  const frame = useContext(FrameContext);
  if (!frame) throw new Error("useFrame belongs below a Frame.");
  return frame;
}

/** Names for pickers. */
export function useNames(): AnswerOf<"names"> {
  return useAnswer("names", {}, useFrame().names);
}

/** The plan's name, horizon, today and currency, and where its weeks and years begin. */
export interface PlanFacts {
  planName: string;
  today: Day;
  horizon: Range;
  currency: string;
  periodSettings: PeriodSettings;
}

export const FactsContext = createContext<PlanFacts | null>(null);

/** The facts that every row of a screen may ask for; the same as long as none of them changes. */
export function usePlanFacts(): PlanFacts {
  const facts = useContext(FactsContext);
  if (!facts) throw new Error("usePlanFacts belongs below a Frame.");
  return facts;
}

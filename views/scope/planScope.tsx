"use client";
// The data that every part of a screen uses, calculated once: the plan's facts, today, and the window of time.
import { type ReactNode, useRef } from "react";
import { useAnswer } from "../../client/session.tsx";
import { isSame } from "../../core/values/same.ts";
import { TodayContext } from "../../ui/today.ts";
import { useTimeWindow } from "../../ui/window.ts";
import { FactsContext, type PlanFacts, useFrame } from "./facts.ts";
import { WindowContext } from "./windowed.ts";

export function PlanScope({ children }: { children: ReactNode }) {
  const facts = useFacts();
  const window = useTimeWindow(facts.today, facts.horizon, facts.periodSettings);
  return (
    <FactsContext value={facts}>
      <TodayContext value={facts.today}>
        <WindowContext value={window}>{children}</WindowContext>
      </TodayContext>
    </FactsContext>
  );
}

/** The facts as the plan has them now; the same object until one changes, so that an edit does not draw every bar again. */
function useFacts(): PlanFacts {
  const initial = useFrame();
  const { today, horizon } = useAnswer("ribbon", { clock: initial.clock }, initial.ribbon);
  const { planName, currency, periodSettings } = useAnswer("frame", {}, initial.frame);
  const now = { planName, today, horizon, currency, periodSettings };
  const known = useRef(now);
  if (!isSame(known.current, now)) known.current = now;
  return known.current;
}

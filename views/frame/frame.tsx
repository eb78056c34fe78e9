"use client";
// The frame of every screen: time ribbon above, rail on the left, the screen with its tray and side sheet.
import { NuqsAdapter } from "nuqs/adapters/next/app";
import { createContext, type ReactNode, Suspense, useContext } from "react";
import { Toaster, toast } from "sonner";
import type { Notice } from "../../client/host.ts";
import type { AnswerOf } from "../../client/questions.ts";
import { type Initial, PlanProvider, useAnswer } from "../../client/session.tsx";
import { Header } from "./header.tsx";
import { MovedNotice } from "./movedNotice.tsx";
import { Rail } from "./rail.tsx";

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

const FrameContext = createContext<FrameInitial | null>(null);

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

const showNotice = (notice: Notice) => {
  if (notice.kind === "moved") {
    toast(<MovedNotice moves={notice.moves} />, { id: "moved", duration: 12_000 });
    return;
  }
  const { kind, text } = notice;
  if (kind === "refused") toast.error(text, { duration: 9_000 });
  else if (kind === "offline") toast.warning(text, { id: "connection", duration: 15_000 });
  else toast(text, { id: kind === "online" ? "connection" : undefined });
};

export function Frame({ initial, children }: { initial: FrameInitial; children: ReactNode }) {
  return (
    <NuqsAdapter>
      <FrameContext value={initial}>
        <PlanProvider onNotice={showNotice}>
          <div className="relative grid h-full grid-cols-[132px_minmax(0,1fr)] grid-rows-[68px_minmax(0,1fr)]">
            <Suspense>
              <Header />
              <Rail />
              {children}
            </Suspense>
          </div>
          <Toaster
            position="bottom-right"
            toastOptions={{
              style: { background: "var(--sheet)", color: "var(--ink)", border: "1px solid var(--line-2)", fontFamily: "var(--font)" },
            }}
          />
        </PlanProvider>
      </FrameContext>
    </NuqsAdapter>
  );
}

"use client";
// The frame of every screen: time ribbon above, rail on the left, the screen with its tray and side sheet.
import { NuqsAdapter } from "nuqs/adapters/next/app";
import { type ReactNode, Suspense } from "react";
import { Toaster, toast } from "sonner";
import type { Notice } from "../../client/host.ts";
import { PlanProvider } from "../../client/session.tsx";
import { newId } from "../../ui/newId.ts";
import { ChangedSinceNotice, EditConflictNotice } from "../notices/editConflictNotice.tsx";
import { markHeard } from "../notices/heard.ts";
import { MovedNotice } from "../notices/movedNotice.tsx";
import { FrameContext, type FrameInitial } from "../scope/facts.ts";
import { PlanScope } from "../scope/planScope.tsx";
import { FirstSteps } from "../start/firstSteps.tsx";
import { Header } from "./header.tsx";
import { Rail } from "./rail.tsx";
import { texts } from "./words.ts";

const showNotice = (notice: Notice) => {
  if (notice.kind === "moved") toast(<MovedNotice moves={notice.moves} typed={notice.typed} />, { id: "moved", duration: 12_000 });
  else if (notice.kind === "refused") toast.error(notice.text, { duration: 9_000 });
  else if (notice.kind === "offline") toast.warning(notice.text, { id: "connection", duration: 15_000 });
  else if (notice.kind === "heard") markHeard(notice.rows);
  else if (notice.kind === "editConflicts") {
    // Nothing is decided by waiting: it stays until a person has chosen.
    const toastId = `editConflicts ${notice.key}`;
    toast(<EditConflictNotice rows={notice.rows} edit={notice.edit} choice={notice.key} toastId={toastId} />, {
      id: toastId,
      duration: Number.POSITIVE_INFINITY,
    });
  } else if (notice.kind === "changedSince") {
    const toastId = newId("changed-since");
    toast(<ChangedSinceNotice {...notice} toastId={toastId} />, { id: toastId, duration: Number.POSITIVE_INFINITY });
  } else if (notice.kind === "notKept") toast.warning(notice.text, { id: "storage", duration: Number.POSITIVE_INFINITY });
  else toast(notice.text, { id: notice.kind === "online" ? "connection" : undefined });
};

export function Frame({ initial, children }: { initial: FrameInitial; children: ReactNode }) {
  return (
    <NuqsAdapter>
      <FrameContext value={initial}>
        <PlanProvider onNotice={showNotice} sketchId={initial.sketches?.sketchId ?? null}>
          <div className="relative grid h-full grid-cols-[132px_auto_minmax(0,1fr)] max-[800px]:grid-cols-[104px_auto_minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)]">
            <a href="#screen" className="skip-link">
              {texts.skipToTheScreen}
            </a>
            <Suspense>
              <PlanScope>
                <Header />
                <Rail />
                <FirstSteps />
                {children}
              </PlanScope>
            </Suspense>
          </div>
          <Toaster
            position="bottom-right"
            style={{ "--width": "292px" }}
            // Above the tray and the line that tasks are written in.
            offset={{ bottom: 116, right: 14 }}
            closeButton
            toastOptions={{
              style: { background: "var(--sheet)", color: "var(--ink)", border: "1px solid var(--line-2)", fontFamily: "var(--font)" },
            }}
          />
        </PlanProvider>
      </FrameContext>
    </NuqsAdapter>
  );
}

"use client";
// The top of every screen: name, time ribbon, undo and redo, the plan's menu, the finder, the user.
import { Redo2, Undo2 } from "lucide-react";
import { useEffect } from "react";
import { useAnswer, useHost, useIsSaving, usePlan } from "../../client/session.tsx";
import type { Grain } from "../../core/calendar/periods.ts";
import { IconButton } from "../../ui/button.tsx";
import { isTyping, useKeys } from "../../ui/keys.ts";
import Link from "../../ui/link.tsx";
import { Ribbon } from "../../ui/ribbon.tsx";
import { useFrame } from "../scope/facts.ts";
import { useStays } from "../scope/useStays.ts";
import { useLinkTo, usePlanWindow } from "../scope/windowed.ts";
import { Finder } from "./finder.tsx";
import { PlanMenu } from "./planMenu.tsx";
import { Shortcuts } from "./shortcuts.tsx";
import { SketchBar } from "./sketchBar.tsx";
import { texts } from "./words.ts";

const ladder: readonly Grain[] = ["day", "week", "month", "quarter", "year"];
const stepOf: Record<Grain, number> = { day: 1, week: 7, month: 7, quarter: 7, year: 7 };

export function Header() {
  const frame = useFrame();
  const ribbon = useAnswer("ribbon", { clock: frame.clock }, frame.ribbon);
  const linkTo = useLinkTo();
  const isRead = useHost((state) => state !== null);
  const revision = useHost((state) => state?.revision);
  const { range, grain, moveTo, setGrain } = usePlanWindow();
  const isSaving = useIsSaving();
  const climb = (by: number) => setGrain(ladder[Math.max(0, Math.min(ladder.length - 1, ladder.indexOf(grain) + by))]);
  useKeys({ "[": () => climb(-1), "]": () => climb(1) });

  return (
    <header data-ready={isRead ? "yes" : "no"} data-revision={revision} data-saving={isSaving ? "yes" : "no"} className="col-span-3">
      <div className="header-line">
        <Link href={linkTo("/balance")} className="brand">
          <span>{texts.mindful}</span>
          <span className="text-pine italic">{texts.roster}</span>
        </Link>
        <Ribbon {...ribbon} window={range} step={stepOf[grain]} onMove={moveTo} />
        <div className="flex items-center gap-2 line-left px-3">
          <Steps />
          <PlanMenu />
          <Finder />
          <Shortcuts />
          <span title={frame.user.name} className="user-sign">
            {frame.user.initials}
          </span>
        </div>
      </div>
      <SketchBar />
    </header>
  );
}

/** Undo and redo, by button and by Ctrl Z and Ctrl Y or Ctrl Shift Z; each says what it would do. */
function Steps() {
  const session = usePlan();
  const { undo, redo } = useHost((state) => state?.history) ?? { undo: null, redo: null };
  useStays();
  useStepKeys();
  useAskBeforeLeaving(useIsSaving());
  return (
    <>
      <Unsaved />
      <IconButton
        label={undo === null ? texts.nothingToUndo : `Undo: ${undo.words} (Ctrl Z)`}
        disabled={undo === null}
        onClick={() => void session.step({ kind: "undo" })}
      >
        <Undo2 size={16} />
      </IconButton>
      <IconButton
        label={redo === null ? texts.nothingToRedo : `Redo: ${redo.words} (Ctrl Y)`}
        disabled={redo === null}
        onClick={() => void session.step({ kind: "redo" })}
      >
        <Redo2 size={16} />
      </IconButton>
    </>
  );
}

/** Ctrl Z, Ctrl Y and Ctrl Shift Z, wherever nothing is being typed. */
function useStepKeys(): void {
  const session = usePlan();
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      const isStep = key === "z" || (key === "y" && !event.shiftKey);
      if (!(event.ctrlKey || event.metaKey) || event.altKey || !isStep || isTyping(event)) return;
      event.preventDefault();
      void session.step({ kind: key === "y" || event.shiftKey ? "redo" : "undo" });
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, [session]);
}

/** Has the browser ask before the window is closed while something is being saved. */
function useAskBeforeLeaving(isWaiting: boolean): void {
  useEffect(() => {
    if (!isWaiting) return;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener("beforeunload", ask);
    return () => window.removeEventListener("beforeunload", ask);
  }, [isWaiting]);
}

/** The number of unsaved changes, if the server does not answer or this browser would lose them. */
function Unsaved() {
  const unsettled = useHost((state) => state?.unsettled ?? 0);
  const isAtRisk = useHost((state) => state !== null && (state.isOffline || (!state.isKeeping && state.unsettled > 0)));
  if (!isAtRisk) return null;
  return (
    <span className="warn-chip" role="status">
      {unsettled} unsaved
    </span>
  );
}

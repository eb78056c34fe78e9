"use client";
// One screen inside the frame: its title line, its body, the tray below and the side sheet next to it.
import type { ReactNode } from "react";
import { Tray } from "../tray/tray.tsx";
import { useParts } from "./part.tsx";

export function Screen({
  title,
  figures,
  actions,
  sheet,
  isTwoLined = false,
  children,
}: {
  title: ReactNode;
  /** The figures that matter, next to the title. */
  figures?: ReactNode;
  actions?: ReactNode;
  sheet?: ReactNode;
  /** Its tools have a line of their own: with the side sheet open they would need one, and nothing should move then. */
  isTwoLined?: boolean;
  children: ReactNode;
}) {
  useParts();
  return (
    <div className="relative flex min-w-0">
      <div className="flex min-w-0 flex-1 flex-col">
        <main id="screen" tabIndex={-1} className="screen">
          <div className="screen-head" data-two-lined={isTwoLined}>
            <h1 className="font-title text-[27px] leading-none tracking-[-0.01em]">{title}</h1>
            {figures}
            <div className="screen-tools">{actions}</div>
          </div>
          {children}
        </main>
        <Tray />
      </div>
      {sheet}
    </div>
  );
}

/** A figure with what it means below it. */
export function Figure({ value, says, isOver }: { value: string; says: ReactNode; isOver?: boolean }) {
  return (
    <div className={isOver ? "text-over" : ""}>
      <div className="font-title text-[19px] leading-none">{value}</div>
      <div className={`mt-1 text-small leading-none ${isOver ? "" : "text-ink-2"}`}>{says}</div>
    </div>
  );
}

/** The text of an empty screen: its purpose, and the first step. */
export function Empty({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div className="grid flex-1 place-items-center box-open">
      <div className="max-w-[380px] text-center">
        <p className="font-title text-[19px]">{title}</p>
        <div className="mt-2 text-ink-2">{children}</div>
      </div>
    </div>
  );
}

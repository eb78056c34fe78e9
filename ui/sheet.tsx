"use client";
// The side sheet: what is selected, how its figures come about, what can be done.
import { X } from "lucide-react";
import { type ReactNode, useEffect } from "react";
import { IconButton } from "./button.tsx";

interface SheetProps {
  title: string;
  subtitle?: ReactNode;
  onClose: () => void;
  /** Stays open: there is nothing to close. */
  isLasting?: boolean;
  children: ReactNode;
}

export function Sheet({ title, subtitle, onClose, isLasting = false, children }: SheetProps) {
  useEffect(() => {
    const close = (event: KeyboardEvent) => {
      if (event.key === "Escape" && !event.defaultPrevented) onClose();
    };
    window.addEventListener("keydown", close);
    return () => window.removeEventListener("keydown", close);
  }, [onClose]);
  return (
    <aside aria-label={title} className="sheet">
      <header className="flex items-start gap-2 px-5 pt-5 pb-3">
        <div className="min-w-0 flex-1">
          <h2 className="font-title text-[19px] leading-tight">{title}</h2>
          {subtitle && <div className="mt-0.5 text-[13px] text-ink-2">{subtitle}</div>}
        </div>
        {!isLasting && (
          <IconButton label="Close (Esc)" onClick={onClose} className="-mt-1 -mr-2">
            <X size={16} />
          </IconButton>
        )}
      </header>
      <div className="sheet-body">{children}</div>
    </aside>
  );
}

/** The place reserved for a sheet: nothing next to it moves when it comes. */
export const SheetSpace = () => <div className="sheet" />;

/** A part of the sheet under a small heading, with a line above it. */
export function SheetSection({ title, children }: { title?: string; children: ReactNode }) {
  return (
    <section className="line-above py-3 first:border-t-line">
      {title && <h3 className="mb-1.5 text-[13px] text-ink-2">{title}</h3>}
      {children}
    </section>
  );
}

/** One line of a sum: what, and how much. */
export function SumLine({
  children,
  figure,
  isTotal,
  isOver,
}: {
  children: ReactNode;
  figure: string;
  isTotal?: boolean;
  isOver?: boolean;
}) {
  return (
    <div className={`flex items-baseline justify-between gap-3 py-[3px] ${isTotal ? "font-semibold" : ""} ${isOver ? "text-over" : ""}`}>
      <span className="min-w-0">{children}</span>
      <span className="whitespace-nowrap">{figure}</span>
    </div>
  );
}

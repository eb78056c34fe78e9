"use client";
// A part of a form that is unfolded where it is wanted.
import { ChevronRight } from "lucide-react";
import { Collapsible } from "radix-ui";
import { type ReactNode, useState } from "react";

interface UnfoldProps {
  title: string;
  look?: "action" | "side";
  isOpenAtFirst?: boolean;
  children: ReactNode;
}

export function Unfold({ title, look = "side", isOpenAtFirst = false, children }: UnfoldProps) {
  const [isOpen, setOpen] = useState(isOpenAtFirst);
  return (
    <Collapsible.Root open={isOpen} onOpenChange={setOpen}>
      <Collapsible.Trigger className={`unfold ${look === "action" ? "font-medium text-pine" : "text-[13px] text-ink-2"}`}>
        <ChevronRight size={13} aria-hidden className="unfold-sign" /> {title}
      </Collapsible.Trigger>
      {/* Radix measures what is folded too, and the browser would lay a whole sheet out for each. */}
      {isOpen && <Collapsible.Content className="pt-1">{children}</Collapsible.Content>}
    </Collapsible.Root>
  );
}

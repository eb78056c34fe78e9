"use client";
// The legend of a screen's signs, one click away.
import { Info } from "lucide-react";
import { Popover } from "radix-ui";
import type { ReactNode } from "react";
import { IconButton } from "./button.tsx";

export interface LegendSign {
  sign: ReactNode;
  text: string;
}

export function SignLegend({ signs }: { signs: readonly LegendSign[] }) {
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <IconButton label="Legend">
          <Info size={16} />
        </IconButton>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content align="end" sideOffset={6} aria-label="Legend" className="z-50 w-[330px] box-strong p-4 shadow-float">
          <h2 className="mb-2 font-title text-[17px]">Legend</h2>
          <ul className="grid grid-cols-[64px_1fr] items-center gap-x-3 gap-y-2 text-[13px]">
            {signs.map(({ sign, text }) => (
              <li key={text} className="contents">
                <span aria-hidden className="relative flex h-5 items-center justify-center">
                  {sign}
                </span>
                <span>{text}</span>
              </li>
            ))}
          </ul>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

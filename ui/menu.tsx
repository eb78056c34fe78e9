"use client";
// A button that opens a small panel below it, and the choice of columns that is in one.
import { Popover } from "radix-ui";
import type { ReactNode } from "react";
import { Button } from "./button.tsx";
import { CheckboxField } from "./checkbox.tsx";

export function Menu({
  label,
  icon,
  isActive = false,
  children,
}: {
  label: string;
  icon: ReactNode;
  isActive?: boolean;
  children: ReactNode;
}) {
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button className={isActive ? "border-pine! text-pine!" : ""}>
          {icon} {label}
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content align="end" sideOffset={6} aria-label={label} className="z-50 box-strong p-3 shadow-float">
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** A tick for each column; the order of `all` is kept. */
export function ColumnChoice<C extends string>({
  all,
  words,
  chosen,
  onChoose,
}: {
  all: readonly C[];
  words: Record<C, string>;
  chosen: readonly C[];
  onChoose: (columns: C[]) => void;
}) {
  return (
    <div className="space-y-1">
      {all.map((column) => (
        <CheckboxField
          key={column}
          checked={chosen.includes(column)}
          onChange={(isOn) => onChoose(all.filter((own) => (own === column ? isOn : chosen.includes(own))))}
        >
          {words[column]}
        </CheckboxField>
      ))}
    </div>
  );
}

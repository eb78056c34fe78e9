"use client";
// A tick, alone or with its text.
import { Check } from "lucide-react";
import { Checkbox as Radix } from "radix-ui";
import type { MouseEvent, ReactNode } from "react";

interface TickProps {
  checked: boolean;
  onChange: (isOn: boolean, event: MouseEvent) => void;
  disabled?: boolean;
}

/** A tick without text next to it; `label` is read out. */
export function Checkbox({ label, checked, onChange, disabled }: TickProps & { label: string }) {
  return <Tick aria-label={label} checked={checked} onChange={onChange} disabled={disabled} />;
}

/** A tick with its text, which can be pressed too; `label` is read out where the text says too much. */
export function CheckboxField({
  children,
  isSmall,
  label,
  ...props
}: TickProps & { children: ReactNode; isSmall?: boolean; label?: string }) {
  return (
    // biome-ignore lint/a11y/noLabelWithoutControl: the tick is the control
    <label className={`tick-field ${isSmall ? "text-[13px]" : ""}`}>
      <Tick {...props} aria-label={label} />
      <span className="min-w-0 flex-1">{children}</span>
    </label>
  );
}

function Tick({ checked, onChange, disabled, ...named }: TickProps & { "aria-label"?: string }) {
  return (
    // Without the hidden input of `Radix.Root`: no form here is sent by the browser, and for each the page is laid out once.
    <Radix.unstable_Provider checked={checked} disabled={disabled}>
      <Radix.unstable_Trigger
        {...named}
        onClick={(event) => {
          event.stopPropagation();
          onChange(!checked, event);
        }}
        className="tick"
      >
        <Radix.Indicator>
          <Check size={12} strokeWidth={3} aria-hidden />
        </Radix.Indicator>
      </Radix.unstable_Trigger>
    </Radix.unstable_Provider>
  );
}

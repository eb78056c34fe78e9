"use client";
// One of a few ways, each with its text, one below the other.
import { RadioGroup } from "radix-ui";
import { type ReactNode, useId } from "react";

interface RadiosProps<V extends string> {
  label: string;
  value: V;
  options: readonly { value: V; text: ReactNode }[];
  onChange: (value: V) => void;
}

export function Radios<V extends string>({ label, value, options, onChange }: RadiosProps<V>) {
  const id = useId();
  return (
    <RadioGroup.Root
      aria-label={label}
      value={value}
      onValueChange={(next) => {
        const chosen = options.find((option) => option.value === next);
        if (chosen) onChange(chosen.value);
      }}
      className="space-y-1"
    >
      {options.map((option) => (
        <div key={option.value} className="flex items-start gap-1 leading-[24px]">
          <RadioGroup.Item value={option.value} id={`${id}-${option.value}`} className="radio">
            <RadioGroup.Indicator className="radio-dot" />
          </RadioGroup.Item>
          <label htmlFor={`${id}-${option.value}`} className="min-w-0 flex-1">
            {option.text}
          </label>
        </div>
      ))}
    </RadioGroup.Root>
  );
}

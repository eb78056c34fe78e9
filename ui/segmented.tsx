"use client";
import { ToggleGroup } from "radix-ui";

/** One choice of a few, side by side. */
export function Segmented<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: T;
  options: readonly { value: T; text: string }[];
  onChange: (value: T) => void;
}) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => next && onChange(next as T)}
      className="inline-flex h-8 overflow-hidden box-strong"
    >
      {options.map(({ value: own, text }) => (
        <ToggleGroup.Item
          key={own}
          value={own}
          className="border-line-2 border-r px-2 text-[13px] text-ink-2 last:border-r-0 hover:bg-well data-[state=on]:bg-ink data-[state=on]:font-medium data-[state=on]:text-sheet"
        >
          {text}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}

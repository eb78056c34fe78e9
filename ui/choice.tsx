"use client";
// One of a few words, chosen from a list that opens below.
import { Check, ChevronDown } from "lucide-react";
import { Select } from "radix-ui";
import { useState } from "react";
import { useLabelled } from "./labelled.ts";
import { type Option, optionGroups } from "./options.ts";

export interface ChoiceProps<V extends string> {
  value: V;
  options: readonly Option<V>[];
  onChange: (value: V) => void;
  /** Read out where no field labels it. */
  label?: string;
  disabled?: boolean;
  width?: number;
  isSmall?: boolean;
}

/** Radix keeps the empty text for itself. */
const EMPTY = "\u0000";

export function Choice<V extends string>({ value, options, onChange, label, disabled, width, isSmall }: ChoiceProps<V>) {
  // The list is made once a person comes near: a form holds many, and most are never opened.
  const [isNear, setNear] = useState(false);
  const near = () => setNear(true);
  return (
    // Without the hidden list of `Select.Root`: no form here is sent by the browser.
    <Select.unstable_Provider
      value={value === "" ? EMPTY : value}
      onValueChange={(next) => {
        const chosen = options.find((option) => option.value === (next === EMPTY ? "" : next));
        if (chosen) onChange(chosen.value);
      }}
      disabled={disabled}
    >
      <Select.Trigger
        {...useLabelled()}
        {...(label !== undefined && { "aria-label": label })}
        data-small={isSmall}
        onFocus={near}
        onPointerEnter={near}
        onPointerDownCapture={near}
        className="control control-opens"
        style={width === undefined ? undefined : { width }}
      >
        <span className="truncate">{options.find((option) => option.value === value)?.text ?? ""}</span>
        <ChevronDown size={14} className="shrink-0 text-ink-2" aria-hidden />
      </Select.Trigger>
      {isNear && <List options={options} />}
    </Select.unstable_Provider>
  );
}

function List({ options }: { options: readonly Option[] }) {
  return (
    <Select.Portal>
      <Select.Content position="popper" sideOffset={4} className="options-float">
        <Select.Viewport>
          {optionGroups(options).map(({ group, options: own }) => (
            <Select.Group key={group}>
              {group !== "" && <Select.Label className="options-heading">{group}</Select.Label>}
              {own.map((option) => (
                <Item key={option.value} option={option} />
              ))}
            </Select.Group>
          ))}
        </Select.Viewport>
      </Select.Content>
    </Select.Portal>
  );
}

function Item({ option: { value, text, side, depth = 0 } }: { option: Option }) {
  return (
    <Select.Item value={value === "" ? EMPTY : value} className="options-item" style={{ paddingLeft: 26 + depth * 14 }}>
      <Select.ItemIndicator className="options-tick">
        <Check size={13} aria-hidden />
      </Select.ItemIndicator>
      <Select.ItemText>{text}</Select.ItemText>
      {side && <span className="ml-auto pl-3 text-side">{side}</span>}
    </Select.Item>
  );
}

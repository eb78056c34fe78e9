"use client";
// One of many: people, roles, projects, tasks. A list to type in, with what helps to choose next to each name.
import { Command } from "cmdk";
import { ChevronDown } from "lucide-react";
import { Popover } from "radix-ui";
import { useState } from "react";
import type { ChoiceProps } from "./choice.tsx";
import { useLabelled } from "./labelled.ts";
import { type Option, optionGroups, optionsFound } from "./options.ts";

/** As many as are drawn at once; typing narrows the rest down. */
const MOST_SHOWN = 80;

export function Picker<V extends string>({
  value,
  options,
  onChange,
  label,
  disabled,
  width,
  isSmall,
  onOpen,
}: ChoiceProps<V> & { onOpen?: () => void }) {
  const labelled = useLabelled();
  const [isOpen, setOpen] = useState(false);
  const chosen = options.find((option) => option.value === value);
  const open = (isNow: boolean) => {
    if (isNow) onOpen?.();
    setOpen(isNow);
  };
  return (
    <Popover.Root open={isOpen} onOpenChange={open}>
      <Popover.Trigger
        {...labelled}
        {...(label !== undefined && { "aria-label": label })}
        role="combobox"
        aria-expanded={isOpen}
        disabled={disabled}
        data-small={isSmall}
        className="control control-opens"
        style={width === undefined ? undefined : { width }}
        onKeyDown={(event) => {
          if (event.key !== "ArrowDown" && event.key !== "ArrowUp") return;
          event.preventDefault();
          open(true);
        }}
      >
        <span className="truncate">{chosen?.text.trimStart() ?? ""}</span>
        <ChevronDown size={14} className="shrink-0 text-ink-2" aria-hidden />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content align="start" sideOffset={4} className="options-float" onOpenAutoFocus={(event) => event.preventDefault()}>
          <PickerList
            value={value}
            options={options}
            onTake={(taken) => {
              onChange(taken);
              setOpen(false);
            }}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

interface ListProps<V extends string> {
  value: V;
  options: readonly Option<V>[];
  onTake: (value: V) => void;
}

function PickerList<V extends string>({ value, options, onTake }: ListProps<V>) {
  const [typed, setTyped] = useState("");
  const found = optionsFound(options, typed);
  const shown = found.slice(0, MOST_SHOWN);
  const ids = new Map(shown.map((option) => [keyOf(option), option.value]));
  return (
    <Command shouldFilter={false} label="Choose" defaultValue={keyOf(shown.find((option) => option.value === value))}>
      <Command.Input autoFocus value={typed} onValueChange={setTyped} placeholder="Type to find" className="control options-search" />
      <Command.List className="options-long">
        {shown.length === 0 && <p className="px-2 py-2 text-ink-2">No results.</p>}
        {optionGroups(shown).map(({ group, options: own }) => (
          <Command.Group key={group} heading={group === "" ? undefined : <span className="options-heading">{group}</span>}>
            {own.map((option) => (
              <Command.Item
                key={keyOf(option)}
                value={keyOf(option)}
                onSelect={(key) => onTake(ids.get(key) ?? option.value)}
                className={`options-item ${option.value === value ? "font-semibold" : ""}`}
                style={{ paddingLeft: 8 + (option.depth ?? 0) * 14 }}
              >
                <span className="truncate">{option.text}</span>
                {option.side && <span className="ml-auto pl-3 whitespace-nowrap text-side">{option.side}</span>}
              </Command.Item>
            ))}
          </Command.Group>
        ))}
        {found.length > shown.length && (
          <p className="px-2 py-1.5 text-side">{found.length - shown.length} more: type to narrow the list.</p>
        )}
      </Command.List>
    </Command>
  );
}

/** The same id may be in several groups. */
const keyOf = (option: Option | undefined) => (option ? `${option.group ?? ""} ${option.value}`.toLowerCase() : "");

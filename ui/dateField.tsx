"use client";
// A date that is typed or picked: "3 mar", "+5", "mon", "8.2.2027", or a day of the calendar that opens next to it.
import { CalendarDays } from "lucide-react";
import dynamic from "next/dynamic";
import { Popover } from "radix-ui";
import { type KeyboardEvent, useState } from "react";
import { meantDate, writeDate } from "./dateText.ts";
import { TextInput } from "./field.tsx";
import { useLabelled } from "./labelled.ts";
import { useToday } from "./today.ts";

const MonthPicker = dynamic(() => import("./monthPicker.tsx"), { loading: () => <div className="h-[290px] w-[270px]" /> });

export interface DateFieldProps {
  /** The date in words, "8 Feb 2027"; what is typed and means none is as it is. */
  value: string;
  onChange: (text: string) => void;
  label?: string;
  placeholder?: string;
  disabled?: boolean;
  autoFocus?: boolean;
  width?: number;
  isSmall?: boolean;
  onBlur?: () => void;
  onKeyDown?: (event: KeyboardEvent<HTMLInputElement>) => void;
}

/** Typed text stays until the field is left; the form gets the meant date at once. */
function useTyped(value: string, onChange: (text: string) => void) {
  const today = useToday();
  const [typed, setTyped] = useState<{ text: string; meant: string } | null>(null);
  return {
    text: typed?.meant === value ? typed.text : value,
    type: (text: string) => {
      const date = meantDate(text, today);
      const meant = date === null ? text : writeDate(date);
      setTyped({ text, meant });
      onChange(meant);
    },
    leave: () => setTyped(null),
  };
}

export function DateField({ value, onChange, label, placeholder = "No date", width, onBlur, ...props }: DateFieldProps) {
  const { id } = useLabelled();
  const today = useToday();
  const { text, type, leave } = useTyped(value, onChange);
  const [isOpen, setOpen] = useState(false);
  return (
    <Popover.Root open={isOpen} onOpenChange={setOpen}>
      <span className="date-field relative block" style={width === undefined ? undefined : { width }}>
        <TextInput
          {...props}
          id={id}
          aria-label={label}
          placeholder={placeholder}
          value={text}
          onChange={(event) => type(event.target.value)}
          onBlur={() => {
            leave();
            onBlur?.();
          }}
        />
        <Popover.Trigger
          tabIndex={-1}
          disabled={props.disabled}
          aria-label="Choose a date"
          title="Choose from a calendar"
          className="date-button"
        >
          <CalendarDays size={14} aria-hidden />
        </Popover.Trigger>
      </span>
      <Popover.Portal>
        <Popover.Content align="end" sideOffset={4} className="options-float p-2!">
          <MonthPicker
            date={meantDate(value, today)}
            today={today}
            onPick={(date) => {
              leave();
              onChange(writeDate(date));
              setOpen(false);
            }}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

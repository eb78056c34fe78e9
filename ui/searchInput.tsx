"use client";
import { TextInput } from "./field.tsx";

interface SearchInputProps {
  /** The subject of the search, for screen readers: "Search people". */
  label: string;
  placeholder?: string;
  value: string;
  onChange: (text: string) => void;
  width: number;
}

/** A field that narrows down what a screen shows. */
export function SearchInput({ label, placeholder = label, value, onChange, width }: SearchInputProps) {
  return (
    <TextInput
      type="search"
      aria-label={label}
      placeholder={placeholder}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      width={width}
    />
  );
}

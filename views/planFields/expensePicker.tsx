"use client";
// The choice of a planned expense of any project.
import { useMaybeAnswer } from "../../client/session.tsx";
import { none } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { texts } from "./words.ts";

interface Props {
  label: string;
  /** Its id; "" for none. */
  value: string;
  onChange: (id: string) => void;
  isSmall?: boolean;
}

export function ExpensePicker({ label, value, onChange, isSmall = false }: Props) {
  const rows = useMaybeAnswer("expenses", { pipeline: "full" }, null)?.rows ?? [];
  const options = rows.map(({ expense, projectName }) => ({ value: expense.id, text: `${expense.name} (${projectName})` }));
  return <Picker label={label} value={value} options={[none(texts.notMatched), ...options]} onChange={onChange} isSmall={isSmall} />;
}

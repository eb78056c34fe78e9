"use client";
// The field in which a cell is typed: Enter and leaving it save, Tab saves and goes on, Esc puts it back.
import { type FocusEvent, type KeyboardEvent, useRef, useState } from "react";
import type { CellEdit } from "./column.ts";

/** The next cell after an edit. */
export type EditStep = "stay" | "down" | "next" | "back" | "leave";

interface EditorProps<R> {
  row: R;
  label: string;
  edit: CellEdit<R>;
  /** The first typed key; null starts with the present value. */
  first: string | null;
  /** After it is saved or put back. */
  onDone: (step: EditStep) => void;
}

export function CellEditor<R>({ row, label, edit, first, onDone }: EditorProps<R>) {
  const shown = edit.write(row);
  const [text, setText] = useState(first ?? shown);
  const isOver = useRef(false);
  const isSound = edit.read(text) !== null;
  const finish = (step: EditStep) => {
    if (isOver.current || !isSound) return;
    isOver.current = true;
    if (text !== shown) edit.onSave(row, text);
    onDone(step);
  };
  const press = (event: KeyboardEvent) => {
    event.stopPropagation();
    if (event.key === "Enter") finish("down");
    else if (event.key === "Tab") finish(event.shiftKey ? "back" : "next");
    else if (event.key === "Escape") {
      isOver.current = true;
      onDone("stay");
    } else return;
    event.preventDefault();
  };
  return (
    <span className="relative block w-full">
      <input
        // biome-ignore lint/a11y/noAutofocus: the cell was asked to be typed in
        autoFocus
        aria-label={label}
        aria-invalid={!isSound}
        value={text}
        onFocus={(event: FocusEvent<HTMLInputElement>) => first === null && event.target.select()}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => finish("leave")}
        onKeyDown={press}
        className="cell-field"
      />
      {!isSound && (
        <span role="alert" className="cell-fault">
          {edit.says}
        </span>
      )}
    </span>
  );
}

"use client";
// The text of a field that is saved on Enter or on leaving it; Esc puts it back. What cannot be saved stays as it was typed.
import { type ChangeEvent, type KeyboardEvent, useState } from "react";

export interface DraftOptions<T> {
  value: T;
  write: (value: T) => string;
  /** The value of a text; null if it cannot be saved. */
  read: (text: string) => { value: T } | null;
  onSave: (value: T) => void;
}

/** Properties for an input over a value. A text is saved once, no matter what comes after it: leaving the field before the
 * saved value has come back must not save it again, or undo would undo only the second of two equal edits. */
export function useDraft<T>({ value, write, read, onSave }: DraftOptions<T>) {
  const shown = write(value);
  const [draft, setDraft] = useState({ shown, text: shown, isTyped: false });
  if (draft.shown !== shown) setDraft({ shown, text: shown, isTyped: false });
  const meant = read(draft.text);
  const putBack = () => setDraft({ shown, text: shown, isTyped: false });
  const save = () => {
    if (!draft.isTyped || !meant) return;
    if (write(meant.value) === shown) return putBack();
    setDraft({ ...draft, isTyped: false });
    onSave(meant.value);
  };
  return {
    isSound: meant !== null,
    props: {
      value: draft.text,
      "aria-invalid": meant === null,
      onChange: (event: ChangeEvent<HTMLInputElement>) => setDraft({ shown, text: event.target.value, isTyped: true }),
      onBlur: save,
      onKeyDown: (event: KeyboardEvent<HTMLInputElement>) => {
        if (event.key === "Enter") save();
        if (event.key !== "Escape" || !draft.isTyped) return;
        event.preventDefault();
        event.stopPropagation();
        putBack();
      },
    },
  };
}

"use client";
// A field that is saved on Enter or on leaving it. What cannot be saved stays as it was typed, with the reason below it;
// Esc puts back what was there.
import { type ComponentProps, useId } from "react";
import { TextInput } from "./field.tsx";
import { type DraftOptions, useDraft } from "./useDraft.ts";

type Look = Pick<ComponentProps<typeof TextInput>, "aria-label" | "title" | "placeholder" | "width" | "isSmall" | "isFigure" | "inputMode">;

/** @param says The hint about valid input, shown for anything else. */
export function DraftInput<T>({ value, write, read, onSave, says, ...look }: DraftOptions<T> & Look & { says: string }) {
  const { props, isSound } = useDraft({ value, write, read, onSave });
  const id = useId();
  const field = <TextInput {...look} {...props} {...(!isSound && { "aria-describedby": id })} />;
  return (
    <span className={`relative ${look.width === undefined ? "block" : "inline-block"}`}>
      {field}
      {!isSound && (
        <span id={id} role="alert" className="cell-fault">
          {says}
        </span>
      )}
    </span>
  );
}

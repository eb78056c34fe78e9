"use client";
import { type ComponentProps, type ReactNode, useId } from "react";
import { LabelledContext, useLabelled } from "./labelled.ts";

/** A labelled control, with what is wrong with it below. */
export function Field({ label, fault, hint, children }: { label: string; fault?: string; hint?: ReactNode; children: ReactNode }) {
  const id = useId();
  const says = fault ?? hint;
  const labelled = { id, ...(says && { "aria-describedby": `${id}-says` }), ...(fault !== undefined && { "aria-invalid": true }) };
  return (
    <div>
      <label htmlFor={id} className="field-label">
        {label}
      </label>
      <LabelledContext value={labelled}>{children}</LabelledContext>
      {says && (
        <span
          id={`${id}-says`}
          role={fault ? "alert" : undefined}
          className={`mt-1 block text-small ${fault ? "text-over" : "text-ink-2"}`}
        >
          {says}
        </span>
      )}
    </div>
  );
}

interface Sized {
  /** In pixels; as wide as its place where it is left out. */
  width?: number;
  isSmall?: boolean;
  isFigure?: boolean;
}

export function TextInput({ width, isSmall, isFigure, ...props }: Omit<ComponentProps<"input">, "width" | "className"> & Sized) {
  return (
    <input
      {...useLabelled()}
      {...props}
      data-small={isSmall}
      className={`control ${isFigure ? "text-right" : ""}`}
      style={width === undefined ? undefined : { width }}
    />
  );
}

export function TextArea(props: Omit<ComponentProps<"textarea">, "className">) {
  return <textarea {...useLabelled()} rows={2} {...props} className="control h-auto! py-1" />;
}

/** The fault of a form as a whole. */
export function FormFault({ children }: { children: ReactNode }) {
  return children ? (
    <p role="alert" className="text-small text-over">
      {children}
    </p>
  ) : null;
}

/** The buttons at the end of a form. */
export function FormFooter({ children }: { children: ReactNode }) {
  return <div className="flex flex-wrap gap-2">{children}</div>;
}

/** Fields that belong together, in a frame of their own. */
export function FieldGroup({ legend, children }: { legend?: string; children: ReactNode }) {
  return (
    <fieldset className="space-y-2 rounded-card border border-line p-2.5">
      {legend && <legend className="px-1 text-[13px] text-ink-2">{legend}</legend>}
      {children}
    </fieldset>
  );
}

import type { ComponentProps, InputHTMLAttributes, ReactNode, SelectHTMLAttributes } from "react";

const box = "h-8 w-full rounded-card border border-line-2 bg-sheet px-2 text-ink placeholder:text-ink-3 aria-invalid:border-over";

/** A labelled control, with what is wrong with it below. */
export function Field({ label, fault, hint, children }: { label: string; fault?: string; hint?: string; children: ReactNode }) {
  return (
    // biome-ignore lint/a11y/noLabelWithoutControl: the control is the child
    <label className="block">
      <span className="mb-1 block text-[13px] text-ink-2">{label}</span>
      {children}
      {fault ? (
        <span role="alert" className="mt-1 block text-[12.5px] text-over">
          {fault}
        </span>
      ) : (
        hint && <span className="mt-1 block text-[12.5px] text-ink-2">{hint}</span>
      )}
    </label>
  );
}

export function TextInput({ className = "", ...props }: InputHTMLAttributes<HTMLInputElement>) {
  return <input {...props} className={`${box} ${className}`} />;
}

export function TextArea({ className = "", ...props }: ComponentProps<"textarea">) {
  return <textarea rows={2} {...props} className={`w-full rounded-card border border-line-2 bg-sheet px-2 py-1 ${className}`} />;
}

export function Select({ className = "", children, ...props }: SelectHTMLAttributes<HTMLSelectElement>) {
  return (
    <select {...props} className={`${box} ${className}`}>
      {children}
    </select>
  );
}

/** Options for the rows of a list, by id and name. */
export function NamedOptions({ list }: { list: readonly { id: string; name: string }[] }) {
  return list.map(({ id, name }) => (
    <option key={id} value={id}>
      {name}
    </option>
  ));
}

/** Options for rows of one kind under a heading; the value is `kind:id`. */
export function KindOptions({ label, kind, list }: { label: string; kind: string; list: readonly { id: string; name: string }[] }) {
  return (
    <optgroup label={label}>
      {list.map(({ id, name }) => (
        <option key={id} value={`${kind}:${id}`}>
          {name}
        </option>
      ))}
    </optgroup>
  );
}

/** The two parts of such a value. */
export function kindOf(value: string): { kind: string; id: string } {
  return { kind: value.slice(0, value.indexOf(":")), id: value.slice(value.indexOf(":") + 1) };
}

import { initials } from "./format.ts";

/** A person by initials; the name is read out and shown on hover. */
export function Avatar({ name }: { name: string }) {
  return (
    <span
      title={name}
      className="inline-grid size-[22px] shrink-0 place-items-center rounded-full border border-sheet bg-well font-semibold text-[10px] text-ink-2"
    >
      <span aria-hidden>{initials(name)}</span>
      <span className="sr-only">{name}</span>
    </span>
  );
}

/** The sign of work that needs a person. */
export function OpenSign({ label }: { label: string }) {
  return (
    <span title={label} className="sign-open">
      <span aria-hidden>?</span>
      <span className="sr-only">{label}</span>
    </span>
  );
}

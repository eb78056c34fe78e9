import type { ComponentProps } from "react";

const looks = {
  main: "bg-pine text-pine-ink hover:opacity-90",
  plain: "border border-line-2 bg-sheet hover:bg-well",
  quiet: "text-ink-2 hover:bg-well hover:text-ink",
  danger: "border border-over/50 text-over hover:bg-over-wash",
} as const;

/** A button; `look` says how much it is out. */
export function Button({ look = "plain", className = "", ...props }: ComponentProps<"button"> & { look?: keyof typeof looks }) {
  return <button type="button" {...props} className={`${buttonLook(look)} ${className}`} />;
}

/** The look of a button, for a link among buttons. */
export function buttonLook(look: keyof typeof looks = "plain"): string {
  return `inline-flex h-8 items-center justify-center gap-1.5 rounded-card px-3 font-medium whitespace-nowrap transition-colors duration-100 disabled:cursor-not-allowed disabled:opacity-45 ${looks[look]}`;
}

/** A button within a sentence. */
export function TextButton(props: Omit<ComponentProps<"button">, "className">) {
  return <button type="button" {...props} className="text-link" />;
}

/** A small square button with an icon; `label` is read out and shown on hover. */
export function IconButton({ label, className = "", ...props }: ComponentProps<"button"> & { label: string }) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      {...props}
      className={`inline-grid size-8 shrink-0 place-items-center rounded-card text-ink-2 transition-colors duration-100 hover:bg-well hover:text-ink disabled:opacity-35 disabled:hover:bg-transparent ${className}`}
    />
  );
}

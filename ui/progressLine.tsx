// The progress of a long task, in words and as a line.

/** @param part From 0 to 1; null where that is not known. */
export function ProgressLine({ children, part }: { children: string; part: number | null }) {
  return (
    <div role="status" className="space-y-1.5">
      <p>{part === null ? children : `${children} ${Math.floor(part * 100)}%`}</p>
      <progress className="progress-line" aria-label={children} {...(part !== null && { value: part })} />
    </div>
  );
}

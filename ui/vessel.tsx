// The vessel of a cell: capacity as a tick on a hairline, load as a fill up to it or past it.

/** Where the tick stands, as a share of the width: the rest is for what runs past it. */
const TICK = 72;

export function Vessel({ capacity, load, isLevel }: { capacity: number; load: number; isLevel: boolean }) {
  if (capacity === 0 && load === 0) return null;
  const fill = capacity === 0 ? 0 : Math.min(1, load / capacity) * TICK;
  const over = capacity === 0 ? 100 : Math.min(100 - TICK, Math.max(0, load / capacity - 1) * TICK);
  return (
    <span aria-hidden className="relative block h-[11px]">
      <span className="absolute inset-x-0 bottom-[2px] h-px bg-line-2" />
      {fill > 0 && (
        <span
          className="absolute bottom-[2px] left-0 h-[6px]"
          style={{ width: `${fill}%`, background: isLevel ? "var(--level)" : "var(--room)" }}
        />
      )}
      {over > 0 && (
        <span className="sign-over absolute bottom-[2px] h-[6px]" style={{ left: `${capacity === 0 ? 0 : TICK}%`, width: `${over}%` }} />
      )}
      {capacity > 0 && <span className="absolute bottom-0 h-[10px] w-[2px] bg-ink" style={{ left: `calc(${TICK}% - 1px)` }} />}
    </span>
  );
}

// The vessel of a cell: capacity as a tick on a hairline, load as a fill up to it or past it.

/** Where the tick stands, as a share of the width: the rest is for what runs past it. */
export const TICK = 72;

interface VesselFigures {
  capacity: number;
  load: number;
  /** What of the load is not confirmed: it comes last, as a broken fill. */
  tentative?: number;
}

/** How long each part of a vessel is, in % of its width: the confirmed load, all of it up to the tick, what runs past. */
export function vesselParts({ capacity, load, tentative = 0 }: VesselFigures): { firm: number; fill: number; over: number } {
  if (capacity === 0) return { firm: 0, fill: 0, over: load > 0 ? 100 : 0 };
  const upTo = (minutes: number) => Math.min(1, minutes / capacity) * TICK;
  const over = Math.min(100 - TICK, Math.max(0, load / capacity - 1) * TICK);
  return { firm: upTo(Math.max(0, load - tentative)), fill: upTo(load), over };
}

export function Vessel({ isLevel, ...figures }: VesselFigures & { isLevel: boolean }) {
  const { capacity, load } = figures;
  if (capacity === 0 && load === 0) return null;
  const { firm, fill, over } = vesselParts(figures);
  return (
    <span aria-hidden className="relative block h-[11px]">
      <span className="absolute inset-x-0 bottom-[2px] h-px bg-line-2" />
      {firm > 0 && (
        <span
          className="absolute bottom-[2px] left-0 h-[6px]"
          style={{ width: `${firm}%`, background: isLevel ? "var(--level)" : "var(--room)" }}
        />
      )}
      {fill > firm && (
        <span className="sign-tentative absolute bottom-[2px] h-[6px]" style={{ left: `${firm}%`, width: `${fill - firm}%` }} />
      )}
      {over > 0 && (
        <span className="sign-over absolute bottom-[2px] h-[6px]" style={{ left: `${capacity === 0 ? 0 : TICK}%`, width: `${over}%` }} />
      )}
      {capacity > 0 && <span className="absolute bottom-0 h-[10px] w-[2px] bg-ink" style={{ left: `calc(${TICK}% - 1px)` }} />}
    </span>
  );
}

// The vessel of a cell: capacity as a tick on a hairline, load as a fill up to it or past it.

/** The position of the tick, as a share of the width: the rest is for load past it. `signs.css` has it, too. */
export const TICK = 72;

interface VesselFigures {
  capacity: number;
  load: number;
  /** The unconfirmed part of the load: it comes last, as a broken fill. */
  tentative?: number;
}

/** The lengths of the parts of a vessel, in % of its width: the confirmed load, all of it up to the tick, the part past it. */
export function vesselParts({ capacity, load, tentative = 0 }: VesselFigures): { firm: number; fill: number; over: number } {
  if (capacity === 0) return { firm: 0, fill: 0, over: load > 0 ? 100 : 0 };
  const upTo = (minutes: number) => Math.min(1, minutes / capacity) * TICK;
  const over = Math.min(100 - TICK, Math.max(0, load / capacity - 1) * TICK);
  return { firm: upTo(Math.max(0, load - tentative)), fill: upTo(load), over };
}

/** One element, for a board draws hundreds of them: its parts are backgrounds, each from the left and over the next. */
export function Vessel({ isLevel, ...figures }: VesselFigures & { isLevel: boolean }) {
  const { capacity, load } = figures;
  if (capacity === 0 && load === 0) return null;
  const { firm, fill, over } = vesselParts(figures);
  const past = over === 0 ? 0 : capacity === 0 ? 100 : TICK + over;
  return (
    <span
      aria-hidden
      className={`sign-vessel ${isLevel ? "sign-vessel-level" : ""}`}
      style={{ "--firm": `${firm}%`, "--fill": `${fill}%`, "--past": `${past}%`, ...(capacity === 0 && { "--tick": "0" }) }}
    />
  );
}

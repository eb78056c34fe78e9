// The legend of the board's signs.
import type { LegendSign } from "../../ui/signLegend.tsx";
import { Vessel } from "../../ui/vessel.tsx";
import { SignalGlyph } from "../today/signalSign.tsx";

const sample = (load: number, isLevel: boolean, tentative = 0) => (
  <span className="relative block h-4 w-[56px]">
    <Vessel capacity={40} load={load} tentative={tentative} isLevel={isLevel} />
  </span>
);

export const boardSigns: readonly LegendSign[] = [
  { sign: sample(18, false), text: "Load below the tick that marks capacity: room left" },
  { sign: sample(38, true), text: "Level: within the band set in Settings" },
  { sign: sample(52, true), text: "Over capacity: the load runs past the tick, and the figure has a minus" },
  { sign: sample(30, false, 18), text: "Broken edge: pencilled, requested, or not won yet" },
  { sign: <span className="sign-peak" />, text: "A single day is over capacity, the period as a whole is not" },
  { sign: <span className="sign-away block h-5 w-[56px]" />, text: "No capacity: away, a holiday, or not employed" },
  { sign: <span className="sign-leave-asked block size-[11px]" />, text: "Leave requested: it counts once it is approved" },
  { sign: <span className="sign-accepted">✓</span>, text: "Over capacity, accepted with a reason" },
  { sign: <SignalGlyph says="Needs attention" />, text: "Needs attention: point at it for the reason; Today lists everything" },
  { sign: <span className="sign-open">?</span>, text: "Unassigned work" },
];

// The legend of the board's signs.

import type { LegendSign } from "../../ui/signLegend.tsx";
import { Vessel } from "../../ui/vessel.tsx";
import { SignalGlyph } from "../today/signalSign.tsx";
import { texts } from "./words.ts";

const sample = (load: number, isLevel: boolean, tentative = 0) => (
  <span className="relative block h-4 w-[56px]">
    <Vessel capacity={40} load={load} tentative={tentative} isLevel={isLevel} />
  </span>
);

export const boardSigns: readonly LegendSign[] = [
  { sign: sample(18, false), text: texts.loadBelowTheTick },
  { sign: sample(38, true), text: texts.levelWithinTheBandSet },
  { sign: sample(52, true), text: texts.overCapacityTheLoadRuns },
  { sign: sample(30, false, 18), text: texts.brokenEdgePencilledRequested },
  { sign: <span className="sign-peak" />, text: texts.aSingleDayIsOver },
  { sign: <span className="sign-away block h-5 w-[56px]" />, text: texts.noCapacityAwayAHoliday },
  { sign: <span className="sign-leave-asked block size-[11px]" />, text: texts.leaveRequestedItCountsOnce },
  { sign: <span className="sign-accepted">✓</span>, text: texts.overCapacityAccepted },
  { sign: <SignalGlyph says={texts.needsAttention} />, text: texts.needsAttentionPoint },
  { sign: <span className="sign-open">?</span>, text: texts.unassignedWork },
];

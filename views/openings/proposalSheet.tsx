"use client";
// A proposal for all openings in the list, to go through line by line: each is taken or left.
import { useEffect, useState } from "react";
import type { Redacted } from "../../client/seen.ts";
import { usePlan } from "../../client/session.tsx";
import type { OpeningRow } from "../../core/answers/openings.ts";
import type { Proposal, ProposalLine } from "../../core/staffing/proposal.ts";
import { Button } from "../../ui/button.tsx";
import { CheckboxField } from "../../ui/checkbox.tsx";
import { FormFault } from "../../ui/field.tsx";
import { countText, hoursText, moneyText, shareText } from "../../ui/format.ts";
import { newId } from "../../ui/newId.ts";
import { ProgressLine } from "../../ui/progressLine.tsx";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { toggledSet } from "../../ui/toggled.ts";
import { usePlanFacts } from "../scope/facts.ts";
import { texts } from "./words.ts";

export function ProposalSheet({ openings, onClose }: { openings: readonly OpeningRow[]; onClose: () => void }) {
  const session = usePlan();
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  // The proposal is for what was listed when it was asked for; taking it empties that list.
  const [ids] = useState(() => openings.map(({ id }) => id));
  const [isShared, setShared] = useState(false);
  const { proposal, fault, solve, stop } = useProposal(ids, isShared);
  const taken = proposal?.lines.filter(({ openingId }) => !left.has(openingId)) ?? [];
  const take = async () => {
    const words = `assign ${countText(taken.length, "opening")} as proposed`;
    const faults = await session.edit({ kind: "together", words, edits: taken.flatMap(({ edits }) => edits) });
    if (faults.length === 0) onClose();
  };
  return (
    <Sheet
      title={texts.proposalForAll}
      subtitle={`${countText(ids.length, "opening")}: most hours, then skills, then cost`}
      onClose={onClose}
    >
      <FormFault>{fault}</FormFault>
      {!proposal && !fault && (
        <SheetSection>
          <ProgressLine part={solve / 4}>{solveWords[solve]}</ProgressLine>
          <div className="pt-3">
            <Button onClick={stop}>{texts.stopAndUseTheBest}</Button>
          </div>
        </SheetSection>
      )}
      <CheckboxField checked={isShared} onChange={setShared}>
        {texts.twoPeopleMayShare}
      </CheckboxField>
      {proposal && (
        <>
          <Covered proposal={proposal} />
          <SheetSection>
            <Lines lines={proposal.lines} left={left} onToggle={(openingId) => setLeft(toggledSet(left, openingId))} />
            <Take lines={proposal.lines.length} taken={taken.length} onTake={() => void take()} />
          </SheetSection>
          <NobodyFor names={proposal.left} />
        </>
      )}
    </Sheet>
  );
}

interface LinesProps {
  lines: readonly Redacted<ProposalLine>[];
  /** The openings that are not taken. */
  left: ReadonlySet<string>;
  onToggle: (openingId: string) => void;
}

function Lines({ lines, left, onToggle }: LinesProps) {
  return lines.map((line) => (
    <Line key={line.openingId} line={line} isTaken={!left.has(line.openingId)} onToggle={() => onToggle(line.openingId)} />
  ));
}

/** Works a proposal out, and again where two may share or no longer may. */
function useProposal(ids: readonly string[], isShared: boolean) {
  const session = usePlan();
  const [proposal, setProposal] = useState<Redacted<Proposal> | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [solve, setSolve] = useState<0 | 1 | 2 | 3>(0);
  const [stop, setStop] = useState<(() => void) | undefined>();
  useEffect(() => {
    let isStale = false;
    setProposal(null);
    setSolve(0);
    const asked = session.propose(ids, newId("work"), isShared ? 2 : 1, (own) => !isStale && setSolve(own));
    setStop(() => asked.stop);
    asked.proposal.then(
      (found) => !isStale && setProposal(found),
      () => !isStale && setFault("No proposal could be calculated. Close this and try again, or select fewer openings."),
    );
    return () => {
      isStale = true;
      asked.stop();
    };
  }, [session, ids, isShared]);
  return { proposal, fault, solve, stop };
}

function Take({ lines, taken, onTake }: { lines: number; taken: number; onTake: () => void }) {
  if (lines === 0) return <p className="text-ink-2">{texts.noSuitablePersonHasRoom}</p>;
  return (
    <Button look="main" className="mt-3" disabled={taken === 0} onClick={onTake}>
      Assign {countText(taken, "opening")}
    </Button>
  );
}

function NobodyFor({ names }: { names: readonly string[] }) {
  if (names.length === 0) return null;
  return (
    <SheetSection title={texts.unassigned2}>
      <p>{names.join(", ")}</p>
    </SheetSection>
  );
}

const solveWords = [
  "Finding candidates",
  "Covering the most hours without an overload in any week",
  "Then the best skills",
  "Then the lowest cost",
] as const;

function Covered({ proposal }: { proposal: Redacted<Proposal> }) {
  return (
    <SheetSection>
      <p>
        Covers <span className="font-semibold">{hoursText(proposal.covered)}</span> of {hoursText(proposal.total)} h, without an overload in
        any week.
      </p>
      <p className="text-side">
        {proposal.covered > proposal.quick
          ? `${hoursText(proposal.covered - proposal.quick)} h more than assigning them one by one.`
          : texts.assigningThemOneByOne}{" "}
        {proposal.found !== "best" && proposal.covered < proposal.total && "The search ended before this result was proven to be the best."}
      </p>
    </SheetSection>
  );
}

function Line({ line, isTaken, onToggle }: { line: Redacted<ProposalLine>; isTaken: boolean; onToggle: () => void }) {
  const { currency } = usePlanFacts();
  const { taskName, projectName, recipients, minutes, total, cost } = line;
  const names = recipients.map(({ name }) => name).join(" and ");
  const fit = Math.round(recipients.reduce((sum, own) => sum + own.fit * own.minutes, 0) / Math.max(1, minutes));
  return (
    <div className={`line-above py-1.5 first:border-t-0 ${isTaken ? "" : "opacity-60"}`}>
      <CheckboxField checked={isTaken} onChange={onToggle} label={`${taskName} to ${names}`}>
        <span className="block">
          <span className="block truncate">
            {taskName} <span className="text-side">{projectName}</span>
          </span>
          {recipients.map(({ personId, name, minutes: own }) => (
            <span key={personId} className="block truncate font-medium">
              → {name}
              {recipients.length > 1 && <span className="text-side"> {hoursText(own)} h</span>}
            </span>
          ))}
          <span className="block text-side">
            {minutes < total ? `${hoursText(minutes)} of ${hoursText(total)} h` : `${hoursText(total)} h`} · fit {shareText(fit)} ·{" "}
            {currency} {moneyText(cost)}
          </span>
        </span>
      </CheckboxField>
    </div>
  );
}

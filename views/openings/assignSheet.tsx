"use client";
// Giving an opening: all of it, some hours, the days up to one, or split with a second person; what it does to them first.
import { useState } from "react";
import type { Redacted } from "../../client/seen.ts";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { CandidateRow, Candidates } from "../../core/answers/openings.ts";
import type { Share } from "../../core/staffing/fillOpening.ts";
import { hourTenths } from "../../core/values/units.ts";
import { readAmount } from "../../ui/amount.ts";
import { Button } from "../../ui/button.tsx";
import { CheckboxField } from "../../ui/checkbox.tsx";
import { Choice } from "../../ui/choice.tsx";
import { DateField } from "../../ui/dateField.tsx";
import { DATE_HINT, readDate } from "../../ui/dateText.ts";
import { Field, FormFault, TextInput } from "../../ui/field.tsx";
import { hoursText, shareText } from "../../ui/format.ts";
import { newId } from "../../ui/newId.ts";
import { wordOptions } from "../../ui/options.ts";
import { Radios } from "../../ui/radios.tsx";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { ImpactView, useImpact } from "../effect/impact.tsx";
import { missingText } from "./candidateColumns.tsx";
import type { OpeningsHook } from "./useOpenings.ts";
import { texts } from "./words.ts";

type Way = "whole" | "hours" | "until" | "split";

const ways: Record<Way, string> = {
  whole: "All",
  hours: "Some of its hours",
  until: "The days up to a date",
  split: "Split with another person",
};

interface GiveProps {
  candidates: Redacted<Candidates>;
  person: Redacted<CandidateRow>;
  hook: OpeningsHook;
  onClose: () => void;
}

export function AssignSheet({ candidates, person, hook, onClose }: GiveProps) {
  const { opening } = candidates;
  const transfer = useTransfer({ candidates, person, hook });
  const { isPencilled, setPencilled, fault, query, edit, give } = transfer;
  const impact = useImpact(query ? edit : null);
  return (
    <Sheet title={`Assign to ${person.name}`} subtitle={`${opening.taskName}, ${hoursText(opening.minutes)} h`} onClose={onClose}>
      <SheetSection>
        <p className="pb-2 text-ink-2">
          {person.name} can cover {hoursText(person.covered)} h of it, {shareText(person.cover)}.
          {person.missing.length > 0 && <span className="text-ochre-ink"> Missing: {person.missing.map(missingText).join(", ")}.</span>}
        </p>
        <Radios label={texts.howMuch} value={transfer.way} onChange={transfer.setWay} options={wordOptions(ways)} />
        <div className="space-y-3 pt-3">
          <HowMuch transfer={transfer} name={person.name} most={opening.minutes} />
          <CheckboxField checked={isPencilled} onChange={(isOn) => setPencilled(isOn)}>
            {texts.pencilItIn}
          </CheckboxField>
          <FormFault>{fault}</FormFault>
          <Button look="main" disabled={!query} onClick={() => void give()}>
            {texts.assign}
          </Button>
        </div>
      </SheetSection>
      {query && edit === null && <p className="text-ink-2">{texts.noneOfItsHoursFall}</p>}
      {query && edit && <ImpactView impact={impact} />}
    </Sheet>
  );
}

/** The choices of the form, the shares of the opening that they make, and the edit of those. */
function useTransfer({ candidates: { opening, fitting, near }, person, hook }: Omit<GiveProps, "onClose">) {
  const others = [...fitting, ...near].filter(({ personId }) => personId !== person.personId);
  const beside = others.find(({ personId }) => hook.view.beside.includes(personId));
  const [way, setWay] = useState<Way>(beside ? "split" : "whole");
  const [hours, setHours] = useState(String(hourTenths(Math.min(person.covered, opening.minutes)) / 10));
  const [until, setUntil] = useState("");
  const [otherId, setOther] = useState(beside?.personId ?? others[0]?.personId ?? "");
  const [isPencilled, setPencilled] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const amount = readAmount(hours, 0.01, opening.minutes / 60);
  const date = readDate(until);
  const shares = sharesOf(way, person.personId, { hours: amount?.value, until: date ?? undefined, otherId });
  const query = shares && { openingId: opening.id, shares, isPencilled };
  const edit = useMaybeAnswer("fill", query && { ...query, idStem: STEM }, null);
  const give = async () => {
    if (query) setFault(await hook.give(query.openingId, query.shares, isPencilled));
  };
  return {
    way,
    setWay,
    hours: { text: hours, isSound: amount !== null, set: setHours },
    until: { text: until, isSound: until === "" || date !== null, set: setUntil },
    others,
    otherId,
    setOther,
    isPencilled,
    setPencilled,
    fault,
    query,
    edit,
    give,
  };
}

interface HowMuchProps {
  transfer: ReturnType<typeof useTransfer>;
  name: string;
  /** Minutes of the opening. */
  most: number;
}

/** The input that the chosen way needs. */
function HowMuch({ transfer: { way, hours, until, others, otherId, setOther }, name, most }: HowMuchProps) {
  return (
    <>
      {way === "split" && (
        <Field label={texts.withText}>
          <Choice
            value={otherId}
            onChange={(value) => setOther(value)}
            options={others.map((own) => ({ value: own.personId, text: `${own.name}, covers ${shareText(own.cover)}` }))}
          />
        </Field>
      )}
      {(way === "hours" || way === "split") && (
        <Field label={`Hours for ${name}`} fault={hours.isSound ? undefined : `More than 0, at most ${hoursText(most)}.`}>
          <TextInput inputMode="decimal" value={hours.text} onChange={(event) => hours.set(event.target.value)} />
        </Field>
      )}
      {way === "until" && (
        <Field label={texts.lastDay} fault={until.isSound ? undefined : DATE_HINT} hint={texts.theRestStaysUnassigned}>
          <DateField value={until.text} onChange={until.set} />
        </Field>
      )}
    </>
  );
}

/** Ids of work that is only tried. */
const STEM = newId("trial");

function sharesOf(way: Way, personId: string, typed: { hours?: number; until?: string; otherId: string }): Share[] | null {
  switch (way) {
    case "whole":
      return [{ personId }];
    case "hours":
      return typed.hours === undefined ? null : [{ personId, hours: typed.hours }];
    case "until":
      return typed.until === undefined ? null : [{ personId, until: typed.until }];
    case "split":
      return typed.hours === undefined || typed.otherId === "" ? null : [{ personId, hours: typed.hours }, { personId: typed.otherId }];
  }
}

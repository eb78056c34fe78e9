"use client";
// Free when: a role, a skill, hours and dates give who could take that now, or from when.
import { useState } from "react";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { FreePerson } from "../../core/answers/freeWhen.ts";
import { formatDay, parseDay } from "../../core/calendar/day.ts";
import type { TeamNeed } from "../../core/staffing/freeTeam.ts";
import { TextButton } from "../../ui/button.tsx";
import { DateField } from "../../ui/dateField.tsx";
import { DATE_HINT, readDate, writeDate } from "../../ui/dateText.ts";
import { Field } from "../../ui/field.tsx";
import { hoursText, shortDay } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { newId } from "../../ui/newId.ts";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { usePlanFacts } from "../scope/facts.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { FreeTeamView } from "./freeTeamView.tsx";
import { hoursOfNeed, NeedFields, type TypedNeed } from "./needFields.tsx";
import { texts } from "./words.ts";

const MOST_LISTED = 30;
const emptyNeed = (): TypedNeed => ({ key: newId("need"), roleId: "", skillId: "", level: "3", hours: "40" });

export function FreeSheet({ onClose }: { onClose: () => void }) {
  const { today } = usePlanFacts();
  const [typed, setTyped] = useState<readonly TypedNeed[]>(() => [emptyNeed()]);
  const [from, setFrom] = useState(writeDate(formatDay(today)));
  const [until, setUntil] = useState(writeDate(formatDay(today + 13)));
  const [first, last] = [readDate(from), readDate(until)];
  const needs = needsOf(typed);
  const dates =
    needs !== null && first !== null && last !== null && last >= first ? { from: parseDay(first), until: parseDay(last) } : null;
  const alone = useMaybeAnswer("freeWhen", needs?.length === 1 && dates ? { ...needs[0], ...dates } : null, null);
  const team = useMaybeAnswer("freeTeam", needs && dates ? { needs, ...dates } : null, null);
  // Where a person can take all of it alone, nobody has to share it.
  const isTogether = typed.length > 1 || (alone !== null && needs !== null && alone.every(({ room }) => room < needs[0].minutes));
  return (
    <Sheet title={texts.availability} subtitle="Who has room, and from when" onClose={onClose}>
      <SheetSection>
        <div className="space-y-3">
          <Needs typed={typed} onChange={setTyped} />
          <div className="grid grid-cols-2 gap-2">
            <Field label={texts.fromText} fault={first ? undefined : DATE_HINT}>
              <DateField value={from} onChange={setFrom} />
            </Field>
            <Field
              label={texts.until}
              fault={last && (!first || last >= first) ? undefined : "The last day must be on or after the first day."}
            >
              <DateField value={until} onChange={setUntil} />
            </Field>
          </div>
        </div>
      </SheetSection>
      {alone && needs && <Found answer={alone} minutes={needs[0].minutes} />}
      {team && needs && dates && team.short.length === needs.length && isTogether && <FreeTeamView team={team} needs={needs} {...dates} />}
    </Sheet>
  );
}

function Needs({ typed, onChange }: { typed: readonly TypedNeed[]; onChange: (typed: readonly TypedNeed[]) => void }) {
  return (
    <>
      {typed.map((need, at) => (
        <NeedFields
          key={need.key}
          need={need}
          onChange={(set) => onChange(typed.map((own) => (own === need ? { ...own, ...set } : own)))}
          onRemove={at === 0 ? undefined : () => onChange(typed.filter((own) => own !== need))}
        />
      ))}
      <TextButton onClick={() => onChange([...typed, emptyNeed()])}>{texts.addAnotherRole}</TextButton>
    </>
  );
}

/** The needs that the fields state; null while one of them is no number. */
function needsOf(typed: readonly TypedNeed[]): TeamNeed[] | null {
  const needs = typed.flatMap((own): TeamNeed[] => {
    const hours = hoursOfNeed(own);
    const skills = own.skillId ? [{ skillId: own.skillId, level: Number(own.level) }] : [];
    return hours ? [{ roleId: own.roleId || null, skills, minutes: Math.round(hours.value * 60) }] : [];
  });
  return needs.length === typed.length ? needs : null;
}

/** The people with room then, and the day from which the others have it. */
function Found({ answer, minutes }: { answer: readonly FreePerson[]; minutes: number }) {
  const now = answer.filter(({ room }) => room >= minutes);
  const later = answer.filter(({ room }) => room < minutes);
  return (
    <>
      <SheetSection title={now.length > 0 ? texts.peopleWithEnoughRoom : texts.nobodyHasEnoughRoomThen}>
        {now.slice(0, MOST_LISTED).map((person) => (
          <Line key={person.personId} person={person} says={`${hoursText(person.room)} h free`} />
        ))}
      </SheetSection>
      {later.length > 0 && (
        <SheetSection title={texts.later}>
          {later.slice(0, MOST_LISTED).map((person) => (
            <Line
              key={person.personId}
              person={person}
              says={person.from === null ? texts.notInThisPlan : `from ${shortDay(person.from)}`}
            />
          ))}
        </SheetSection>
      )}
      {answer.length === 0 && <p className="text-ink-2">{texts.nobodyHasThisRole}</p>}
    </>
  );
}

function Line({ person: { personId, name, roleName }, says }: { person: FreePerson; says: string }) {
  const linkTo = useLinkTo();
  return (
    <Link href={linkTo(`/people/person/${encodeURIComponent(personId)}`)} className="line-item press">
      <span className="min-w-0 truncate">
        {name} <span className="text-side">{roleName}</span>
      </span>
      <span className="whitespace-nowrap text-[13px] text-ink-2">{says}</span>
    </Link>
  );
}

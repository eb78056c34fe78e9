"use client";
// Free when: a role, a skill, hours and dates give who could take that now, or from when.
import { useState } from "react";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { FreePerson } from "../../core/answers/freeWhen.ts";
import { formatDay, parseDay } from "../../core/calendar/day.ts";
import { Choice } from "../../ui/choice.tsx";
import { DateField } from "../../ui/dateField.tsx";
import { DATE_HINT, readDate, writeDate } from "../../ui/dateText.ts";
import { Field, TextInput } from "../../ui/field.tsx";
import { hoursText, shortDay } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { namedOptions, none, textOptions } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { readAmount } from "../../ui/useDraft.ts";
import { useNames, usePlanFacts } from "../frame/facts.ts";
import { useLinkTo } from "../frame/windowed.ts";

const MOST_LISTED = 30;
const levels = ["1", "2", "3", "4", "5"] as const;

export function FreeSheet({ onClose }: { onClose: () => void }) {
  const { roles, skills } = useNames();
  const { today } = usePlanFacts();
  const [roleId, setRole] = useState("");
  const [skillId, setSkill] = useState("");
  const [level, setLevel] = useState<(typeof levels)[number]>("3");
  const [hours, setHours] = useState("40");
  const [from, setFrom] = useState(writeDate(formatDay(today)));
  const [until, setUntil] = useState(writeDate(formatDay(today + 13)));
  const amount = readAmount(hours, 0.1, 100_000);
  const [first, last] = [readDate(from), readDate(until)];
  const isSound = amount !== null && first !== null && last !== null && last >= first;
  const answer = useMaybeAnswer(
    "freeWhen",
    isSound
      ? {
          roleId: roleId || null,
          skills: skillId ? [{ skillId, level: Number(level) }] : [],
          minutes: Math.round(amount.value * 60),
          from: parseDay(first),
          until: parseDay(last),
        }
      : null,
    null,
  );
  return (
    <Sheet title="Free when?" subtitle="Who could take this, and from when" onClose={onClose}>
      <SheetSection>
        <div className="space-y-3">
          <Field label="Role">
            <Picker value={roleId} onChange={(value) => setRole(value)} options={[none("Any role"), ...namedOptions(roles)]} />
          </Field>
          <div className="grid grid-cols-[1fr_84px] gap-2">
            <Field label="Skill">
              <Picker value={skillId} onChange={(value) => setSkill(value)} options={[none("Any skill"), ...namedOptions(skills)]} />
            </Field>
            <Field label="Least level">
              <Choice value={level} onChange={setLevel} disabled={skillId === ""} options={textOptions(levels)} />
            </Field>
          </div>
          <Field label="Hours" fault={amount ? undefined : "A number."}>
            <TextInput inputMode="decimal" value={hours} onChange={(event) => setHours(event.target.value)} />
          </Field>
          <div className="grid grid-cols-2 gap-2">
            <Field label="From" fault={first ? undefined : DATE_HINT}>
              <DateField value={from} onChange={setFrom} />
            </Field>
            <Field label="Until" fault={last && (!first || last >= first) ? undefined : "A day after it."}>
              <DateField value={until} onChange={setUntil} />
            </Field>
          </div>
        </div>
      </SheetSection>
      {answer && <Found answer={answer} minutes={Math.round((amount?.value ?? 0) * 60)} />}
    </Sheet>
  );
}

/** Who has the room then, and from when the others would. */
function Found({ answer, minutes }: { answer: readonly FreePerson[]; minutes: number }) {
  const now = answer.filter(({ room }) => room >= minutes);
  const later = answer.filter(({ room }) => room < minutes);
  return (
    <>
      <SheetSection title={now.length > 0 ? "Have the room then" : "Nobody has the room then"}>
        {now.slice(0, MOST_LISTED).map((person) => (
          <Line key={person.personId} person={person} says={`${hoursText(person.room)} h free`} />
        ))}
      </SheetSection>
      {later.length > 0 && (
        <SheetSection title="Later">
          {later.slice(0, MOST_LISTED).map((person) => (
            <Line
              key={person.personId}
              person={person}
              says={person.from === null ? "not in this plan" : `from ${shortDay(person.from)}`}
            />
          ))}
        </SheetSection>
      )}
      {answer.length === 0 && <p className="text-ink-2">Nobody has this role and skill.</p>}
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

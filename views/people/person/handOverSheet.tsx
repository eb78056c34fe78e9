"use client";
// Handing over a person's work from a day on: each of it to the person who is chosen, or all as proposed.
import { useMemo, useState } from "react";
import { useMaybeAnswer, usePlan } from "../../../client/session.tsx";
import { formatDay, parseDay } from "../../../core/calendar/day.ts";
import type { Edit } from "../../../core/edits/edit.ts";
import type { Person } from "../../../core/plan/schema.ts";
import type { HandOverLine } from "../../../core/staffing/handOver.ts";
import { Button } from "../../../ui/button.tsx";
import { DateField } from "../../../ui/dateField.tsx";
import { readDate, writeDate } from "../../../ui/dateText.ts";
import { Field } from "../../../ui/field.tsx";
import { countText, hoursText, rangeText } from "../../../ui/format.ts";
import { newId } from "../../../ui/newId.ts";
import { none, type Option } from "../../../ui/options.ts";
import { Picker } from "../../../ui/picker.tsx";
import { Sheet, SheetSection } from "../../../ui/sheet.tsx";
import { ImpactView, useImpact } from "../../effect/impact.tsx";
import { usePlanFacts } from "../../scope/facts.ts";
import { texts } from "../words.ts";

/** Represents work that is left with the person who has it. */
const STAYS = "stays";
const OPEN = "open";
const AS_PROPOSED = "asProposed";

interface HandOverProps {
  person: Person;
  /** The first day; the one after the last day of employment, or today, where it is not stated. */
  from: string | null;
  onClose: () => void;
}

export function HandOverSheet({ person, from, onClose }: HandOverProps) {
  const { date, setDate, isDate, answer, lines, takerOf, chooseAll, chooseOne, given, edit, handOver } = useHandOver(person, from);
  const everyone = useEveryone(lines);
  return (
    <Sheet title={texts.handOver} subtitle={person.name} onClose={onClose}>
      <SheetSection>
        <div className="space-y-3">
          <Field label={texts.allWorkFrom} fault={isDate ? undefined : "Enter a date such as 8 Feb 2027."}>
            <DateField value={date} onChange={setDate} />
          </Field>
          <Field label={texts.assignAllTo}>
            <Picker value="" onChange={(id) => chooseAll(id || STAYS)} options={[none("Choose a person"), ...everyone]} />
          </Field>
          <div className="flex flex-wrap gap-2">
            <Button onClick={() => chooseAll(AS_PROPOSED)} title={texts.peopleWithTheRole}>
              {texts.asProposed}
            </Button>
            <Button onClick={() => chooseAll(OPEN)}>{texts.leaveAllUnassigned}</Button>
          </div>
        </div>
      </SheetSection>
      <SheetSection title={answer ? `${countText(lines.length, "assignment")}, ${hoursText(answer.minutes)} h` : undefined}>
        {answer && lines.length === 0 && <p className="text-ink-2">{texts.thereIsNoWork}</p>}
        {lines.map((line) => (
          <Line key={line.assignmentId} line={line} value={takerOf(line)} onChoose={(to) => chooseOne(line, to)} />
        ))}
        {lines.length > 0 && (
          <Button look="main" className="mt-3" disabled={given.length === 0} onClick={() => void handOver()}>
            Hand over {countText(given.length, "assignment")}
          </Button>
        )}
      </SheetSection>
      {edit && given.length > 0 && <Effect edit={edit} />}
    </Sheet>
  );
}

/** From which day work is handed over, what that is, who is chosen for each of it, and the edit that makes. */
function useHandOver(person: Person, stated: string | null) {
  const session = usePlan();
  const { today } = usePlanFacts();
  // The person who leaves hands over from the day after.
  const leaving = person.employedTo === undefined ? today : parseDay(person.employedTo) + 1;
  const [date, setDate] = useState(writeDate(stated ?? formatDay(leaving)));
  const read = readDate(date);
  const from = read === null ? null : parseDay(read);
  const answer = useMaybeAnswer("handOver", from === null ? null : { personId: person.id, from }, null);
  const lines = answer?.lines ?? [];
  const { takerOf, chooseAll, chooseOne } = useRecipients();
  const given = lines.flatMap((line) => {
    const to = takerOf(line);
    return to === STAYS ? [] : [{ assignmentId: line.assignmentId, personId: to === OPEN ? null : to }];
  });
  const query = from === null ? null : { personId: person.id, from, given, idStem: `given-${person.id}` };
  const edit = useMaybeAnswer("handOverEdit", query, null);
  const handOver = async () => {
    if (!query) return;
    // The ids of what is split are new each time.
    const made = await session.ask("handOverEdit", { ...query, idStem: newId("given") });
    if (made && (await session.edit(made)).length === 0) chooseAll(STAYS);
  };
  return { date, setDate, isDate: from !== null, answer, lines, takerOf, chooseAll, chooseOne, given, edit, handOver };
}

/** The people who take the work: one choice for all of it, also for hours that another day adds, and other choices one by one. */
function useRecipients() {
  const [{ all, own }, setTakers] = useState<{ all: string; own: Readonly<Record<string, string>> }>({ all: STAYS, own: {} });
  return {
    takerOf: ({ assignmentId, proposedId }: HandOverLine): string =>
      own[assignmentId] ?? (all === AS_PROPOSED ? (proposedId ?? STAYS) : all),
    chooseAll: (to: string) => setTakers({ all: to, own: {} }),
    chooseOne: ({ assignmentId }: HandOverLine, to: string) => setTakers({ all, own: { ...own, [assignmentId]: to } }),
  };
}

function Effect({ edit }: { edit: Edit }) {
  return <ImpactView impact={useImpact(edit)} />;
}

function Line({ line, value, onChoose }: { line: HandOverLine; value: string; onChoose: (to: string) => void }) {
  const options: Option[] = [
    { value: STAYS, text: texts.stays },
    { value: OPEN, text: texts.leaveUnassigned },
    ...line.recipients.map(({ personId, name, hasRole, cover }) => ({
      value: personId,
      text: name,
      side: `${hoursText(cover)} of ${hoursText(line.minutes)} h fit`,
      group: hasRole ? "With the role" : "Others",
    })),
  ];
  return (
    <div className="line-above py-2 first:border-t-0">
      <p className="font-medium">{line.taskName}</p>
      <p className="text-side">
        {line.projectName} · {hoursText(line.minutes)} h, {rangeText({ start: line.start, stop: line.stop })}
        {!line.isWhole && " · split on the day"}
      </p>
      <Picker label={`Assign ${line.taskName} to`} value={value} onChange={onChoose} options={options} />
    </div>
  );
}

/** Everyone who could take any of it, by name. */
function useEveryone(lines: readonly HandOverLine[]): Option[] {
  return useMemo(() => {
    const names = new Map(lines.flatMap(({ recipients }) => recipients.map(({ personId, name }) => [personId, name] as const)));
    return [...names].map(([value, text]) => ({ value, text })).sort((a, b) => a.text.localeCompare(b.text));
  }, [lines]);
}

"use client";
// The side sheet of a person's page: one part of the person, to add or to change, with what that does.
import type { PersonYear } from "../../../core/answers/personYear.ts";
import { formatDay, parseDay } from "../../../core/calendar/day.ts";
import { isCalendarDate } from "../../../core/values/calendarDate.ts";
import { Sheet, SheetSection } from "../../../ui/sheet.tsx";
import { useNames, usePlanFacts } from "../../scope/facts.ts";
import { AnswerSheet } from "../leave/answerSheet.tsx";
import { fieldsOfPerson, setOfPerson } from "../personForm.ts";
import { PersonForm } from "../personFormView.tsx";
import { HandOverSheet } from "./handOverSheet.tsx";
import { OvertimeForm } from "./overtimeForm.tsx";
import { TimeOffForm } from "./timeOffForm.tsx";
import { UnplacedSheet } from "./unplacedSheet.tsx";
import type { PersonHook } from "./usePerson.ts";
import { WeekForm } from "./weekForm.tsx";

interface PartProps {
  answer: PersonYear;
  hook: PersonHook;
}

export function PartSheet({ answer, hook }: PartProps) {
  const { person } = answer;
  const { part, partId, close } = hook;
  switch (part) {
    case "details":
      return <DetailsSheet answer={answer} hook={hook} />;
    case "week": {
      const at = partId === "new" ? null : Number(partId);
      if (at !== null && !person.patterns?.[at]) return null;
      return <WeekForm key={`${partId}`} answer={answer} at={at} hook={hook} onClose={close} />;
    }
    case "off":
      return <TimeOffSheet answer={answer} hook={hook} />;
    case "overtime": {
      const known = person.overtime?.find(({ id }) => id === partId);
      if (!known && partId !== "new") return null;
      return <OvertimeForm key={partId} person={person} entry={known ?? null} hook={hook} onClose={close} />;
    }
    case "unplaced": {
      const entry = answer.unplaceable.find(({ assignmentId }) => assignmentId === partId);
      return entry ? <UnplacedSheet key={entry.assignmentId} entry={entry} onClose={close} /> : null;
    }
    case "handOver":
      return (
        <HandOverSheet key={partId} person={person} from={partId !== null && isCalendarDate(partId) ? partId : null} onClose={close} />
      );
    default:
      return null;
  }
}

function DetailsSheet({ answer: { person }, hook }: PartProps) {
  const { today } = usePlanFacts();
  const { calendars } = useNames();
  const fields = fieldsOfPerson(person, calendars[0]?.id ?? "", [8, 8, 8, 8, 8, 0, 0], formatDay(today));
  return (
    <Sheet title={person.name} subtitle="Roles, skills, calendar, employment" onClose={hook.close}>
      <SheetSection>
        <PersonForm
          key={person.id}
          id={person.id}
          initial={fields}
          isNew={false}
          editOf={(typed) => ({ kind: "changePerson", id: person.id, set: setOfPerson(typed, person) })}
          onSave={(typed) => hook.changePerson(setOfPerson(typed, person))}
        />
      </SheetSection>
    </Sheet>
  );
}

/** Time off that is there, to change or to answer, or a new one: from the day that was picked, or from the first that counts. */
function TimeOffSheet({ answer: { person }, hook }: PartProps) {
  const { partId, close } = hook;
  const { today } = usePlanFacts();
  const known = person.timeOff?.find(({ id }) => id === partId);
  if (known?.state === "requested")
    return <AnswerSheet key={known.id} personId={person.id} name={person.name} timeOff={known} onClose={close} />;
  const day = /^on (.+)$/.exec(partId ?? "")?.[1];
  const on = day && isCalendarDate(day) ? day : formatDay(Math.max(today, parseDay(person.employedFrom ?? formatDay(today))));
  if (!known && partId !== "new" && !day) return null;
  return (
    <TimeOffForm
      key={partId}
      person={person}
      entry={known ?? { id: "new", from: on, to: on, kind: "holiday", state: "requested" }}
      isNew={!known}
      hook={hook}
      onClose={close}
    />
  );
}

"use client";
// A person in the side sheet: to look at, to change, to add.
import type { RosterRow } from "../../core/answers/roster.ts";
import { formatDay } from "../../core/calendar/day.ts";
import { weekSpans } from "../../core/calendar/weekSpans.ts";
import type { Person } from "../../core/plan/schema.ts";
import { Button, buttonLook } from "../../ui/button.tsx";
import { longDay } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { RowTrail } from "../changes/rowTrail.tsx";
import { LockTick } from "../planFields/lockTick.tsx";
import { useNames, usePlanFacts } from "../scope/facts.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { SignalsOf } from "../today/signalsOf.tsx";
import { spanText, weekHoursText } from "./dayWords.ts";
import { fieldsOfPerson, type PersonFields, ratesOfPerson, setOfPerson } from "./personForm.ts";
import { PersonForm } from "./personFormView.tsx";
import type { usePeople } from "./usePeople.ts";
import { texts } from "./words.ts";

export function PersonSheet({ row, people }: { row: RosterRow | null; people: ReturnType<typeof usePeople> }) {
  const { calendars } = useNames();
  const { today } = usePlanFacts();
  const person: Partial<Person> = row?.person ?? {};
  const fields = fieldsOfPerson(person, calendars[0]?.id ?? "", row?.calendarWeek ?? [8, 8, 8, 8, 8, 0, 0], formatDay(today));
  const save = async (typed: PersonFields) => {
    const set = setOfPerson(typed, person);
    if (row) return people.changePerson(row.person.id, set);
    const stated = Object.entries(set).filter(([, value]) => value !== null);
    const fields = { ...Object.fromEntries(stated), name: set.name, calendarId: set.calendarId, roleIds: set.roleIds };
    return people.addPerson(fields, ratesOfPerson(typed));
  };
  return (
    <Sheet
      title={row?.person.name ?? "New person"}
      subtitle={row ? (row.roleNames[0] ?? "No role yet") : "Add a role to plan the person’s work"}
      onClose={() => people.select(null)}
    >
      {row && <Weeks row={row} />}
      <SheetSection>
        <PersonForm
          key={row?.person.id ?? "new"}
          id={row?.person.id}
          initial={fields}
          isNew={!row}
          onSave={save}
          editOf={(typed) => ({ kind: "changePerson", id: row?.person.id ?? "", set: setOfPerson(typed, person) })}
        />
      </SheetSection>
      {row && <SignalsOf personId={row.person.id} />}
      {row && (
        <SheetSection>
          <LockTick list="people" id={row.person.id} isLocked={row.person.locked === true} />
        </SheetSection>
      )}
      {row && <Going person={row.person} people={people} />}
      {row && <RowTrail id={row.person.id} />}
    </Sheet>
  );
}

/** The ways off the roster: a person who has left is archived, one that nothing refers to is deleted. */
function Going({ person: { id, name, employedTo, archived }, people }: { person: Person; people: ReturnType<typeof usePeople> }) {
  const setArchived = (is: true | null) => void people.changePerson(id, { archived: is });
  return (
    <SheetSection title={archived ? texts.archived : texts.archiveOrDelete}>
      <div className="flex gap-2">
        {archived ? (
          <Button onClick={() => setArchived(null)}>{texts.restoreToTheLists}</Button>
        ) : (
          <Button disabled={employedTo === undefined} onClick={() => setArchived(true)}>
            {texts.archive}
          </Button>
        )}
        <Button look="danger" onClick={() => void people.deletePerson(id)}>
          Delete
        </Button>
      </div>
      <p className="pt-1 text-side">
        {archived
          ? `${name} is hidden from lists. Past work stays.`
          : `An archived person is hidden from lists, and past work stays${employedTo === undefined ? "; enter the end of employment first" : ""}. A person can be deleted only without work, projects and rates.`}
      </p>
    </SheetSection>
  );
}

/** The weekly patterns as what they do, one line each, and the way to the person's page. */
function Weeks({ row: { person, calendarWeek, calendarName } }: { row: RosterRow }) {
  const linkTo = useLinkTo();
  return (
    <SheetSection title={texts.works}>
      {weekSpans(person, { week: calendarWeek }).map(({ from, last, week, pattern }) => (
        <p key={`${from}`}>
          {weekHoursText(week)}
          {pattern === null && `, as the calendar ${calendarName}`}
          {from === null ? (last === null ? "" : `, until ${longDay(last)}`) : ` ${spanText({ from, last })}`}
        </p>
      ))}
      <Link href={linkTo(`/people/person/${encodeURIComponent(person.id)}`)} className={`mt-2 ${buttonLook()}`}>
        {texts.calendarDayByDay}
      </Link>
    </SheetSection>
  );
}

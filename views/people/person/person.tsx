"use client";
// A person's page: a year of capacity day by day, the weeks they work, their time off and what they are on.
import { ChevronLeft } from "lucide-react";
import type { Initial } from "../../../client/initial.ts";
import type { AnswerOf } from "../../../client/questions.ts";
import type { PersonYear } from "../../../core/answers/personYear.ts";
import { formatDay } from "../../../core/calendar/day.ts";
import { shareOf } from "../../../core/values/units.ts";
import { AddButton } from "../../../ui/addButton.tsx";
import { Button, buttonLook } from "../../../ui/button.tsx";
import { hoursText, longDay, shareText } from "../../../ui/format.ts";
import { useKeys } from "../../../ui/keys.ts";
import Link from "../../../ui/link.tsx";
import { YearSteps } from "../../../ui/yearSteps.tsx";
import { YearStrip } from "../../../ui/yearStrip.tsx";
import { Empty, Figure, Screen } from "../../frame/screen.tsx";
import { usePlanFacts } from "../../scope/facts.ts";
import { useLeaveWhenGone } from "../../scope/useLeaveWhenGone.ts";
import { useLinkTo } from "../../scope/windowed.ts";
import { dayText, weeksSentence } from "../dayWords.ts";
import { texts } from "../words.ts";
import { PartSheet } from "./partSheet.tsx";
import { PersonCards } from "./personCards.tsx";
import { type PersonHook, usePerson } from "./usePerson.ts";

export function PersonPage({ personId, initial }: { personId: string; initial: Initial<AnswerOf<"personYear">> }) {
  const hook = usePerson(personId, initial);
  const linkTo = useLinkTo();
  const { answer, show } = hook;
  useLeaveWhenGone(answer?.person.name, "/people");
  useKeys({ n: () => show("off", "new") });
  if (!answer)
    return (
      <Screen title={texts.people}>
        <Empty title={texts.thisPersonIsNot}>
          <Link href={linkTo("/people")} className="text-link">
            {texts.backToAllPeople}
          </Link>
        </Empty>
      </Screen>
    );
  return <Page answer={answer} hook={hook} />;
}

function Page({ answer, hook }: { answer: PersonYear; hook: PersonHook }) {
  const linkTo = useLinkTo();
  return (
    <Screen
      isTwoLined
      title={
        <span className="flex items-center gap-1">
          <Link href={linkTo("/people")} aria-label={texts.backToAllPeople} className="-ml-1 text-ink-2 hover:text-ink">
            <ChevronLeft size={18} />
          </Link>
          {answer.person.name}
        </span>
      }
      figures={<Figures answer={answer} year={hook.year} />}
      actions={<Actions hook={hook} />}
      sheet={<PartSheet answer={answer} hook={hook} />}
    >
      <div className="@container min-h-0 flex-1 overflow-y-auto pb-4">
        <Year answer={answer} hook={hook} />
        <PersonCards answer={answer} hook={hook} />
      </div>
    </Screen>
  );
}

function Figures({ answer: { months, unplaceable }, year }: { answer: PersonYear; year: number }) {
  const sum = (pick: (month: PersonYear["months"][number]) => number) => months.reduce((total, month) => total + pick(month), 0);
  const capacity = sum(({ regular, overtime }) => regular + overtime);
  const load = sum((month) => month.load);
  const unplaced = unplaceable.reduce((total, { minutes }) => total + minutes, 0);
  return (
    <>
      <Figure value={`${hoursText(capacity)} h`} says={`capacity in ${year}`} />
      <Figure value={shareText(shareOf(load, capacity))} says="used" />
      {unplaced > 0 && <Figure value={`${hoursText(unplaced)} h`} says={texts.cannotBeWorked} isOver />}
    </>
  );
}

function Actions({ hook: { year, setYear, show, answer } }: { hook: PersonHook }) {
  const linkTo = useLinkTo();
  return (
    <>
      <YearSteps year={year} onYear={setYear} />
      <Link href={linkTo(`/people/person/${encodeURIComponent(answer?.person.id ?? "")}/hours`)} className={buttonLook()}>
        {texts.hours}
      </Link>
      <Button onClick={() => show("handOver")}>{texts.handOver}</Button>
      <Button onClick={() => show("details")}>{texts.details}</Button>
      <AddButton onAdd={() => show("off", "new")}>{texts.timeOff}</AddButton>
    </>
  );
}

/** The person's work in a sentence, and their year day by day. */
function Year({ answer: { person, days, months, spans, roleNames }, hook: { year, show } }: { answer: PersonYear; hook: PersonHook }) {
  const { today } = usePlanFacts();
  return (
    <>
      <p className="pb-2 text-ink-2">
        {[roleNames.join(", ") || "No role yet", weeksSentence(spans, today), employment(person)].filter(Boolean).join(" · ")}
      </p>
      <YearStrip
        label={`Capacity of ${person.name} in ${year}, by day`}
        days={days.map(({ day, capacity, load, marks }) => ({ day, capacity, load, marks, says: dayText(day, capacity, load, marks) }))}
        months={months.map(({ month }) => month)}
        sumHead="load of capacity, h"
        monthSum={(at) => <MonthSum sums={months[at]} />}
        onPick={(day) => show("off", `on ${formatDay(day)}`)}
      />
    </>
  );
}

function employment({ employedFrom, employedTo, kind, location }: PersonYear["person"]): string {
  const dates = [
    employedFrom === undefined ? "" : `from ${longDay(Date.parse(employedFrom) / 86_400_000)}`,
    employedTo === undefined ? "" : `until ${longDay(Date.parse(employedTo) / 86_400_000)}`,
  ];
  return [`${kind === "contractor" ? "contractor" : "employed"} ${dates.filter(Boolean).join(" ")}`.trim(), location ?? ""]
    .filter(Boolean)
    .join(" · ");
}

function MonthSum({ sums: { regular, overtime, load, state, requested } }: { sums: PersonYear["months"][number] }) {
  const capacity = regular + overtime;
  return (
    <span className={state === "over" ? "figure-bad" : ""} title={overtime > 0 ? `with ${hoursText(overtime)} h overtime` : undefined}>
      {hoursText(load)} <span className="font-normal text-ink-2">of {hoursText(capacity)}</span>
      {requested > 0 && (
        <span className="font-normal text-[12px] text-ochre-ink" title={texts.fallsIfEveryRequest}>
          {" "}
          −{hoursText(requested)}?
        </span>
      )}
    </span>
  );
}

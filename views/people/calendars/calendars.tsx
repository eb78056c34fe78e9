"use client";
// Calendars: the week, public holidays, short and extra days; what a change does is shown before it is saved.
import { Plus } from "lucide-react";
import type { Initial } from "../../../client/initial.ts";
import type { AnswerOf } from "../../../client/questions.ts";
import type { CalendarYear } from "../../../core/answers/calendarYear.ts";
import { parseDay } from "../../../core/calendar/day.ts";
import { periodsIn } from "../../../core/calendar/periods.ts";
import type { Calendar } from "../../../core/plan/schema.ts";
import { Button } from "../../../ui/button.tsx";
import { countText, hoursText, rangeText } from "../../../ui/format.ts";
import { Sheet } from "../../../ui/sheet.tsx";
import { YearSteps } from "../../../ui/yearSteps.tsx";
import { YearStrip } from "../../../ui/yearStrip.tsx";
import { yearRange } from "../../../ui/years.ts";
import { ImpactView, useImpact } from "../../effect/impact.tsx";
import { Empty, Figure, Screen } from "../../frame/screen.tsx";
import { dayText } from "../dayWords.ts";
import { PeopleTabs } from "../tabs.tsx";
import { texts } from "../words.ts";
import { DayForm } from "./dayForm.tsx";
import { HolidayForm } from "./holidayForm.tsx";
import { type CalendarsHook, type Draft, useCalendars } from "./useCalendars.ts";
import { WeekAndName } from "./weekAndName.tsx";

const MONTHS = { weekStartsOn: 1, fiscalYearStartMonth: 1 };

export function Calendars({ initial }: { initial: { calendarId: string; answer: Initial<AnswerOf<"calendar">> } }) {
  const hook = useCalendars(initial);
  const { answer, calendars, calendarId, year } = hook;
  return (
    <Screen
      title={texts.people}
      figures={
        <>
          <PeopleTabs />
          <Figure value={String(calendars.length)} says={calendars.length === 1 ? "calendar" : "calendars"} />
        </>
      }
      actions={
        <>
          <YearSteps year={year} onYear={hook.setYear} />
          <Button look="main" onClick={() => void hook.add()}>
            <Plus size={15} /> Add calendar
          </Button>
        </>
      }
      sheet={answer && <CalendarSheet answer={answer} hook={hook} />}
    >
      <div className="flex flex-wrap gap-1.5 pb-2.5">
        {calendars.map(({ id, name }) => (
          <Button
            key={id}
            aria-pressed={id === calendarId}
            className={id === calendarId ? "border-ink! font-semibold!" : ""}
            onClick={() => hook.choose(id)}
          >
            {name}
          </Button>
        ))}
      </div>
      {answer ? <CalendarPage answer={answer} hook={hook} /> : <Empty title={texts.noCalendarYet}>{texts.addTheFirstOne}</Empty>}
    </Screen>
  );
}

function CalendarPage({ answer, hook }: { answer: CalendarYear; hook: CalendarsHook }) {
  const { calendar, days } = answer;
  const months = periodsIn(yearRange(hook.year), "month", MONTHS);
  const first = days[0]?.day ?? 0;
  const hoursIn = (at: number) =>
    days.slice(months[at].start - first, months[at].stop - first).reduce((sum, { minutes }) => sum + minutes, 0);
  return (
    <div className="min-h-0 flex-1 overflow-y-auto pb-4">
      <p className="pb-2 text-ink-2">
        {hoursText(calendar.week.reduce((sum, hours) => sum + hours * 60, 0))} h a week · {countText(answer.people, "person", "people")},{" "}
        {countText(answer.projects, "project")} and {countText(answer.tasks, "task")} use it
      </p>
      <YearStrip
        label={`${calendar.name} in ${hook.year}, by day`}
        days={days.map(({ day, minutes, mark }) => ({
          day,
          capacity: minutes,
          marks: mark ? [mark] : [],
          says: dayText(day, minutes, null, mark ? [mark] : []),
        }))}
        months={months}
        sumHead="hours"
        monthSum={(at) => `${hoursText(hoursIn(at))} h`}
        onPick={(day) => hook.show(`day:${day}`)}
      />
      <DaysThatDiffer exceptions={(hook.draft ?? calendar).exceptions} hook={hook} />
    </div>
  );
}

type Exception = Calendar["exceptions"][number];

function DaysThatDiffer({ exceptions, hook }: { exceptions: readonly Exception[]; hook: CalendarsHook }) {
  const shown = exceptions
    .map((exception, at) => ({ exception, at }))
    .filter(({ exception }) => exception.from <= `${hook.year}-12-31` && exception.to >= `${hook.year}-01-01`)
    .sort((a, b) => (a.exception.from < b.exception.from ? -1 : 1));
  return (
    <section aria-label={texts.daysThatDiffer} className="mt-3 box pb-1">
      <div className="flex items-center line-below py-1 pr-1.5 pl-3">
        <h2 className="flex-1 font-title text-[16px] italic">Days that differ in {hook.year}</h2>
        <Button look="quiet" className="h-7! text-[13px]" onClick={() => hook.show("holidays")}>
          {texts.fillInPublicHolidays}
        </Button>
        <Button look="quiet" className="h-7! text-[13px]" onClick={() => hook.show("day:new")}>
          <Plus size={13} /> A day
        </Button>
      </div>
      {shown.length === 0 && <p className="px-3 py-2 text-ink-2">{texts.noneFillInThePublic}</p>}
      <div className="grid grid-cols-2">
        {shown.map(({ exception, at }) => (
          <button
            key={`${exception.from} ${at}`}
            type="button"
            onClick={() => hook.show(`exception:${at}`)}
            className="flex items-baseline gap-2 px-3 py-1 press"
          >
            <span className="w-[146px] shrink-0 text-ink-2">{datesOf(exception)}</span>
            <span className="min-w-0 flex-1 truncate" title={exception.name}>
              {exception.name}
            </span>
            <span className="text-ink-2">{exception.hours === 0 ? "free" : `${exception.hours} h`}</span>
          </button>
        ))}
      </div>
    </section>
  );
}

const datesOf = ({ from, to }: Exception) =>
  from === to
    ? rangeText({ start: parseDay(from), stop: parseDay(from) + 1 }).split(" – ")[1]
    : rangeText({ start: parseDay(from), stop: parseDay(to) + 1 });

/** Name and week, or one day, or the holidays to fill in; above it what the unsaved draft does. */
function CalendarSheet({ answer, hook }: { answer: CalendarYear; hook: CalendarsHook }) {
  const { calendar } = answer;
  const { draft, part } = hook;
  return (
    <Sheet
      title={calendar.name}
      subtitle={draft ? "Changed, not saved yet" : `Used by ${countText(answer.people, "person", "people")}`}
      onClose={() => hook.show(null)}
      isLasting={part === null}
    >
      {draft && <DraftEnd hook={hook} />}
      <Part answer={answer} hook={hook} />
    </Sheet>
  );
}

function DraftEnd({ hook }: { hook: CalendarsHook }) {
  const impact = useImpact(hook.edit);
  return (
    <>
      <ImpactView impact={impact} title={texts.effectBeforeSaving} />
      <div className="flex gap-2 pb-3">
        <Button look="main" disabled={!impact || impact.faults.length > 0} onClick={() => void hook.save()}>
          {texts.saveTheCalendar}
        </Button>
        <Button onClick={() => hook.setDraft(null)}>{texts.revert}</Button>
      </div>
    </>
  );
}

function Part({ answer, hook }: { answer: CalendarYear; hook: CalendarsHook }) {
  const { calendar } = answer;
  const current: Draft = hook.draft ?? { name: calendar.name, week: calendar.week, exceptions: calendar.exceptions };
  const [kind, id] = (hook.part ?? "").split(":");
  const change = (set: Partial<Draft>) => {
    hook.setDraft({ ...current, ...set });
    if (set.exceptions) hook.show(null);
  };
  const back = () => hook.show(null);
  if (kind === "holidays") return <HolidayForm key={calendar.id} year={hook.year} draft={current} onChange={change} onBack={back} />;
  if (kind === "day" || kind === "exception")
    return (
      <DayForm
        key={hook.part}
        at={kind === "exception" ? Number(id) : null}
        day={kind === "day" && id !== "new" ? Number(id) : null}
        draft={current}
        onChange={change}
        onBack={back}
      />
    );
  if (kind !== "") return null;
  return (
    <WeekAndName
      key={`${calendar.id} ${JSON.stringify([current.name, current.week])}`}
      draft={current}
      onChange={change}
      onCopy={() => void hook.copy(calendar)}
      onDelete={() => void hook.remove()}
      isFree={answer.people + answer.projects + answer.tasks === 0 && hook.calendars.length > 1}
    />
  );
}

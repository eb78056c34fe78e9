"use client";
// A person's page: a year of capacity day by day, the weeks they work, their time off and what they are on.
import { ChevronLeft, ChevronRight, Plus, X } from "lucide-react";
import type { ReactNode } from "react";
import type { AnswerOf } from "../../../client/questions.ts";
import type { Initial } from "../../../client/session.tsx";
import type { PersonYear } from "../../../core/answers/personYear.ts";
import { formatDay } from "../../../core/calendar/day.ts";
import { shareOf } from "../../../core/plan/units.ts";
import { Button, IconButton } from "../../../ui/button.tsx";
import { NamedOptions, Select } from "../../../ui/field.tsx";
import { hoursText, longDay, shareText } from "../../../ui/format.ts";
import { useKeys } from "../../../ui/keys.ts";
import Link from "../../../ui/link.tsx";
import { useOrigin } from "../../../ui/useOrigin.ts";
import { YearStrip } from "../../../ui/yearStrip.tsx";
import { useNames, usePlanFacts } from "../../frame/facts.ts";
import { Empty, Figure, Screen } from "../../frame/screen.tsx";
import { useLinkTo } from "../../frame/windowed.ts";
import { dayText, weeksSentence } from "../words.ts";
import { PartSheet } from "./partSheet.tsx";
import { Assignments, Mentions, OvertimeList, TimeOffList, Weeks } from "./personLists.tsx";
import { type PersonHook, usePerson } from "./usePerson.ts";

export function PersonPage({ personId, initial }: { personId: string; initial: Initial<AnswerOf<"personYear">> }) {
  const hook = usePerson(personId, initial);
  const linkTo = useLinkTo();
  const { answer, show } = hook;
  useKeys({ n: () => show("off", "new") });
  if (!answer)
    return (
      <Screen title="People">
        <Empty title="This person is not in the plan">
          <Link href={linkTo("/people")} className="text-pine underline">
            Back to everybody
          </Link>
        </Empty>
      </Screen>
    );
  return <Page answer={answer} hook={hook} />;
}

function Page({ answer, hook }: { answer: PersonYear; hook: PersonHook }) {
  const { person, months, spans, roleNames } = answer;
  const { year, setYear, show } = hook;
  const { today } = usePlanFacts();
  const linkTo = useLinkTo();
  const sum = (pick: (month: PersonYear["months"][number]) => number) => months.reduce((total, month) => total + pick(month), 0);
  const capacity = sum(({ regular, overtime }) => regular + overtime);
  const unplaced = answer.unplaceable.reduce((total, { minutes }) => total + minutes, 0);
  return (
    <Screen
      title={
        <span className="flex items-center gap-1">
          <Link href={linkTo("/people")} aria-label="Back to everybody" className="-ml-1 text-ink-2 hover:text-ink">
            <ChevronLeft size={18} />
          </Link>
          {person.name}
        </span>
      }
      figures={
        <>
          <Figure value={`${hoursText(capacity)} h`} says={`capacity in ${year}`} />
          <Figure
            value={shareText(
              shareOf(
                sum(({ load }) => load),
                capacity,
              ),
            )}
            says="of it used"
          />
          {unplaced > 0 && <Figure value={`${hoursText(unplaced)} h`} says="not placed" isOver />}
        </>
      }
      actions={
        <>
          <span className="inline-flex items-center">
            <IconButton label={`Show ${year - 1}`} onClick={() => setYear(year - 1)}>
              <ChevronLeft size={16} />
            </IconButton>
            <span className="font-title text-[17px]">{year}</span>
            <IconButton label={`Show ${year + 1}`} onClick={() => setYear(year + 1)}>
              <ChevronRight size={16} />
            </IconButton>
          </span>
          <Button onClick={() => show("details")}>Details</Button>
          <Button look="main" onClick={() => show("off", "new")}>
            <Plus size={15} /> Time off <kbd className="font-sans opacity-75">N</kbd>
          </Button>
        </>
      }
      sheet={<PartSheet answer={answer} hook={hook} />}
    >
      <div className="@container min-h-0 flex-1 overflow-y-auto pb-4">
        <p className="pb-2 text-ink-2">
          {[roleNames.join(", ") || "No role yet", weeksSentence(spans, today), employment(person)].filter(Boolean).join(" · ")}
        </p>
        <YearStrip
          label={`Capacity of ${person.name} in ${year}, by day`}
          days={answer.days.map(({ day, capacity: own, load, marks }) => ({
            day,
            capacity: own,
            load,
            marks,
            says: dayText(day, own, load, marks),
          }))}
          months={months.map(({ month }) => month)}
          sumHead="load of capacity, h"
          monthSum={(at) => <MonthSum sums={months[at]} />}
          onPick={(day) => show("off", `on ${formatDay(day)}`)}
        />
        <div className="mt-3 grid grid-cols-2 gap-3 @max-[700px]:grid-cols-1">
          <div className="space-y-3">
            <Card title="Weeks" add="Another week from a date on" onAdd={() => show("week", "new")}>
              <Weeks answer={answer} hook={hook} />
            </Card>
            <Card title="Time off" add="Time off" onAdd={() => show("off", "new")}>
              <TimeOffList person={person} hook={hook} />
            </Card>
            <Card title="Overtime" add="Overtime" onAdd={() => show("overtime", "new")}>
              <OvertimeList person={person} hook={hook} />
            </Card>
          </div>
          <div className="space-y-3">
            <Card title={`On, in ${year}`}>
              <Assignments answer={answer} hook={hook} />
            </Card>
            {answer.mentions.length > 0 && (
              <Card title="Called upon">
                <Mentions answer={answer} />
              </Card>
            )}
            <Card title="Skills and teams" add="Change skills" onAdd={() => show("details")}>
              <p className="px-3 py-1.5">
                {answer.skills.length === 0 && <span className="text-ink-2">No skills stated.</span>}
                {answer.skills.map(({ name, level }, at) => (
                  <span key={name}>
                    {at > 0 && ", "}
                    {name} <span className="text-ink-2">{level}</span>
                  </span>
                ))}
              </p>
              <TeamsOf answer={answer} hook={hook} />
            </Card>
            <FeedCard personId={person.id} />
          </div>
        </div>
      </div>
    </Screen>
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
    <span
      className={state === "over" ? "font-semibold text-over" : ""}
      title={overtime > 0 ? `with ${hoursText(overtime)} h overtime` : undefined}
    >
      {hoursText(load)} <span className="font-normal text-ink-2">of {hoursText(capacity)}</span>
      {requested > 0 && (
        <span className="font-normal text-[12px] text-ochre-ink" title="Falls if every request is approved">
          {" "}
          −{hoursText(requested)}?
        </span>
      )}
    </span>
  );
}

function Card({ title, add, onAdd, children }: { title: string; add?: string; onAdd?: () => void; children: ReactNode }) {
  return (
    <section aria-label={title} className="rounded-card border border-line bg-sheet pb-1">
      <div className="flex items-center border-line border-b py-1 pr-1.5 pl-3">
        <h2 className="flex-1 font-title text-[16px] italic">{title}</h2>
        {add && (
          <Button look="quiet" onClick={onAdd} className="h-7! px-2! text-[13px]">
            <Plus size={13} /> {add}
          </Button>
        )}
      </div>
      {children}
    </section>
  );
}

/** The teams they are in, to leave, and one to join. */
function TeamsOf({ answer: { person, teams }, hook }: { answer: PersonYear; hook: PersonHook }) {
  const { teams: all } = useNames();
  const others = all.filter(({ id }) => !teams.some((team) => team.id === id));
  return (
    <div className="flex flex-wrap items-center gap-1.5 px-3 pb-2">
      {teams.map(({ id, name, memberIds }) => (
        <span key={id} className="inline-flex h-7 items-center rounded-card border border-line-2 pl-2">
          {name}
          <IconButton
            label={`Leave ${name}`}
            className="size-6!"
            onClick={() => void hook.edit({ kind: "changeTeam", id, set: { memberIds: memberIds.filter((own) => own !== person.id) } })}
          >
            <X size={12} />
          </IconButton>
        </span>
      ))}
      {others.length > 0 && (
        <Select
          aria-label="Join a team"
          value=""
          onChange={(event) => void hook.edit({ kind: "changePeople", ids: [person.id], set: { teamId: event.target.value } })}
          className="h-7! w-[130px]!"
        >
          <option value="">Join a team</option>
          <NamedOptions list={others} />
        </Select>
      )}
    </div>
  );
}

/** Where the person's assignments can be had as a calendar. */
function FeedCard({ personId }: { personId: string }) {
  const origin = useOrigin();
  const path = `/api/feeds/people/${encodeURIComponent(personId)}.ics`;
  return (
    <Card title="In their own calendar">
      <p className="px-3 pt-1.5 text-ink-2">
        Assignments as iCalendar:{" "}
        <a href={path} download className="text-pine underline">
          as a file
        </a>
        , or subscribe to this address:
      </p>
      <p className="px-3 pt-1 pb-1.5 font-mono text-[12px] break-all">
        {origin}
        {path}
      </p>
    </Card>
  );
}

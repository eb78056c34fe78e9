"use client";
// The cards below a person's year: weeks, time off, overtime, what they are on, skills, teams, their calendar.
import { Plus, X } from "lucide-react";
import type { ReactNode } from "react";
import type { PersonYear } from "../../../core/answers/personYear.ts";
import { Button, IconButton } from "../../../ui/button.tsx";
import { namedOptions, none } from "../../../ui/options.ts";
import { Picker } from "../../../ui/picker.tsx";
import { useNames } from "../../scope/facts.ts";
import { FeedLinks } from "../feedLinks.tsx";
import { texts } from "../words.ts";
import { Assignments, Mentions, OvertimeList, TimeOffList, Weeks } from "./personLists.tsx";
import type { PersonHook } from "./usePerson.ts";

export function PersonCards({ answer, hook }: { answer: PersonYear; hook: PersonHook }) {
  const { year, show } = hook;
  return (
    <div className="mt-3 grid grid-cols-2 gap-3 @max-[700px]:grid-cols-1">
      <div className="space-y-3">
        <Card title={texts.weeks} add="New working week from a date" onAdd={() => show("week", "new")}>
          <Weeks answer={answer} hook={hook} />
        </Card>
        <Card title={texts.timeOff} add="Time off" onAdd={() => show("off", "new")}>
          <TimeOffList person={answer.person} hook={hook} />
        </Card>
        <Card title={texts.overtime} add="Overtime" onAdd={() => show("overtime", "new")}>
          <OvertimeList person={answer.person} hook={hook} />
        </Card>
      </div>
      <div className="space-y-3">
        <Card title={`On, in ${year}`}>
          <Assignments answer={answer} hook={hook} />
        </Card>
        {answer.mentions.length > 0 && (
          <Card title={texts.mentions}>
            <Mentions answer={answer} />
          </Card>
        )}
        <Card title={texts.skillsAndTeams} add="Change skills" onAdd={() => show("details")}>
          <SkillsOf answer={answer} />
          <TeamsOf answer={answer} hook={hook} />
        </Card>
        <FeedCard personId={answer.person.id} />
      </div>
    </div>
  );
}

function SkillsOf({ answer: { skills } }: { answer: PersonYear }) {
  return (
    <p className="px-3 py-1.5">
      {skills.length === 0 && <span className="text-ink-2">{texts.noSkillsStated}</span>}
      {skills.map(({ name, level }, at) => (
        <span key={name}>
          {at > 0 && ", "}
          {name} <span className="text-ink-2">{level}</span>
        </span>
      ))}
    </p>
  );
}

function Card({ title, add, onAdd, children }: { title: string; add?: string; onAdd?: () => void; children: ReactNode }) {
  return (
    <section aria-label={title} className="box pb-1">
      <div className="flex items-center line-below py-1 pr-1.5 pl-3">
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
        <span key={id} className="name-chip">
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
        <Picker
          label={texts.joinATeam}
          value=""
          onChange={(value) => void hook.edit({ kind: "changePeople", ids: [person.id], set: { teamId: value } })}
          width={130}
          isSmall
          options={[none("Join a team"), ...namedOptions(others)]}
        />
      )}
    </div>
  );
}

/** The addresses of the calendar feed of the person's assignments. */
function FeedCard({ personId }: { personId: string }) {
  return (
    <Card title={texts.calendarFeed}>
      <p className="px-3 py-1.5 text-ink-2">
        Assignments as iCalendar: <FeedLinks kind="people" id={personId} />
      </p>
    </Card>
  );
}

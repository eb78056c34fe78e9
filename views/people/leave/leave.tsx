"use client";
// Leave: requests that wait for an answer, and a calendar by team that shows who is away together.
import { parseAsString, useQueryState } from "nuqs";
import type { AnswerOf } from "../../../client/questions.ts";
import { type Initial, useAnswer } from "../../../client/session.tsx";
import type { LeaveEntry, LeavePerson, LeaveRequest, LeaveTeam } from "../../../core/answers/leave.ts";
import { parseDay } from "../../../core/calendar/day.ts";
import type { Range } from "../../../core/calendar/periods.ts";
import { Button } from "../../../ui/button.tsx";
import { countText, rangeText, shortDay } from "../../../ui/format.ts";
import { Segmented } from "../../../ui/segmented.tsx";
import { ChartGrid, ChartHead, percentOf } from "../../../ui/timeChart.tsx";
import { usePlanFacts } from "../../frame/facts.ts";
import { Figure, Screen } from "../../frame/screen.tsx";
import { useChartPeriods } from "../../frame/useChartPeriods.ts";
import { PeopleTabs } from "../tabs.tsx";
import { timeOffKinds, timeOffStates } from "../words.ts";
import { AnswerSheet } from "./answerSheet.tsx";

const columns = "grid grid-cols-[210px_minmax(300px,1fr)]";

export function LeaveScreen({ initial }: { initial: Initial<AnswerOf<"leave">> }) {
  const chart = useChartPeriods();
  const { teams, requests } = useAnswer("leave", { range: chart.range }, initial);
  const [open, setOpen] = useQueryState("request", parseAsString.withOptions({ shallow: true }));
  const [who, setWho] = useQueryState("who", parseAsString.withDefault("away").withOptions({ shallow: true }));
  const request = requests.find((own) => keyOf(own) === open) ?? null;
  const shown = teams
    .map((team) => ({ ...team, people: who === "all" ? team.people : team.people.filter(({ entries }) => entries.length > 0) }))
    .filter(({ people }) => people.length > 0);
  const away = new Set(teams.flatMap(({ people }) => people.filter(({ entries }) => entries.length > 0).map(({ personId }) => personId)));
  return (
    <Screen
      title="People"
      figures={
        <>
          <PeopleTabs />
          <Figure
            value={String(requests.length)}
            says={requests.length === 1 ? "request waits" : "requests wait"}
            isOver={requests.length > 0}
          />
          <Figure value={String(away.size)} says={`away in ${rangeText(chart.range)}`} />
        </>
      }
      actions={
        <Segmented
          label="Whom to show"
          value={who === "all" ? "all" : "away"}
          options={[
            { value: "away", text: "Who is away" },
            { value: "all", text: "Everybody" },
          ]}
          onChange={(value) => void setWho(value)}
        />
      }
      sheet={
        request && (
          <AnswerSheet
            key={keyOf(request)}
            personId={request.personId}
            name={request.name}
            timeOff={request.timeOff}
            alsoAway={request.alsoAway}
            onClose={() => void setOpen(null)}
          />
        )
      }
    >
      <div className="flex min-h-0 flex-1 flex-col gap-3">
        <Requests requests={requests} openKey={open} onOpen={(key) => void setOpen(key)} />
        <div className="min-h-0 flex-1 overflow-auto rounded-t-card border border-line border-b-0 bg-sheet">
          <div className={`${columns} sticky top-0 z-[2] h-[34px] border-line border-b bg-sheet text-[13px]`}>
            <span className="px-3 pt-2 font-semibold">Team</span>
            <span className="border-line border-l">
              <ChartHead window={chart.range} periods={chart.periods} headings={chart.headings} />
            </span>
          </div>
          {shown.length === 0 && <p className="p-6 text-ink-2">Nobody is away in this window. Move it on the ribbon, or show everybody.</p>}
          {shown.map((team) => (
            <TeamRows key={team.teamId ?? "none"} team={team} range={chart.range} periods={chart.periods} />
          ))}
        </div>
      </div>
    </Screen>
  );
}

const keyOf = ({ personId, timeOff }: LeaveRequest) => `${personId}:${timeOff.id}`;

function Requests({ requests, openKey, onOpen }: { requests: LeaveRequest[]; openKey: string | null; onOpen: (key: string) => void }) {
  if (requests.length === 0) return <p className="text-ink-2">No request waits for an answer.</p>;
  return (
    <section aria-label="Requests" className="max-h-[190px] shrink-0 overflow-y-auto rounded-card border border-line bg-sheet">
      {requests.map((request) => (
        <div
          key={keyOf(request)}
          className={`flex items-center gap-3 border-line border-b px-3 py-1.5 last:border-b-0 ${openKey === keyOf(request) ? "bg-pine-wash" : ""}`}
        >
          <span className="w-[180px] truncate font-semibold">{request.name}</span>
          <span className="w-[190px]">
            {timeOffKinds[request.timeOff.kind]}{" "}
            <span className="text-ink-2">
              {rangeText({ start: parseDay(request.timeOff.from), stop: parseDay(request.timeOff.to) + 1 })}
            </span>
          </span>
          <span className="min-w-0 flex-1 truncate text-ink-2">
            {request.timeOff.note}
            {request.timeOff.suggested && <span className="text-ochre-ink"> · other dates suggested</span>}
            {request.alsoAway.length > 0 && <span className="text-ochre-ink"> · with {request.alsoAway.join(", ")}</span>}
          </span>
          <Button onClick={() => onOpen(keyOf(request))} className="h-7!">
            Answer
          </Button>
        </div>
      ))}
    </section>
  );
}

function TeamRows({ team, range, periods }: { team: LeaveTeam; range: Range; periods: Range[] }) {
  const { today } = usePlanFacts();
  const most = Math.max(0, ...team.away);
  return (
    <section aria-label={team.name}>
      <div className={`${columns} h-[30px] border-line border-b bg-paper`}>
        <span className="truncate px-3 pt-1 font-title text-[15px] italic">
          {team.name}{" "}
          <span className="font-sans text-[12.5px] text-ink-2 not-italic">
            {most > 1 ? `up to ${most} away at once` : countText(team.people.length, "person", "people")}
          </span>
        </span>
        <span className="relative border-line border-l">
          <Together away={team.away} range={range} />
        </span>
      </div>
      {team.people.map((person) => (
        <div key={person.personId} className={`${columns} h-[30px] border-line border-b`}>
          <span className="truncate px-3 pt-1.5 leading-tight">
            {person.name} <span className="text-[12.5px] text-ink-2">{person.roleName}</span>
          </span>
          <span className="relative border-line border-l">
            <ChartGrid window={range} periods={periods} today={today} />
            {person.entries.map((entry) => (
              <LeaveBar key={entry.timeOff.id} person={person} entry={entry} range={range} />
            ))}
          </span>
        </div>
      ))}
    </section>
  );
}

/** Days on which two or more of a team are away, with how many. */
function Together({ away, range }: { away: readonly number[]; range: Range }) {
  const runs: { from: number; to: number; count: number }[] = [];
  away.forEach((count, at) => {
    const last = runs.at(-1);
    if (last && last.count === count && last.to === at) last.to = at + 1;
    else if (count > 1) runs.push({ from: at, to: at + 1, count });
  });
  return runs.map(({ from, to, count }) => {
    const left = percentOf(range.start + from, range);
    const says = `${count} away ${to - from > 1 ? `${shortDay(range.start + from)} – ${shortDay(range.start + to - 1)}` : shortDay(range.start + from)}`;
    return (
      <span
        key={from}
        title={says}
        className="absolute top-[4px] grid h-[21px] place-items-center overflow-hidden rounded-[3px] bg-ochre-wash px-0.5 font-semibold text-[12px] text-ochre-ink"
        style={{ left: `${left}%`, width: `max(14px, ${percentOf(range.start + to, range) - left}%)` }}
      >
        <span aria-hidden>{count}</span>
        <span className="sr-only">{says}</span>
      </span>
    );
  });
}

const looks = { approved: "sign-leave", requested: "sign-leave-asked bg-ochre-wash", declined: "sign-leave-declined" } as const;

function LeaveBar({ person, entry: { timeOff, start, stop }, range }: { person: LeavePerson; entry: LeaveEntry; range: Range }) {
  const left = percentOf(start, range);
  const width = percentOf(stop, range) - left;
  const says = `${person.name}: ${timeOffKinds[timeOff.kind]}, ${timeOffStates[timeOff.state]}, ${rangeText({ start, stop })}${timeOff.note ? ` · ${timeOff.note}` : ""}`;
  return (
    <span
      role="img"
      aria-label={says}
      title={says}
      className={`absolute top-[8px] h-[14px] rounded-[2px] ${looks[timeOff.state]}`}
      style={{ left: `${left}%`, width: `max(4px, ${width}%)` }}
    />
  );
}

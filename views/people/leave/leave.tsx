"use client";
// Leave: requests that wait for an answer, and a calendar by team that shows who is away together.
import { parseAsString, parseAsStringLiteral, useQueryState } from "nuqs";
import { useMemo, useState } from "react";
import type { Initial } from "../../../client/initial.ts";
import type { AnswerOf } from "../../../client/questions.ts";
import { useAnswer } from "../../../client/session.tsx";
import type { Range } from "../../../core/calendar/periods.ts";
import { AddButton } from "../../../ui/addButton.tsx";
import { closed } from "../../../ui/closed.ts";
import { rangeText } from "../../../ui/format.ts";
import { useKeys } from "../../../ui/keys.ts";
import { wordOptions } from "../../../ui/options.ts";
import { Segmented } from "../../../ui/segmented.tsx";
import { SignLegend } from "../../../ui/signLegend.tsx";
import { Figure, Screen } from "../../frame/screen.tsx";
import { useChartPeriods } from "../../periods/useChartPeriods.ts";
import { PeopleTabs } from "../tabs.tsx";
import { texts } from "../words.ts";
import { AnswerSheet } from "./answerSheet.tsx";
import { LeaveCalendar } from "./leaveCalendar.tsx";
import { LeaveRequests, requestKey } from "./leaveRequests.tsx";
import { leaveSigns } from "./leaveSigns.tsx";
import { type NewLeave, NewLeaveSheet } from "./newLeave.tsx";

export function LeaveScreen({ initial }: { initial: Initial<AnswerOf<"leave">> }) {
  const chart = useChartPeriods();
  const { teams, requests } = useAnswer("leave", { range: chart.range }, initial);
  const [open, setOpen] = useQueryState("request", parseAsString.withOptions({ shallow: true }));
  const [who, setWho] = useQueryState("who", parseAsStringLiteral(["away", "all"]).withDefault("away").withOptions({ shallow: true }));
  const [adding, setAdding] = useState<NewLeave | null>(null);
  const add = (leave: NewLeave) => {
    void setOpen(null);
    setAdding(leave);
  };
  useKeys({ n: () => add({}) });
  const request = requests.find((own) => requestKey(own) === open) ?? null;
  const shown = useMemo(() => (who === "all" ? teams.filter(({ people }) => people.length > 0) : awayIn(teams)), [teams, who]);
  return (
    <Screen
      isTwoLined
      title={texts.people}
      figures={
        <>
          <PeopleTabs />
          <Counts teams={teams} requests={requests.length} range={chart.range} />
        </>
      }
      actions={
        <>
          <Segmented label={texts.peopleShown} value={who} options={wordOptions(whoWords)} onChange={(value) => void setWho(value)} />
          <SignLegend signs={leaveSigns} />
          <AddButton onAdd={() => add({})}>{texts.addLeave}</AddButton>
        </>
      }
      sheet={
        adding ? (
          <NewLeaveSheet key={JSON.stringify(adding)} leave={adding} onClose={() => setAdding(null)} />
        ) : (
          request && <Answer request={request} onClose={() => void setOpen(closed(open))} />
        )
      }
    >
      <div className="flex min-h-0 flex-1 flex-col gap-3">
        <LeaveRequests
          requests={requests}
          openKey={open}
          onOpen={(key) => {
            setAdding(null);
            void setOpen(key);
          }}
        />
        <LeaveCalendar teams={shown} onDrag={add} />
      </div>
    </Screen>
  );
}

function Answer({ request, onClose }: { request: AnswerOf<"leave">["requests"][number]; onClose: () => void }) {
  const { personId, name, timeOff, alsoAway } = request;
  return <AnswerSheet key={requestKey(request)} personId={personId} name={name} timeOff={timeOff} alsoAway={alsoAway} onClose={onClose} />;
}

const whoWords = { away: "Who is away", all: "Everyone" } as const;

type Team = AnswerOf<"leave">["teams"][number];

function Counts({ teams, requests, range }: { teams: readonly Team[]; requests: number; range: Range }) {
  const away = new Set(awayIn(teams).flatMap(({ people }) => people.map(({ personId }) => personId)));
  return (
    <>
      <Figure value={String(requests)} says={requests === 1 ? texts.requestWaits : texts.requestsWait} isOver={requests > 0} />
      <Figure value={String(away.size)} says={`away in ${rangeText(range)}`} />
    </>
  );
}

/** The teams with those of their people alone who are away. */
const awayIn = (teams: readonly Team[]): Team[] =>
  teams
    .map((team) => ({ ...team, people: team.people.filter(({ entries }) => entries.length > 0) }))
    .filter(({ people }) => people.length > 0);

"use client";
// Teams: who is in them, what is given to a team and to its members, and what is free, by period.
import { Plus } from "lucide-react";
import { parseAsString, useQueryState } from "nuqs";
import type { AnswerOf } from "../../../client/questions.ts";
import { type Initial, useAnswer, usePlan } from "../../../client/session.tsx";
import type { TeamRow } from "../../../core/answers/teamBoard.ts";
import type { Range } from "../../../core/calendar/periods.ts";
import { Button } from "../../../ui/button.tsx";
import { hoursText, periodHeading, periodPhrase } from "../../../ui/format.ts";
import { useKeys } from "../../../ui/keys.ts";
import { Vessel } from "../../../ui/vessel.tsx";
import { usePlanFacts } from "../../frame/facts.ts";
import { Empty, Figure, Screen } from "../../frame/screen.tsx";
import { usePlanWindow } from "../../frame/windowed.ts";
import { PeopleTabs } from "../tabs.tsx";
import { TeamSheet } from "./teamSheet.tsx";

const NEW = "new";
const NAME_WIDTH = 250;
const LEAST_COLUMN = 66;

export function Teams({ initial }: { initial: Initial<AnswerOf<"teams">> }) {
  const session = usePlan();
  const { range, grain } = usePlanWindow();
  const { periodSettings } = usePlanFacts();
  const { periods, rows } = useAnswer("teams", { range, grain }, initial);
  const [open, setOpen] = useQueryState("team", parseAsString.withOptions({ shallow: true }));
  const selected = rows.find(({ team }) => team.id === open) ?? null;
  useKeys({ n: () => void setOpen(NEW) });
  const inTeams = new Set(rows.flatMap(({ members }) => members.map(({ id }) => id)));
  return (
    <Screen
      title="People"
      figures={
        <>
          <PeopleTabs />
          <Figure value={String(rows.length)} says={rows.length === 1 ? "team" : "teams"} />
          <Figure value={String(inTeams.size)} says="people in them" />
        </>
      }
      actions={
        <Button look="main" onClick={() => void setOpen(NEW)}>
          <Plus size={15} /> Add team <kbd className="font-sans opacity-75">N</kbd>
        </Button>
      }
      sheet={
        (selected || open === NEW) && (
          <TeamSheet
            key={open}
            row={selected}
            rows={rows}
            onEdit={async (edit) => (await session.edit(edit)).length === 0}
            onClose={() => void setOpen(null)}
            onAdded={(id) => void setOpen(id)}
          />
        )
      }
    >
      {rows.length === 0 ? (
        <Empty title="No teams yet">A team gathers people who can be given work together. Add the first one with N.</Empty>
      ) : (
        <div className="min-h-0 flex-1 overflow-auto rounded-t-card border border-line border-b-0 bg-sheet">
          <table className="w-full border-separate border-spacing-0" style={{ minWidth: NAME_WIDTH + periods.length * LEAST_COLUMN }}>
            <thead className="sticky top-0 z-[2] bg-sheet">
              <tr className="h-[44px]">
                <th
                  scope="col"
                  className="sticky left-0 border-line border-r border-b bg-sheet px-3 text-left font-semibold leading-tight"
                  style={{ width: NAME_WIDTH }}
                >
                  Team <span className="block font-normal text-[12.5px] text-ink-2">free hours</span>
                </th>
                {periods.map((period) => {
                  const { main, side } = periodHeading(period, grain, periodSettings);
                  return (
                    <th key={period.start} scope="col" className="border-line border-r border-b px-2 text-left font-semibold leading-tight">
                      {main} <span className="block font-normal text-[12.5px] text-ink-2">{side}</span>
                    </th>
                  );
                })}
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <Row
                  key={row.team.id}
                  row={row}
                  periods={periods}
                  isSelected={row.team.id === open}
                  onSelect={() => void setOpen(row.team.id)}
                />
              ))}
            </tbody>
          </table>
        </div>
      )}
    </Screen>
  );
}

function Row({ row, periods, isSelected, onSelect }: { row: TeamRow; periods: Range[]; isSelected: boolean; onSelect: () => void }) {
  const { team, depth, reach, projectName, capacity, toTeam, toMembers, state } = row;
  return (
    <tr onClick={onSelect} className={`h-[46px] cursor-pointer ${isSelected ? "bg-pine-wash" : "hover:bg-well/60"}`}>
      <th
        scope="row"
        className={`sticky left-0 border-line border-r border-b px-3 text-left font-normal leading-tight ${isSelected ? "bg-pine-wash" : "bg-sheet"}`}
        style={{ paddingLeft: 12 + depth * 18 }}
      >
        <button type="button" className="block max-w-full truncate font-semibold">
          {team.name} <span className="font-normal text-[12.5px] text-ink-2">@{team.handle}</span>
        </button>
        <span className="block text-[12.5px] text-ink-2">
          {reach} {reach === 1 ? "person" : "people"}
          {projectName && ` · for ${projectName}`}
        </span>
      </th>
      {periods.map((period, p) => {
        const load = toTeam[p] + toMembers[p];
        const isOver = state[p] === "over";
        const says = `${team.name}, ${periodPhrase(period)}: ${hoursText(toTeam[p])} h given to the team and ${hoursText(toMembers[p])} h to its people, of ${hoursText(capacity[p])} h`;
        return (
          <td
            key={period.start}
            aria-label={says}
            title={says}
            className={`border-line border-r border-b px-2 align-middle ${isOver ? "bg-over-wash" : ""}`}
          >
            <span className={`block text-right ${isOver ? "font-bold text-over" : ""}`}>
              {toTeam[p] > 0 && <span className="mr-1 text-[12px] text-plum">+{hoursText(toTeam[p])}</span>}
              {hoursText(capacity[p] - load)}
            </span>
            <Vessel capacity={capacity[p]} load={load} isLevel={state[p] !== "open"} />
          </td>
        );
      })}
    </tr>
  );
}

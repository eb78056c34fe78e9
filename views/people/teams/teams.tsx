"use client";
// Teams: who is in them, what is given to a team and to its members, and what is free, by period.
import { parseAsString, useQueryState } from "nuqs";
import type { Initial } from "../../../client/initial.ts";
import type { AnswerOf } from "../../../client/questions.ts";
import { useAnswer, usePlan } from "../../../client/session.tsx";
import { AddButton } from "../../../ui/addButton.tsx";
import { closed } from "../../../ui/closed.ts";
import { useKeys } from "../../../ui/keys.ts";
import { Empty, Figure, Screen } from "../../frame/screen.tsx";
import { usePlanWindow } from "../../scope/windowed.ts";
import { PeopleTabs } from "../tabs.tsx";
import { texts } from "../words.ts";
import { TeamSheet } from "./teamSheet.tsx";
import { TeamTable } from "./teamTable.tsx";

const NEW = "new";

export function Teams({ initial }: { initial: Initial<AnswerOf<"teams">> }) {
  const session = usePlan();
  const { range, grain } = usePlanWindow();
  const { periods, rows } = useAnswer("teams", { range, grain }, initial);
  const [open, setOpen] = useQueryState("team", parseAsString.withOptions({ shallow: true }));
  const selected = rows.find(({ team }) => team.id === open) ?? null;
  const show = (id: string) => void setOpen(id);
  useKeys({ n: () => show(NEW) });
  return (
    <Screen
      isTwoLined
      title={texts.people}
      figures={
        <>
          <PeopleTabs />
          <TeamFigures rows={rows} />
        </>
      }
      actions={<AddButton onAdd={() => show(NEW)}>{texts.addTeam}</AddButton>}
      sheet={
        (selected || open === NEW) && (
          <TeamSheet
            key={open}
            row={selected}
            rows={rows}
            onEdit={async (edit) => (await session.edit(edit)).length === 0}
            onClose={() => void setOpen(closed(open))}
            onAdded={show}
          />
        )
      }
    >
      {rows.length === 0 ? (
        <Empty title={texts.noTeamsYet}>{texts.aTeamIsAGroup}</Empty>
      ) : (
        <TeamTable rows={rows} periods={periods} openId={open} onOpen={show} />
      )}
    </Screen>
  );
}

function TeamFigures({ rows }: Pick<AnswerOf<"teams">, "rows">) {
  const inTeams = new Set(rows.flatMap(({ members }) => members.map(({ id }) => id)));
  return (
    <>
      <Figure value={String(rows.length)} says={rows.length === 1 ? "team" : "teams"} />
      <Figure value={String(inTeams.size)} says={texts.peopleInThem} />
    </>
  );
}

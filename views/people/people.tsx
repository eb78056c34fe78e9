"use client";
// People: the roster with role, skills, week and employment, and how full everyone is in the window.
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import type { RosterRow } from "../../core/answers/roster.ts";
import { shareOf } from "../../core/values/units.ts";
import { AddButton } from "../../ui/addButton.tsx";
import { TextButton } from "../../ui/button.tsx";
import { hoursText, shareText, wholeText } from "../../ui/format.ts";
import { useKeys } from "../../ui/keys.ts";
import { later, SheetPart } from "../frame/part.tsx";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { WithSignals } from "../today/signalSign.tsx";
import { Roster } from "./roster.tsx";
import { RosterTools } from "./rosterTools.tsx";
import { PeopleTabs } from "./tabs.tsx";
import { usePeople } from "./usePeople.ts";
import { texts } from "./words.ts";

const personSheet = later(() => import("./personSheet.tsx").then((own) => own.PersonSheet));
const bulkSheet = later(() => import("./bulkSheet.tsx").then((own) => own.BulkSheet));

export function People({ initial }: { initial: Initial<AnswerOf<"roster">> }) {
  const people = usePeople(initial);
  const { rows, selected, isAdding, add, ticked } = people;
  useKeys({ n: add });
  return (
    <Screen
      isTwoLined
      title={texts.people}
      figures={<Figures rows={rows} />}
      actions={
        <>
          <RosterTools people={people} />
          <AddButton onAdd={add}>{texts.addPerson}</AddButton>
        </>
      }
      sheet={
        ticked.size > 0 ? (
          <SheetPart of={bulkSheet} given={{ people }} />
        ) : (
          (isAdding || selected) && <SheetPart key={selected?.person.id ?? "new"} of={personSheet} given={{ row: selected, people }} />
        )
      }
    >
      {rows.length === 0 ? (
        <Empty title={texts.noPeopleYet}>
          <TextButton onClick={add}>{texts.addTheFirstPerson}</TextButton>, import a list of people, or open a plan from the menu at the top
          right.
        </Empty>
      ) : (
        <WithSignals>
          <Roster people={people} />
        </WithSignals>
      )}
    </Screen>
  );
}

function Figures({ rows }: { rows: readonly RosterRow[] }) {
  const sum = (key: "capacity" | "load") => rows.reduce((all, row) => all + row[key], 0);
  return (
    <>
      <PeopleTabs />
      <Figure value={wholeText(rows.length)} says={rows.length === 1 ? "person" : "people"} />
      <Figure value={`${hoursText(sum("capacity"))} h`} says={texts.capacityInTheWindow} />
      <Figure value={shareText(shareOf(sum("load"), sum("capacity")))} says="used" />
    </>
  );
}

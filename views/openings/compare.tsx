"use client";
// Two or three candidates side by side.
import type { Redacted } from "../../client/seen.ts";
import type { CandidateRow, Candidates } from "../../core/answers/openings.ts";
import { Button } from "../../ui/button.tsx";
import { FigureRow, FigureTable } from "../../ui/figureTable.tsx";
import { hoursText, marginText, moneyText, shareText } from "../../ui/format.ts";
import { missingText } from "./candidateColumns.tsx";
import { RoomStrip } from "./roomStrip.tsx";
import type { OpeningsHook } from "./useOpenings.ts";
import { texts } from "./words.ts";

interface CompareProps {
  candidates: Redacted<Candidates>;
  people: Redacted<CandidateRow>[];
  hook: OpeningsHook;
}

export function Compare({ candidates, people, hook }: CompareProps) {
  return (
    <div className="line-below bg-paper px-4 py-2.5">
      <FigureTable label={texts.comparison} heads={["", ...people.map(({ name }) => ({ head: name, look: "font-semibold! text-ink" }))]}>
        {linesOf(candidates).map(([says, of]) => (
          <FigureRow key={says} name={says}>
            {people.map((person) => (
              <td key={person.personId}>{of(person)}</td>
            ))}
          </FigureRow>
        ))}
        <RoomLine candidates={candidates} people={people} />
      </FigureTable>
      <Ends people={people} hook={hook} />
    </div>
  );
}

function RoomLine({ candidates: { weeks, need }, people }: Omit<CompareProps, "hook">) {
  return (
    <FigureRow name={texts.roomByWeek}>
      {people.map(({ personId, name, room }) => (
        <td key={personId}>
          <RoomStrip name={name} weeks={weeks} need={need} room={room} />
        </td>
      ))}
    </FigureRow>
  );
}

type ComparedLine = [says: string, of: (person: Redacted<CandidateRow>) => string];

/** The lines of the comparison: the name of each, and its text for a person. */
function linesOf({ currency, margin }: Redacted<Candidates>): ComparedLine[] {
  const marginAfter: ComparedLine = ["Margin after", ({ marginAfter: own }) => (own === null ? "–" : marginText(own))];
  return [
    ["Covers", ({ covered, cover }) => `${hoursText(covered)} h, ${shareText(cover)}`],
    ["Fit", ({ fit }) => shareText(fit)],
    [`Cost, ${currency}`, ({ cost }) => moneyText(cost)],
    ...(margin === null ? [] : [marginAfter]),
    ["On the project", ({ isOnProject }) => (isOnProject ? "yes" : "no")],
    ["Missing", ({ missing }) => (missing.length === 0 ? "nothing" : missing.map(missingText).join(", "))],
  ];
}

function Ends({ people, hook }: Pick<CompareProps, "people" | "hook">) {
  const [first, second] = people.map(({ name }) => name.split(" ")[0]);
  return (
    <div className="flex justify-end gap-2 pt-1">
      <Button onClick={() => hook.setView({ sheet: `give:${people[0].personId}` })}>
        Split between {first} and {second}…
      </Button>
      <Button look="quiet" onClick={() => hook.setView({ beside: null })}>
        {texts.closeComparison}
      </Button>
    </div>
  );
}

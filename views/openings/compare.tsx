"use client";
// Two or three candidates side by side.
import type { CandidateRow, Candidates } from "../../core/answers/openings.ts";
import { Button } from "../../ui/button.tsx";
import { hoursText, marginText, moneyText, shareText } from "../../ui/format.ts";
import { missingText } from "./candidateColumns.tsx";
import { RoomStrip } from "./roomStrip.tsx";
import type { OpeningsHook } from "./useOpenings.ts";

export function Compare({
  candidates: { weeks, need, currency, margin },
  people,
  hook,
}: {
  candidates: Candidates;
  people: CandidateRow[];
  hook: OpeningsHook;
}) {
  const line = (says: string, of: (person: CandidateRow) => string) => (
    <tr>
      <th scope="row" className="py-1 pr-3 text-left font-normal text-ink-2">
        {says}
      </th>
      {people.map((person) => (
        <td key={person.personId} className="px-3 py-1 text-right">
          {of(person)}
        </td>
      ))}
    </tr>
  );
  return (
    <div className="line-below bg-paper px-4 py-2.5">
      <table className="w-full text-[13px]">
        <caption className="sr-only">Side by side</caption>
        <thead>
          <tr>
            <td />
            {people.map(({ personId, name }) => (
              <th key={personId} scope="col" className="px-3 text-right font-semibold">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {line("Covers", ({ covered, cover }) => `${hoursText(covered)} h, ${shareText(cover)}`)}
          {line("Fit", ({ fit }) => shareText(fit))}
          {line(`Cost, ${currency}`, ({ cost }) => moneyText(cost))}
          {margin !== null && line("Margin after", ({ marginAfter }) => (marginAfter === null ? "–" : marginText(marginAfter)))}
          {line("On the project", ({ isOnProject }) => (isOnProject ? "yes" : "no"))}
          {line("Misses", ({ missing }) => (missing.length === 0 ? "nothing" : missing.map(missingText).join(", ")))}
          <tr>
            <th scope="row" className="text-left font-normal text-ink-2">
              Room by week
            </th>
            {people.map(({ personId, name, room }) => (
              <td key={personId} className="px-3 py-1">
                <RoomStrip name={name} weeks={weeks} need={need} room={room} />
              </td>
            ))}
          </tr>
        </tbody>
      </table>
      <div className="flex justify-end gap-2 pt-1">
        <Button onClick={() => hook.setView({ sheet: `give:${people[0].personId}` })}>
          Split between {people[0].name.split(" ")[0]} and {people[1].name.split(" ")[0]}…
        </Button>
        <Button look="quiet" onClick={() => hook.setView({ beside: null })}>
          Done comparing
        </Button>
      </div>
    </div>
  );
}

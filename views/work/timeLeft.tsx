"use client";
// Time left before a date: who is in trouble, who has it in hand, who is done, who could help.
import { useState } from "react";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { TimeLeftRow } from "../../core/answers/timeLeft.ts";
import { type Day, formatDay, parseDay } from "../../core/calendar/day.ts";
import { DateField } from "../../ui/dateField.tsx";
import { readDate, writeDate } from "../../ui/dateText.ts";
import { Field } from "../../ui/field.tsx";
import { hoursText } from "../../ui/format.ts";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { Vessel } from "../../ui/vessel.tsx";
import { usePlanFacts } from "../scope/facts.ts";
import { texts } from "./words.ts";

const groups: { state: TimeLeftRow["state"]; title: string }[] = [
  { state: "trouble", title: texts.moreWorkThanTime },
  { state: "fits", title: texts.inHand },
  { state: "done", title: texts.done },
  { state: "helper", title: texts.couldHelpHasARole },
];

export function TimeLeftSheet({ projectId, until, onClose }: { projectId: string | null; until: Day; onClose: () => void }) {
  const { today } = usePlanFacts();
  const [typed, setTyped] = useState(writeDate(formatDay(until)));
  const date = readDate(typed);
  const answer = useMaybeAnswer("timeLeft", { projectId, from: today, until: date === null ? until : parseDay(date) }, null);
  return (
    <Sheet
      title={texts.timeLeft}
      subtitle={projectId === null ? "From today, on all projects that count" : "From today, on this project"}
      onClose={onClose}
    >
      <SheetSection>
        <Field label={texts.beforeTheEndOf} fault={date === null ? "Enter a date such as 8 Feb 2027." : undefined}>
          <DateField value={typed} onChange={setTyped} />
        </Field>
      </SheetSection>
      {groups.map(({ state, title }) => {
        const rows = answer?.rows.filter((row) => row.state === state) ?? [];
        return rows.length === 0 ? null : (
          <SheetSection key={state} title={title}>
            {rows.slice(0, state === "helper" ? 8 : 60).map((row) => (
              <PersonLine key={row.personId} row={row} />
            ))}
          </SheetSection>
        );
      })}
      {answer && answer.rows.length === 0 && (
        <p className="text-ink-2">{projectId === null ? texts.nobodyHasWorkBeforeThen : texts.nobodyIsOnThisProject}</p>
      )}
    </Sheet>
  );
}

function PersonLine({ row: { name, roleName, state, have, remaining, fill } }: { row: TimeLeftRow }) {
  return (
    <div className="py-1">
      <div className="flex justify-between gap-3">
        <span className="min-w-0 truncate">
          {name} <span className="text-side">{roleName}</span>
        </span>
        <span className={`whitespace-nowrap ${state === "trouble" ? "figure-bad" : ""}`}>
          {state === "helper" ? `${hoursText(have)} h free` : `${hoursText(remaining)} of ${hoursText(have)} h`}
        </span>
      </div>
      {state !== "helper" && <Vessel capacity={have} load={remaining} isLevel={fill !== "open"} />}
    </div>
  );
}

"use client";
// A row of planned against actual, opened: its lines, each with the hours that were recorded and what was booked.
import { useState } from "react";
import type { Redacted } from "../../../client/seen.ts";
import { useMaybeAnswer } from "../../../client/session.tsx";
import type { ActualLine, ActualRow, ActualsQuery } from "../../../core/answers/actuals.ts";
import { TextButton } from "../../../ui/button.tsx";
import { countText, hoursText, moneyText, shortDay } from "../../../ui/format.ts";
import Link from "../../../ui/link.tsx";
import { Sheet, SheetSection, SumLine } from "../../../ui/sheet.tsx";
import { usePlanFacts } from "../../scope/facts.ts";
import { useLinkTo } from "../../scope/windowed.ts";
import { texts } from "./words.ts";

interface Props {
  title: string;
  row: Redacted<ActualRow>;
  query: ActualsQuery;
  onClose: () => void;
}

/** Lines that are drawn at first. */
const FIRST_LINES = 40;

export function ActualSheet({ title, row, query, onClose }: Props) {
  const { currency } = usePlanFacts();
  const lines = useMaybeAnswer("actualLines", { ...query, key: row.key }, null);
  const [isAll, setAll] = useState(false);
  const shown = isAll ? lines : lines?.slice(0, FIRST_LINES);
  return (
    <Sheet
      title={title}
      subtitle={`${texts.planned}, ${texts.actual.toLowerCase()} and ${texts.remaining.toLowerCase()}, ${currency}`}
      onClose={onClose}
    >
      <SheetSection>
        {row.planned !== null && <SumLine figure={moneyText(row.planned)}>{texts.planned}</SumLine>}
        <SumLine figure={moneyText(row.actual)}>{texts.actual}</SumLine>
        <SumLine figure={moneyText(row.remaining)}>{texts.remaining}</SumLine>
        <SumLine figure={moneyText(row.atCompletion)} isTotal>
          {texts.forecast}
        </SumLine>
        {row.variance !== null && <SumLine figure={moneyText(row.variance)}>{texts.variance}</SumLine>}
      </SheetSection>
      <SheetSection title={texts.lines}>
        {lines?.length === 0 && <p className="text-side">{texts.noLines}</p>}
        <ul aria-label={texts.lines}>
          {shown?.map((line) => (
            <Line key={JSON.stringify(line.subject)} line={line} isProjectKnown={row.projectRow >= 0 || query.projectId !== null} />
          ))}
        </ul>
        {lines && shown && lines.length > shown.length && <TextButton onClick={() => setAll(true)}>Show all {lines.length}</TextButton>}
      </SheetSection>
    </Sheet>
  );
}

function Line({ line, isProjectKnown }: { line: Redacted<ActualLine>; isProjectKnown: boolean }) {
  const linkTo = useLinkTo();
  const { name, who, projectName, actual, remaining, isCommitted, entries, bookings } = line;
  return (
    <li className="line-above py-1.5">
      <div className="flex items-baseline justify-between gap-3">
        <span className="min-w-0 truncate">{name}</span>
        <span className="shrink-0 font-semibold">{actual === 0 ? "–" : moneyText(actual)}</span>
      </div>
      <div className="flex justify-between gap-3 text-side">
        <span className="min-w-0 truncate">{[who, isProjectKnown ? null : projectName].filter(Boolean).join(" · ")}</span>
        {remaining !== 0 && (
          <span className="shrink-0">
            {moneyText(remaining)} {isCommitted ? texts.committed.toLowerCase() : texts.remaining.toLowerCase()}
          </span>
        )}
      </div>
      {entries.length > 0 && <Entries entries={entries} />}
      {bookings.map(({ id, day, amount, reference }) => (
        <div key={id} className="flex justify-between gap-3 text-side">
          <Link className="text-link" href={linkTo("/money/bookings", { booking: id })}>
            {reference ?? texts.bookings} {shortDay(day)}
          </Link>
          <span>{moneyText(amount)}</span>
        </div>
      ))}
    </li>
  );
}

function Entries({ entries }: { entries: Redacted<ActualLine>["entries"] }) {
  const [isOpen, setOpen] = useState(false);
  const minutes = entries.reduce((sum, own) => sum + own.minutes, 0);
  return (
    <div className="text-side">
      <TextButton aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        {hoursText(minutes)} h on {countText(entries.length, "day")}
      </TextButton>
      {isOpen && (
        <ul aria-label={texts.recordedHours} className="pl-3">
          {entries.map(({ day, minutes: own }) => (
            <li key={day} className="flex justify-between">
              <span>{shortDay(day)}</span>
              <span>{hoursText(own)} h</span>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

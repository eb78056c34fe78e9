"use client";
import { useState } from "react";
import type { CapacityLine, CellExplained } from "../../core/answers/explain.ts";
import { formatDay, parseDay } from "../../core/calendar/day.ts";
import type { Bar } from "../../core/load/bars.ts";
import { hourTenths } from "../../core/plan/units.ts";
import { Button } from "../../ui/button.tsx";
import { DATE_HINT, readDate, writeDate } from "../../ui/dateText.ts";
import { Field, TextInput } from "../../ui/field.tsx";
import { countText, hoursText, hueOf, periodPhrase, weekdayText } from "../../ui/format.ts";
// How a cell's figures come about, line by line, and giving its work to somebody else.
import Link from "../../ui/link.tsx";
import { newId } from "../../ui/newId.ts";
import { Sheet, SheetSection, SumLine } from "../../ui/sheet.tsx";
import { readAmount, useDraft } from "../../ui/useDraft.ts";
import { TakerList } from "../frame/takerList.tsx";
import { useLinkTo } from "../frame/windowed.ts";
import type { useBalance } from "./useBalance.ts";

type Hook = ReturnType<typeof useBalance>;

export function CellSheet({ explained, balance }: { explained: CellExplained; balance: Hook }) {
  const linkTo = useLinkTo();
  const { name, roleName, range, capacityLines, capacity, bars, load, room, over, overDays } = explained;
  return (
    <Sheet
      title={name}
      subtitle={`${roleName} · ${periodPhrase(range)}`}
      onClose={() => (balance.moving === null ? balance.select(null) : balance.setMoving(null))}
    >
      {balance.moving !== null && balance.takers ? (
        <TakerList
          takers={balance.takers}
          onGive={(personId) => void balance.give(balance.moving as string, personId)}
          onBack={() => balance.setMoving(null)}
        />
      ) : (
        <>
          <SheetSection>
            {capacityLines.map((line) => (
              <SumLine
                key={`${line.kind} ${line.name ?? ""} ${line.isPattern ?? ""} ${line.note ?? ""}`}
                figure={`${hoursText(line.minutes)} h`}
              >
                {lineText(line)}
              </SumLine>
            ))}
            {capacityLines.length === 0 && <p className="text-ink-2">No working day in this period.</p>}
          </SheetSection>
          <SheetSection>
            <SumLine figure={`${hoursText(capacity)} h`} isTotal>
              Capacity
            </SumLine>
            {bars.map((bar) => (
              <div key={bar.assignmentId} className="group flex items-center gap-2 py-[3px]">
                <span className="size-[10px] shrink-0 rounded-[2px]" style={{ background: hueOf(bar.projectRow) }} />
                <span className="min-w-0 flex-1 truncate" title={`${bar.projectName} · ${bar.taskName}`}>
                  {bar.taskName} <span className="text-[12.5px] text-ink-2">{bar.projectCode}</span>
                  {bar.isPencilled && <span className="text-ochre-ink"> · pencilled</span>}
                  {bar.isAsked && <span className="text-ochre-ink"> · asked for</span>}
                </span>
                <button
                  type="button"
                  onClick={() => balance.setMoving(bar.assignmentId)}
                  aria-label={`Give ${bar.taskName} to somebody else`}
                  className="rounded-[4px] px-1 text-[13px] text-pine underline decoration-dotted underline-offset-2 hover:bg-pine-wash"
                >
                  give
                </button>
                <PeriodHours bar={bar} explained={explained} balance={balance} />
              </div>
            ))}
            {bars.length === 0 && <p className="text-ink-2">No work in this period.</p>}
          </SheetSection>
          <SheetSection>
            <SumLine figure={`${hoursText(load)} h`}>Load</SumLine>
            {over > 0 ? (
              <SumLine figure={`${hoursText(over)} h`} isTotal isOver>
                Over
              </SumLine>
            ) : (
              <SumLine figure={`${hoursText(room)} h`} isTotal>
                Room
              </SumLine>
            )}
          </SheetSection>
          {overDays.length > 0 && range.stop - range.start > 1 && (
            <SheetSection title={`${countText(overDays.length, "day")} past capacity`}>
              {overDays.slice(0, 5).map(({ day, over: minutes, load: planned, capacity: own }) => (
                <SumLine key={day} figure={`−${hoursText(minutes)} h`}>
                  {weekdayText(day)}{" "}
                  <span className="text-ink-2">
                    · {hoursText(planned)} of {hoursText(own)} h
                  </span>
                </SumLine>
              ))}
            </SheetSection>
          )}
          {(over > 0 || explained.acceptances.length > 0) && (
            <Acceptances key={`${explained.personId} ${range.start}`} explained={explained} balance={balance} />
          )}
          <div className="flex flex-wrap gap-2 pt-2">
            <Link
              href={linkTo(`/people/person/${encodeURIComponent(explained.personId)}`)}
              className="inline-flex h-8 items-center rounded-card border border-line-2 px-3 font-medium hover:bg-well"
            >
              Their year
            </Link>
            <Button onClick={() => balance.toggle(explained.personId)}>
              {balance.open.includes(explained.personId) ? "Close the assignments" : "Show the assignments"}
            </Button>
          </div>
        </>
      )}
    </Sheet>
  );
}

/** The hours of one assignment in the period, typed over; what is typed can be given back to the rule. */
function PeriodHours({ bar, explained: { range }, balance }: { bar: Bar; explained: CellExplained; balance: Hook }) {
  const exact = bar.minutes / 60;
  const { props } = useDraft({
    value: exact,
    // Shown like everywhere; whatever else is typed is another amount, to the minute.
    write: (hours) => String(hours === exact ? hourTenths(bar.minutes) / 10 : hours),
    read: (text) => readAmount(text, 0, 10_000),
    onSave: (hours) => void balance.typeHours(bar.assignmentId, range, hours),
  });
  return (
    <>
      {bar.isTyped && (
        <button
          type="button"
          title="Typed week by week. Press to spread the same hours by the rule again"
          onClick={() => void balance.untype(bar.assignmentId)}
          className="rounded-[4px] px-1 text-[13px] text-pine underline decoration-dotted underline-offset-2 hover:bg-pine-wash"
        >
          typed
        </button>
      )}
      <TextInput
        {...props}
        aria-label={`${bar.taskName}, hours in the ${periodPhrase(range)}`}
        inputMode="decimal"
        className="h-7! w-[58px]! text-right"
      />
      <span className="text-ink-2">h</span>
    </>
  );
}

/** Leaving an overload as it is, with a reason and until a day. */
function Acceptances({ explained: { personId, range, acceptances, over }, balance }: { explained: CellExplained; balance: Hook }) {
  const [reason, setReason] = useState("");
  const [until, setUntil] = useState(writeDate(formatDay(range.stop - 1)));
  const to = readDate(until);
  const isSound = to !== null && parseDay(to) >= range.start;
  const accept = () =>
    void balance.edit({
      kind: "acceptOverload",
      acceptance: { id: newId("acceptance"), personId, from: formatDay(range.start), to: to ?? "", reason: reason.trim() },
    });
  return (
    <SheetSection title={acceptances.length > 0 ? "Accepted" : "Accept that it is over"}>
      {acceptances.map(({ id, reason: why, to: last }) => (
        <div key={id} className="flex items-start gap-2">
          <p className="min-w-0 flex-1">
            {why} <span className="text-ink-2">Until {writeDate(last)}.</span>
          </p>
          <Button onClick={() => void balance.edit({ kind: "deleteAcceptance", id })}>Take back</Button>
        </div>
      ))}
      {acceptances.length === 0 && over > 0 && (
        <form
          className="space-y-2"
          onSubmit={(event) => {
            event.preventDefault();
            accept();
          }}
        >
          <Field label="Why">
            <TextInput value={reason} onChange={(event) => setReason(event.target.value)} />
          </Field>
          <div className="flex items-end gap-2">
            <Field label="Until" fault={isSound ? undefined : DATE_HINT}>
              <TextInput value={until} onChange={(event) => setUntil(event.target.value)} />
            </Field>
            <Button type="submit" disabled={reason.trim() === "" || !isSound}>
              Accept
            </Button>
          </div>
        </form>
      )}
    </SheetSection>
  );
}

const timeOffWords: Record<string, string> = { holiday: "Leave", sick: "Sick", training: "Training", other: "Away" };

function lineText({ kind, isPattern, name, note, days }: CapacityLine): string {
  const count = countText(days, "day");
  switch (kind) {
    case "week":
      return isPattern ? `Own week, ${count}` : `Calendar week, ${count}`;
    case "notEmployed":
      return `Not employed, ${count}`;
    case "exception":
      return name ?? "Calendar exception";
    case "timeOff":
      return `${timeOffWords[name ?? ""] ?? "Away"}${note ? `: ${note}` : ""}, ${count}`;
    case "overtime":
      return `Overtime, ${count}`;
  }
}

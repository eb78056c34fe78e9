"use client";
// The explanation of a cell's figures, line by line, and the reassignment of its work.
import { useState } from "react";
import type { RemedyProblem } from "../../client/searches.ts";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { CapacityLine, CellExplained } from "../../core/answers/explain.ts";
import { formatDay, parseDay } from "../../core/calendar/day.ts";
import type { Range } from "../../core/calendar/periods.ts";
import type { Bar } from "../../core/load/bars.ts";
import { objectKeys } from "../../core/values/objectKeys.ts";
import { hourTenths } from "../../core/values/units.ts";
import { readAmount } from "../../ui/amount.ts";
import { Button, buttonLook, TextButton } from "../../ui/button.tsx";
import { DateField } from "../../ui/dateField.tsx";
import { DATE_HINT, readDate, writeDate } from "../../ui/dateText.ts";
import { DraftInput } from "../../ui/draftInput.tsx";
import { Field, TextInput } from "../../ui/field.tsx";
import { countText, hoursText, periodPhrase, rangeText, weekdayText } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { newId } from "../../ui/newId.ts";
import { ProjectDot } from "../../ui/projectDot.tsx";
import { Sheet, SheetSection, SumLine } from "../../ui/sheet.tsx";
import { RecipientList } from "../planFields/recipientList.tsx";
import { RemedyList } from "../remedies/remedyList.tsx";
import { remedyEdit } from "../remedies/remedyWords.ts";
import { type Remedies as Found, useRemedies } from "../remedies/useRemedies.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { RecordedHours } from "./recordedHours.tsx";
import { reassignId, type SelectedCell, type useBalance } from "./useBalance.ts";
import { texts } from "./words.ts";

type Hook = ReturnType<typeof useBalance>;

interface CellProps {
  explained: CellExplained;
  balance: Hook;
}

interface SheetProps extends CellProps {
  /** The options, searched for since the cell was selected. */
  remedies: Found | null;
}

/** The sheet of the cell that is selected. What could be done is looked for next to the explanation, not after it. */
export function SelectedSheet({ selected, balance }: { selected: SelectedCell; balance: Hook }) {
  const remedies = useRemedies(overloadOf(selected));
  const { explained } = balance;
  return explained && <CellSheet explained={explained} remedies={remedies} balance={balance} />;
}

const overloadOf = ({ personId, range: { start, stop } }: SelectedCell): RemedyProblem => ({
  about: "overload",
  personId,
  range: { start, stop },
});

function CellSheet({ explained, remedies, balance }: SheetProps) {
  const { name, roleName, range } = explained;
  const { moving, recipients } = balance;
  return (
    <Sheet
      title={name}
      subtitle={`${roleName} · ${periodPhrase(range)}`}
      onClose={() => (moving === null ? balance.select(null) : balance.setMoving(null))}
    >
      {moving !== null && recipients ? (
        <RecipientList
          recipients={recipients}
          onGive={(personId) => void balance.give(moving, personId)}
          onBack={() => balance.setMoving(null)}
        />
      ) : (
        <Sum explained={explained} remedies={remedies} balance={balance} />
      )}
    </Sheet>
  );
}

/** The explanation of the cell's figures, and its options. */
function Sum({ explained, remedies, balance }: SheetProps) {
  const linkTo = useLinkTo();
  const { personId, range, over, acceptances } = explained;
  return (
    <>
      <CapacityLines explained={explained} />
      <WorkLines explained={explained} balance={balance} />
      <Result explained={explained} />
      {explained.isRecorded && <RecordedHours personId={personId} range={range} />}
      <Remedies explained={explained} remedies={remedies} balance={balance} />
      {(over > 0 || acceptances.length > 0) && <Acceptances key={`${personId} ${range.start}`} explained={explained} balance={balance} />}
      <AddLeave explained={explained} balance={balance} />
      <div className="flex flex-wrap gap-2 pt-2">
        <Link href={linkTo(`/people/person/${encodeURIComponent(personId)}`)} className={buttonLook()}>
          {texts.calendar}
        </Link>
        <Button onClick={() => balance.toggle(personId)}>
          {balance.open.includes(personId) ? texts.hideAssignments : texts.showAssignments}
        </Button>
      </div>
    </>
  );
}

const leaveKinds = { sick: "Sick", holiday: "Leave", training: "Training" } as const;

/** Approved leave on the days of the cell, made by one press; one undo takes it off again. */
function AddLeave({ explained: { personId, range, capacity }, balance }: CellProps) {
  if (capacity === 0) return null;
  const add = (kind: keyof typeof leaveKinds) => {
    const dates = { from: formatDay(range.start), to: formatDay(range.stop - 1) };
    void balance.edit({ kind: "setTimeOff", personId, timeOff: { id: newId("off"), ...dates, kind, state: "approved" } });
  };
  return (
    <SheetSection title={`Away in the ${periodPhrase(range)}`}>
      <div className="flex flex-wrap gap-2">
        {objectKeys(leaveKinds).map((kind) => (
          <Button key={kind} onClick={() => add(kind)}>
            {leaveKinds[kind]}
          </Button>
        ))}
      </div>
    </SheetSection>
  );
}

function CapacityLines({ explained: { capacityLines } }: Pick<CellProps, "explained">) {
  return (
    <SheetSection>
      {capacityLines.map((line) => (
        <SumLine key={`${line.kind} ${line.name ?? ""} ${line.isPattern ?? ""} ${line.note ?? ""}`} figure={`${hoursText(line.minutes)} h`}>
          {lineText(line)}
        </SumLine>
      ))}
      {capacityLines.length === 0 && <p className="text-ink-2">{texts.noWorkingDay}</p>}
    </SheetSection>
  );
}

/** Requested leave. It reduces the capacity once it is approved. */
function RequestedLeave({ explained: { personId, requestedLeave, requestedMinutes } }: Pick<CellProps, "explained">) {
  const linkTo = useLinkTo();
  return requestedLeave.map(({ id, kind, from, to }, at) => (
    <SumLine key={id} figure={at === 0 ? `−${hoursText(requestedMinutes)} h` : ""}>
      <Link href={linkTo(`/people/person/${encodeURIComponent(personId)}`, { part: `off:${id}` })} className="text-link">
        {texts.leaveRequested}
      </Link>
      <span className="text-side">
        {" "}
        · {kind}, {rangeText({ start: from, stop: to + 1 })}, counts once approved
      </span>
    </SumLine>
  ));
}

function WorkLines({ explained, balance }: CellProps) {
  const { capacity, bars, unplanned } = explained;
  return (
    <SheetSection>
      <SumLine figure={`${hoursText(capacity)} h`} isTotal>
        {texts.capacity}
      </SumLine>
      <RequestedLeave explained={explained} />
      {bars.map((bar) => (
        <div key={bar.assignmentId} className="group flex flex-wrap items-center gap-x-2 py-[3px]">
          <ProjectDot row={bar.projectRow} />
          <span className="min-w-0 flex-1 truncate" title={`${bar.projectName} · ${bar.taskName}`}>
            {bar.taskName} <span className="text-side">{bar.projectCode}</span>
            {bar.isPencilled && <span className="text-ochre-ink">{texts.pencilled}</span>}
            {bar.isAsked && <span className="text-ochre-ink">{texts.requested}</span>}
          </span>
          <TextButton
            id={reassignId(bar.assignmentId)}
            onClick={() => balance.setMoving(bar.assignmentId)}
            aria-label={`Reassign ${bar.taskName}`}
          >
            reassign
          </TextButton>
          {bar.isRecorded ? (
            <span className="text-ink-2">{hoursText(bar.minutes)} h</span>
          ) : (
            <PeriodHours bar={bar} explained={explained} balance={balance} />
          )}
          {bar.isTyped && <Typed bar={bar} range={explained.range} onBack={() => void balance.untype(bar.assignmentId)} />}
        </div>
      ))}
      {unplanned.map(({ taskName, projectName, projectRow, minutes }) => (
        <SumLine key={`${projectRow} ${taskName}`} figure={`${hoursText(minutes)} h`}>
          <ProjectDot row={projectRow} /> {taskName} <span className="text-side">{projectName}, recorded</span>
        </SumLine>
      ))}
      {bars.length + unplanned.length === 0 && <p className="text-ink-2">{texts.noWorkInThisPeriod}</p>}
    </SheetSection>
  );
}

/** The options if any day is overloaded; suitable work if half of the time is free. */
function Remedies({ explained: { personId, range, overDays, load, capacity }, remedies, balance }: SheetProps) {
  const isOver = overDays.length > 0;
  const isIdle = !isOver && load * 2 < capacity;
  if (!isOver && !isIdle) return null;
  return (
    <RemedyList
      problem={isIdle ? { about: "idle", personId, range } : overloadOf({ personId, range })}
      begun={isIdle ? undefined : remedies}
      isSought={balance.isRemedying}
      onFound={balance.onRemedies}
      previewed={balance.previewed}
      onPreview={balance.setPreviewed}
      onApply={(line) => {
        balance.setPreviewed(null);
        void balance.edit(remedyEdit(line));
      }}
    />
  );
}

/** Load, what is over or left of it, and the days on which it is. */
function Result({ explained: { range, load, over, room, overDays } }: Pick<CellProps, "explained">) {
  return (
    <>
      <SheetSection>
        <SumLine figure={`${hoursText(load)} h`}>{texts.load}</SumLine>
        <SumLine figure={`${hoursText(over > 0 ? over : room)} h`} isTotal isOver={over > 0}>
          {over > 0 ? texts.overCapacity : texts.room}
        </SumLine>
      </SheetSection>
      {overDays.length > 0 && range.stop - range.start > 1 && (
        <SheetSection title={`Over capacity on ${countText(overDays.length, "single day")}`}>
          {overDays.slice(0, 5).map(({ day, over: minutes, load: planned, capacity }) => (
            <SumLine key={day} figure={`−${hoursText(minutes)} h`}>
              {weekdayText(day)}{" "}
              <span className="text-ink-2">
                · {hoursText(planned)} of {hoursText(capacity)} h
              </span>
            </SumLine>
          ))}
        </SheetSection>
      )}
    </>
  );
}

/** The calculated hours of typed work, and the way back to them. */
function Typed({ bar, range, onBack }: { bar: Bar; range: Range; onBack: () => void }) {
  const rule = useMaybeAnswer("byRule", { assignmentId: bar.assignmentId, range }, null);
  return (
    <p className="basis-full pb-1 pl-5 text-side">
      Typed
      {rule && (
        <>
          ; calculated: {hoursText(rule.inPeriod)} h here, {hoursText(rule.inAll)} h in total
        </>
      )}
      .{" "}
      <TextButton onClick={onBack} aria-label={`${bar.taskName}: reset to calculated`}>
        {texts.resetToCalculated}
      </TextButton>
    </p>
  );
}

/** The hours of one assignment in the period, typed over. */
function PeriodHours({ bar, explained: { range }, balance }: { bar: Bar; explained: CellExplained; balance: Hook }) {
  const exact = bar.minutes / 60;
  return (
    <>
      <DraftInput
        value={exact}
        // The same text as everywhere; any other typed text is another amount, to the minute.
        write={(hours) => String(hours === exact ? hourTenths(bar.minutes) / 10 : hours)}
        read={(text) => readAmount(text, 0, 10_000)}
        onSave={(hours) => void balance.typeHours(bar.assignmentId, range, hours)}
        says={texts.hoursFrom0To10}
        aria-label={`${bar.taskName}, hours in the ${periodPhrase(range)}`}
        inputMode="decimal"
        width={58}
        isSmall
        isFigure
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
    <SheetSection title={acceptances.length > 0 ? texts.accepted : texts.acceptTheOverload}>
      {acceptances.map((acceptance) => (
        <Accepted key={acceptance.id} acceptance={acceptance} balance={balance} />
      ))}
      {acceptances.length === 0 && over > 0 && (
        <form
          className="space-y-2"
          onSubmit={(event) => {
            event.preventDefault();
            accept();
          }}
        >
          <Field label={texts.reason}>
            <TextInput value={reason} onChange={(event) => setReason(event.target.value)} />
          </Field>
          <div className="flex items-end gap-2">
            <Field label={texts.until} fault={isSound ? undefined : DATE_HINT}>
              <DateField value={until} onChange={setUntil} />
            </Field>
            <Button type="submit" disabled={reason.trim() === "" || !isSound}>
              {texts.accept}
            </Button>
          </div>
        </form>
      )}
    </SheetSection>
  );
}

function Accepted({ acceptance, balance }: { acceptance: CellExplained["acceptances"][number]; balance: Hook }) {
  const { id, reason, to } = acceptance;
  return (
    <div className="flex items-start gap-2">
      <p className="min-w-0 flex-1">
        {reason} <span className="text-ink-2">Until {writeDate(to)}.</span>
      </p>
      <Button onClick={() => void balance.edit({ kind: "deleteAcceptance", id })}>{texts.withdraw}</Button>
    </div>
  );
}

const timeOffWords: Record<string, string> = { holiday: "Leave", sick: "Sick", training: "Training", other: "Away" };

function lineText({ kind, isPattern, name, note, from, to, days }: CapacityLine): string {
  const count = countText(days, "day");
  switch (kind) {
    case "week":
      return isPattern ? `Own week, ${count}` : `Calendar week, ${count}`;
    case "notEmployed":
      return `Not employed, ${count}`;
    case "exception":
      return `${name || "Calendar exception"}, ${from === undefined || to === undefined ? "" : rangeText({ start: from, stop: to + 1 })}`;
    case "timeOff":
      return `${timeOffWords[name ?? ""] ?? "Away"}${note ? `: ${note}` : ""}, ${count}`;
    case "overtime":
      return `Overtime, ${count}`;
  }
}

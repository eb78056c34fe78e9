"use client";
// A person's week: planned hours in grey, recorded hours typed over them, submitted when the week is complete.
import { ChevronLeft, ChevronRight } from "lucide-react";
import { useState } from "react";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import type { Week as WeekAnswer } from "../../core/answers/week.ts";
import { Button, IconButton, TextButton } from "../../ui/button.tsx";
import { hoursText, longDay, rangeText } from "../../ui/format.ts";
import { namedOptions } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { DataTable } from "../../ui/table/dataTable.tsx";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { AddRow } from "./addRow.tsx";
import { CorrectionSheet } from "./correctionSheet.tsx";
import { NoteSheet } from "./noteSheet.tsx";
import { WeekTabs } from "./tabs.tsx";
import { isClosedDay, useWeek, type WeekHook } from "./useWeek.ts";
import { weekColumns } from "./weekColumns.tsx";
import { texts } from "./words.ts";

export function Week({ initial }: { initial: Initial<AnswerOf<"week">> }) {
  const hook = useWeek(initial);
  const { week } = hook;
  const [isCorrecting, setCorrecting] = useState(false);
  const noted = week?.rows.find(({ key }) => key === hook.noted?.key);
  const closed = week ? week.days.filter((day) => isClosedDay(week, day)) : [];
  return (
    <Screen
      isTwoLined
      title={texts.week}
      figures={
        <>
          <WeekTabs />
          {week && <WeekFigures week={week} />}
        </>
      }
      actions={week && <Actions hook={hook} week={week} />}
      sheet={
        noted && week ? (
          <NoteSheet
            key={`${noted.key} ${hook.noted?.at}`}
            week={week}
            row={noted}
            at={hook.noted?.at ?? 0}
            onClose={() => hook.setNoted(null)}
          />
        ) : (
          week && isCorrecting && closed.length > 0 && <CorrectionSheet week={week} days={closed} onClose={() => setCorrecting(false)} />
        )
      }
    >
      {week ? (
        <>
          {closed.length > 0 && (
            <p className="pb-2 text-ink-2">
              Hours up to {longDay(closed[closed.length - 1])} are closed.{" "}
              {week.rows.length > 0 && <TextButton onClick={() => setCorrecting(true)}>{texts.recordACorrection}</TextButton>}
            </p>
          )}
          <WeekTable week={week} hook={hook} />
          {week.rows.length > 0 && <p className="pt-1 text-side">{texts.keysOfTheWeek}</p>}
          <AddRow addRow={hook.addRow} />
        </>
      ) : (
        <Empty title={texts.nobodyYet}>{texts.addPeopleFirst}</Empty>
      )}
    </Screen>
  );
}

const sum = (minutes: readonly number[]): number => minutes.reduce((all, own) => all + own, 0);

function WeekFigures({ week: { recorded, capacity, ids, start } }: { week: WeekAnswer }) {
  return (
    <>
      <Figure
        value={`${hoursText(sum(recorded))} of ${hoursText(sum(capacity))} h`}
        says={`recorded, ${rangeText({ start, stop: start + 7 })}`}
      />
      {ids.returned.length > 0 && <Figure value={String(ids.returned.length)} says="returned" isOver />}
    </>
  );
}

function Actions({ hook, week }: { hook: WeekHook; week: WeekAnswer }) {
  const { people, personId, show, decide } = hook;
  const open = [...week.ids.draft, ...week.ids.returned];
  return (
    <>
      <Picker label={texts.person} width={190} value={personId} onChange={(person) => show({ person })} options={namedOptions(people)} />
      <span className="flex items-center">
        <IconButton label={texts.previousWeek} onClick={() => show({ week: week.start - 7 })}>
          <ChevronLeft size={16} />
        </IconButton>
        <Button onClick={() => show({ week: week.today })}>{texts.thisWeek}</Button>
        <IconButton label={texts.nextWeek} onClick={() => show({ week: week.start + 7 })}>
          <ChevronRight size={16} />
        </IconButton>
      </span>
      <Button title={texts.recordsPlannedHours} onClick={() => hook.acceptPlanned()}>
        {texts.asPlanned}
      </Button>
      <Button onClick={() => void hook.copyLast()}>{texts.copyLastWeek}</Button>
      {open.length === 0 && week.ids.submitted.length > 0 ? (
        <Button onClick={() => decide(week.ids.submitted, "draft")}>{texts.withdraw}</Button>
      ) : (
        <Button look="main" disabled={open.length === 0} onClick={() => decide(open, "submitted")}>
          {texts.submitTheWeek}
        </Button>
      )}
    </>
  );
}

function WeekTable({ week, hook }: { week: WeekAnswer; hook: WeekHook }) {
  if (week.rows.length === 0) return <Empty title={texts.nothingPlanned}>{texts.addATaskOrActivity}</Empty>;
  return (
    <DataTable
      name="week"
      label={`Week of ${week.name}`}
      columns={weekColumns(week, hook)}
      rows={week.rows}
      idOf={({ key }) => key}
      nameOf={({ name }) => name}
      rowHeight={42}
      headHeight={44}
      sortIn="here"
    />
  );
}

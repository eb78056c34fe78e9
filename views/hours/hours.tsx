"use client";
// Hours typed into days, weeks or months: of a project its people and openings, of a person their work.
import { ChevronLeft } from "lucide-react";
import { useCallback, useMemo } from "react";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import type { HoursGrid, HoursOf, HoursRow } from "../../core/answers/hoursGrid.ts";
import type { Range } from "../../core/calendar/periods.ts";
import { Button } from "../../ui/button.tsx";
import { hoursText } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { DataTable } from "../../ui/table/dataTable.tsx";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { usePeriodColumns } from "../periods/periodColumns.tsx";
import { useLeaveWhenGone } from "../scope/useLeaveWhenGone.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { AddHoursRow } from "./addHoursRow.tsx";
import { hourColumn, rowColumn, sumColumn } from "./hourColumns.tsx";
import { type HoursHook, useHours } from "./useHours.ts";
import { texts } from "./words.ts";

export function Hours({ of, initial }: { of: HoursOf; initial: Initial<AnswerOf<"hours">> }) {
  const hours = useHours(of, initial);
  const { grid, refused, closeRefused } = hours;
  const linkTo = useLinkTo();
  const isOfPerson = "personId" in of;
  const back = isOfPerson ? `/people/person/${encodeURIComponent(of.personId)}` : `/work/${encodeURIComponent(of.projectId)}`;
  useLeaveWhenGone(grid?.name, isOfPerson ? "/people" : "/work");
  if (!grid)
    return (
      <Screen title={texts.hours}>
        <Empty title={`This ${isOfPerson ? "person" : "project"} is not in the plan`}>{texts.itMayHaveBeenDeleted}</Empty>
      </Screen>
    );
  const inWindow = grid.rows.reduce((sum, { minutes }) => sum + minutes.reduce((own, one) => own + one, 0), 0);
  return (
    <Screen
      title={
        <span className="flex items-center gap-1">
          <Link href={linkTo(back)} aria-label={`Back to ${grid.name}`} className="-ml-1 text-ink-2 hover:text-ink">
            <ChevronLeft size={18} />
          </Link>
          Hours of {grid.name}
        </span>
      }
      figures={<Figure value={`${hoursText(inWindow)} h`} says={texts.inTheWindow} />}
      actions={<BlockButtons hours={hours} />}
      sheet={refused.length > 0 && <NotPasted refused={refused} onClose={closeRefused} />}
    >
      {grid.rows.length === 0 ? (
        <Empty title={texts.noRowsYet}>{texts.eachRowIsOnePersons}</Empty>
      ) : (
        <Grid grid={grid} hours={hours} isOfPerson={isOfPerson} />
      )}
      <AddHoursRow of={of} addRow={hours.addRow} />
    </Screen>
  );
}

function NotPasted({ refused, onClose }: { refused: HoursHook["refused"]; onClose: () => void }) {
  return (
    <Sheet title={texts.notPasted} subtitle="All other cells were pasted" onClose={onClose}>
      <SheetSection>
        <ul className="space-y-2">
          {refused.map(({ where, why }) => (
            <li key={where}>
              <span className="font-medium">{where}</span>
              <span className="block text-ink-2">{why}</span>
            </li>
          ))}
        </ul>
      </SheetSection>
    </Sheet>
  );
}

function Grid({ grid, hours, isOfPerson }: { grid: HoursGrid; hours: HoursHook; isOfPerson: boolean }) {
  const { activeId, setActiveId, type, blocks } = hours;
  const active = grid.rows.find(({ assignmentId }) => assignmentId === activeId);
  const [onlyPerson] = isOfPerson ? Object.values(grid.people) : [];
  const below = onlyPerson ?? (active?.personId == null ? null : (grid.people[active.personId] ?? null));
  const columnOf = useCallback(
    (period: Range, at: number) =>
      hourColumn(
        {
          grid,
          below,
          onType: (row, own, typed) => type(() => [{ assignmentId: row.assignmentId, ...own, hours: typed }], "type hours"),
        },
        period,
        at,
      ),
    [grid, below, type],
  );
  const byPeriod = usePeriodColumns<HoursRow>(grid.periods, columnOf);
  const columns = useMemo(() => [rowColumn(isOfPerson, below), ...byPeriod, sumColumn], [byPeriod, isOfPerson, below]);
  return (
    <DataTable
      name="hours"
      label={`Hours of ${grid.name}`}
      columns={columns}
      rows={grid.rows}
      idOf={({ assignmentId }) => assignmentId}
      nameOf={({ who, taskName }) => `${taskName}, ${who}`}
      rowHeight={42}
      headHeight={44}
      selectedId={activeId}
      onOpen={({ assignmentId }) => setActiveId(assignmentId)}
      followsKeys
      blocks={blocks}
      sortIn="here"
    />
  );
}

/** The actions for the row in focus. */
function BlockButtons({ hours: { grid, activeId, remove, untype } }: { hours: HoursHook }) {
  const row = grid?.rows.find(({ assignmentId }) => assignmentId === activeId);
  const isTyped = row?.typed.includes(1) ?? false;
  return (
    <>
      <span className="text-side">{texts.shiftAndArrowKeysSelect}</span>
      <Button disabled={!row || !isTyped} onClick={() => row && void untype(row)} title={texts.keepsTheTotalAndRecalculates}>
        {texts.resetToCalculated}
      </Button>
      <Button look="danger" disabled={!row} onClick={() => row && remove(row)}>
        {texts.deleteRow}
      </Button>
    </>
  );
}

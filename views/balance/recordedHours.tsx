"use client";
// Planned next to recorded hours of a cell whose days have passed.
import { useMaybeAnswer } from "../../client/session.tsx";
import { formatDay } from "../../core/calendar/day.ts";
import type { Range } from "../../core/calendar/periods.ts";
import { FigureRow, FigureTable } from "../../ui/figureTable.tsx";
import { hoursText } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { ProjectDot } from "../../ui/projectDot.tsx";
import { SheetSection } from "../../ui/sheet.tsx";
import { useLinkTo } from "../scope/windowed.ts";
import { texts } from "./words.ts";

export function RecordedHours({ personId, range }: { personId: string; range: Range }) {
  const linkTo = useLinkTo();
  const rows = useMaybeAnswer("recordedCell", { personId, range }, null);
  if (!rows) return null;
  return (
    <SheetSection title={texts.plannedAndRecorded}>
      {rows.length > 0 ? (
        <FigureTable label={texts.plannedAndRecorded} heads={["", texts.planned, texts.recorded]}>
          {rows.map(({ name, projectRow, planned, recorded }) => (
            <FigureRow key={`${projectRow} ${name}`} name={<RowName name={name} projectRow={projectRow} />}>
              <td className="text-ink-2">{hoursText(planned)}</td>
              <td>{hoursText(recorded)}</td>
            </FigureRow>
          ))}
        </FigureTable>
      ) : (
        <p className="text-side">{texts.nothingRecorded}</p>
      )}
      <Link href={linkTo("/week", { person: personId, week: formatDay(range.start) })} className="text-link">
        {texts.openTheWeek}
      </Link>
    </SheetSection>
  );
}

const RowName = ({ name, projectRow }: { name: string; projectRow: number }) => (
  <>
    {projectRow >= 0 && <ProjectDot row={projectRow} isSmall />} {name}
  </>
);

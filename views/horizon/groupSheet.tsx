"use client";
// The work behind a group's figures in a period, and who of it has room and who has not.
import { useMaybeAnswer } from "../../client/session.tsx";
import type { HorizonQuery, HorizonWork, PipelineCase } from "../../core/answers/horizon.ts";
import type { Range } from "../../core/calendar/periods.ts";
import type { ForecastBy } from "../../core/forecast/groups.ts";
import { objectKeys } from "../../core/values/objectKeys.ts";
import { countText, hoursText, rangeText, shareText } from "../../ui/format.ts";
import { ProjectDot } from "../../ui/projectDot.tsx";
import { Sheet, SheetSection, SumLine } from "../../ui/sheet.tsx";
import { groupName, nobodyWords } from "./groupWords.ts";
import { WhatHelps } from "./whatHelps.tsx";
import { texts } from "./words.ts";

const MOST_LINES = 60;
const kinds = { firm: "Assigned", open: "Unassigned", pipeline: "From the pipeline, in full" } as const;

interface Props {
  groupKey: string;
  range: Range;
  query: HorizonQuery;
  onShow: (change: PipelineCase) => void;
  onClose: () => void;
}

export function GroupSheet({ groupKey, range, query, onShow, onClose }: Props) {
  const work = useMaybeAnswer("horizonWork", { ...query, key: groupKey, range }, null);
  return (
    <Sheet title={work ? groupName(work) : ""} subtitle={rangeText(range)} onClose={onClose}>
      {work && <People people={work.people} by={query.by} />}
      <WhatHelps groupKey={groupKey} query={query} onShow={onShow} />
      {work &&
        objectKeys(kinds).map((kind) => <Lines key={kind} title={kinds[kind]} lines={work.lines.filter((own) => own.kind === kind)} />)}
    </Sheet>
  );
}

function People({ people, by }: { people: HorizonWork["people"]; by: ForecastBy }) {
  const byRoom = people.toSorted((a, b) => a.capacity - a.load - (b.capacity - b.load));
  const capacity = people.reduce((sum, own) => sum + own.capacity, 0);
  return (
    <SheetSection title={texts.peopleMostLoadedFirst}>
      {people.length === 0 && <p className="text-ink-2">{nobodyWords[by]}</p>}
      {byRoom.map(({ personId, name, capacity: own, load }) => (
        <SumLine
          key={personId}
          figure={load > own ? `${hoursText(load - own)} h over` : `${hoursText(own - load)} h free`}
          isOver={load > own}
        >
          {name} <span className="text-side">of {hoursText(own)}</span>
        </SumLine>
      ))}
      {people.length > 0 && (
        <SumLine figure={`${hoursText(capacity)} h`} isTotal>
          {texts.capacity}
        </SumLine>
      )}
    </SheetSection>
  );
}

function Lines({ title, lines }: { title: string; lines: HorizonWork["lines"] }) {
  if (lines.length === 0) return null;
  return (
    <SheetSection title={title}>
      {lines.slice(0, MOST_LINES).map((line) => (
        <SumLine key={line.row} figure={`${hoursText(line.minutes)} h`}>
          <span className="flex items-baseline gap-1.5">
            <ProjectDot row={line.projectRow} isSmall />
            <span>
              {line.taskName}
              <span className="block text-side">
                {[line.who, line.projectName, line.probability !== null && shareText(line.probability)].filter(Boolean).join(" · ")}
              </span>
            </span>
          </span>
        </SumLine>
      ))}
      {lines.length > MOST_LINES && <p className="text-side">and {countText(lines.length - MOST_LINES, "smaller item")}</p>}
      <SumLine figure={`${hoursText(lines.reduce((sum, { minutes }) => sum + minutes, 0))} h`} isTotal>
        {texts.total}
      </SumLine>
    </SheetSection>
  );
}

"use client";
// One small chart a group, all on one scale: what is asked for in bars, capacity and the far end of demand as lines.
import { Bar, ComposedChart, Line, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import type { Redacted } from "../../client/seen.ts";
import type { HorizonAnswer, HorizonGroup } from "../../core/answers/horizon.ts";
import type { Grain } from "../../core/calendar/periods.ts";
import { axisHours, chartLooks, opensAt, stepLine } from "../../ui/chartParts.tsx";
import { hoursOf, periodHeading } from "../../ui/format.ts";
import { usePlanFacts } from "../scope/facts.ts";
import { demandMarks } from "./demandMarks.ts";
import { groupName } from "./groupWords.ts";

interface Props {
  answer: Redacted<HorizonAnswer>;
  grain: Grain;
  /** A press on a period opens the work behind it. */
  onOpen: (key: string, period: number) => void;
}

export default function GroupCharts({ answer: { groups, periods }, grain, onOpen }: Props) {
  const { periodSettings } = usePlanFacts();
  const most = Math.max(1, ...groups.flatMap(({ capacity, p95 }) => [...capacity, ...p95]));
  const names = periods.map((period) => {
    const { main, side } = periodHeading(period, grain, periodSettings);
    return `${main} ${side}`;
  });
  return (
    <div className="grid grid-cols-2 gap-x-5 gap-y-3 @min-[860px]:grid-cols-4">
      {groups.map((group) => (
        <GroupChart
          key={group.key}
          group={group}
          names={names}
          most={roundedUp(hoursOf(most))}
          onOpen={(period) => onOpen(group.key, period)}
        />
      ))}
    </div>
  );
}

/** A scale that ends in a round number. */
function roundedUp(hours: number): number {
  const unit = 10 ** Math.floor(Math.log10(Math.max(1, hours))) / 2;
  return Math.ceil(hours / unit) * unit;
}

interface ChartProps {
  group: HorizonGroup;
  names: readonly string[];
  most: number;
  onOpen: (period: number) => void;
}

function GroupChart({ group, names, most, onOpen }: ChartProps) {
  const data = names.map((period, p) => ({
    period,
    firm: hoursOf(group.firm[p]),
    open: hoursOf(group.open[p]),
    pipeline: hoursOf(group.expected[p] - group.firm[p] - group.open[p]),
    p50: hoursOf(group.p50[p]),
    p80: hoursOf(group.p80[p]),
    p95: hoursOf(group.p95[p]),
    capacity: hoursOf(group.capacity[p]),
  }));
  const { firm, open, pipeline, p50, p80, p95, capacity } = demandMarks;
  const bar = { stackId: "demand", isAnimationActive: false };
  return (
    <figure aria-label={`${groupName(group)}: capacity against demand`}>
      <figcaption className="truncate">
        {groupName(group)} <span className="text-side">{group.people}</span>
      </figcaption>
      <div className="h-[118px]">
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart
            data={data}
            margin={{ top: 6, right: 2, bottom: 0, left: -2 }}
            barCategoryGap="12%"
            accessibilityLayer={false}
            onClick={(at) => opensAt(at, onOpen)}
            className="cursor-pointer"
          >
            <XAxis
              dataKey="period"
              interval="equidistantPreserveStart"
              minTickGap={24}
              {...chartLooks.x}
              tick={{ ...chartLooks.x.tick, fontSize: 10 }}
            />
            <YAxis
              domain={[0, most]}
              tickCount={3}
              tickFormatter={axisHours}
              {...chartLooks.y}
              tick={{ ...chartLooks.y.tick, fontSize: 10 }}
            />
            <Tooltip cursor={{ fill: "var(--well)", opacity: 0.6 }} {...chartLooks.tooltip} />
            <Bar dataKey="firm" name={firm.name} fill={firm.color} {...bar} />
            <Bar dataKey="open" name={open.name} fill={open.color} {...bar} />
            <Bar dataKey="pipeline" name={pipeline.name} fill={pipeline.color} {...bar} />
            <Line dataKey="p50" strokeDasharray="1 3" {...stepLine(p50)} />
            <Line dataKey="p80" strokeDasharray="2 2" {...stepLine(p80)} />
            <Line dataKey="p95" strokeDasharray="5 3" {...stepLine(p95)} />
            <Line dataKey="capacity" strokeWidth={1.6} {...stepLine(capacity)} />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}

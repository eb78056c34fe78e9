"use client";
// One small chart a role, all on one scale: what is asked for in bars, capacity and the far end of demand as lines.
import { Bar, ComposedChart, Line, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import type { HorizonAnswer, HorizonRole } from "../../core/answers/horizon.ts";
import type { Grain } from "../../core/calendar/periods.ts";
import { chartLooks } from "../../ui/chartParts.tsx";
import { hoursOf, periodHeading } from "../../ui/format.ts";
import { usePlanFacts } from "../frame/facts.ts";
import { demandMarks } from "./demandMarks.ts";

export default function RoleCharts({ answer: { roles, periods }, grain }: { answer: HorizonAnswer; grain: Grain }) {
  const { periodSettings } = usePlanFacts();
  const most = Math.max(1, ...roles.flatMap(({ capacity, p95 }) => [...capacity, ...p95]));
  const names = periods.map((period) => {
    const { main, side } = periodHeading(period, grain, periodSettings);
    return `${main} ${side}`;
  });
  return (
    <div className="grid grid-cols-2 gap-x-5 gap-y-3 @min-[860px]:grid-cols-4">
      {roles.map((role) => (
        <RoleChart key={role.roleId} role={role} names={names} most={hoursOf(most)} />
      ))}
    </div>
  );
}

function RoleChart({ role, names, most }: { role: HorizonRole; names: readonly string[]; most: number }) {
  const data = names.map((period, p) => ({
    period,
    firm: hoursOf(role.firm[p]),
    open: hoursOf(role.open[p]),
    pipeline: hoursOf(role.expected[p] - role.firm[p] - role.open[p]),
    p95: hoursOf(role.p95[p]),
    capacity: hoursOf(role.capacity[p]),
  }));
  const { firm, open, pipeline, p95, capacity } = demandMarks;
  const bar = { stackId: "demand", isAnimationActive: false };
  return (
    <figure aria-label={`${role.name}: capacity against demand`}>
      <figcaption className="truncate">
        {role.name} <span className="text-side">{role.people}</span>
      </figcaption>
      <div className="h-[118px]">
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart data={data} margin={{ top: 6, right: 2, bottom: 0, left: -14 }} barCategoryGap="12%" accessibilityLayer={false}>
            <XAxis
              dataKey="period"
              interval="equidistantPreserveStart"
              minTickGap={24}
              {...chartLooks.x}
              tick={{ ...chartLooks.x.tick, fontSize: 10 }}
            />
            <YAxis domain={[0, most]} tickCount={3} {...chartLooks.y} tick={{ ...chartLooks.y.tick, fontSize: 10 }} />
            <Tooltip cursor={{ fill: "var(--well)", opacity: 0.6 }} {...chartLooks.tooltip} />
            <Bar dataKey="firm" name={firm.name} fill={firm.color} {...bar} />
            <Bar dataKey="open" name={open.name} fill={open.color} {...bar} />
            <Bar dataKey="pipeline" name={pipeline.name} fill={pipeline.color} {...bar} />
            <Line
              dataKey="p95"
              name={p95.name}
              type="step"
              stroke={p95.color}
              strokeDasharray="3 3"
              dot={false}
              isAnimationActive={false}
            />
            <Line
              dataKey="capacity"
              name={capacity.name}
              type="step"
              stroke={capacity.color}
              strokeWidth={1.6}
              dot={false}
              isAnimationActive={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}

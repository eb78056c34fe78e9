// Links as lines over the chart: from the end of one bar to the beginning of the next; critical ones in ink.

import type { Redacted } from "../../client/seen.ts";
import type { OutlineLink, OutlineTask } from "../../core/answers/outline.ts";
import type { Range } from "../../core/calendar/periods.ts";
import type { Link } from "../../core/plan/schema.ts";
import { percentOf } from "../../ui/timeChart.tsx";
import { ROW_HEIGHT } from "./outlineChart.ts";

export function ChartLinks({
  links,
  tasks,
  window,
  height,
}: {
  links: readonly OutlineLink[];
  tasks: readonly Redacted<OutlineTask>[];
  window: Range;
  height: number;
}) {
  const rows = new Map(tasks.map((entry, at) => [entry.task.id, { entry, y: at * ROW_HEIGHT + ROW_HEIGHT / 2 }]));
  const paths = links.flatMap(({ link, isCritical }) => {
    const [from, to] = [rows.get(link.from), rows.get(link.to)];
    const path = from && to && pathOf(link.kind, from.entry, from.y, to.entry, to.y, window);
    return path ? [{ id: link.id, path, isCritical }] : [];
  });
  return (
    <svg className="absolute inset-0 size-full" viewBox={`0 0 100 ${Math.max(1, height)}`} preserveAspectRatio="none" aria-hidden="true">
      {paths.map(({ id, path, isCritical }) => (
        <path
          key={id}
          d={path}
          fill="none"
          stroke={isCritical ? "var(--ink)" : "var(--ink-3)"}
          strokeWidth={isCritical ? 1.4 : 1}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </svg>
  );
}

/** Down or up at the end that binds, then along to the beginning that is bound. */
function pathOf(
  kind: Link["kind"],
  from: Redacted<OutlineTask>,
  fromY: number,
  to: Redacted<OutlineTask>,
  toY: number,
  window: Range,
): string | null {
  if (!from.dates || !to.dates) return null;
  const fromDay = kind === "FS" || kind === "FF" ? from.dates.finish + 1 : from.dates.start;
  const toDay = kind === "FS" || kind === "SS" ? to.dates.start : to.dates.finish + 1;
  const isOutside = (day: number) => day < window.start || day > window.stop;
  if (isOutside(fromDay) && isOutside(toDay)) return null;
  const [x1, x2] = [percentOf(fromDay, window), percentOf(toDay, window)];
  const side = kind === "FS" || kind === "SS" ? -0.6 : 0.6;
  return `M ${x1} ${fromY} H ${Math.max(0, x2 + side)} V ${toY} H ${x2}`;
}

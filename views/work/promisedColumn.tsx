// The dates that a baseline promised, as a column of the outline and as a thin bar under each bar of its chart.
import type { Redacted } from "../../client/seen.ts";
import type { OutlineTask } from "../../core/answers/outline.ts";
import type { PromisedDates } from "../../core/answers/promised.ts";
import type { Range } from "../../core/calendar/periods.ts";
import { longDay, shortDay } from "../../ui/format.ts";
import type { TableColumn } from "../../ui/table/column.ts";
import { percentOf } from "../../ui/timeChart.tsx";
import { texts } from "./words.ts";

type Entry = Redacted<OutlineTask>;

export const promisedColumn = (promised: PromisedDates | null): TableColumn<Entry> => ({
  id: "promised",
  head: texts.promised,
  says: promised ? `${texts.promisedBy} ${promised.name}` : texts.noBaselineYet,
  width: 148,
  value: ({ task }) => promised?.tasks[task.id]?.start ?? null,
  copied: ({ task }) => {
    const own = promised?.tasks[task.id];
    return own ? `${longDay(own.start)} – ${longDay(own.finish)}` : "";
  },
  cell: ({ task }) => {
    const own = promised?.tasks[task.id];
    if (!own) return null;
    const { start, finish, finishDays } = own;
    return (
      <span className="truncate text-[13px]">
        {start === finish ? shortDay(start) : `${shortDay(start)} – ${shortDay(finish)}`}{" "}
        {finishDays !== null && finishDays !== 0 && (
          <span className={finishDays > 0 ? "text-over" : "text-ink-2"}>
            {finishDays > 0 ? "+" : "−"}
            {Math.abs(finishDays)} d
          </span>
        )}
      </span>
    );
  },
});

/** The promised days of a task, under its bar. */
export function PromisedBar({ promised, taskId, window }: { promised: PromisedDates | null; taskId: string; window: Range }) {
  const own = promised?.tasks[taskId];
  if (!own || own.finish < window.start || own.start >= window.stop) return null;
  const left = percentOf(own.start, window);
  return (
    <span
      data-promised={taskId}
      title={`${texts.promised}: ${shortDay(own.start)} – ${longDay(own.finish)}`}
      className="absolute bottom-[1px] h-[3px] bg-ink-3"
      style={{ left: `${left}%`, width: `max(3px, ${percentOf(own.finish + 1, window) - left}%)` }}
    />
  );
}

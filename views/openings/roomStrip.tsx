// A person's room over the weeks of some work: a column a week, its height the room, a tick where the need is.
import type { Range } from "../../core/calendar/periods.ts";
import { hoursText, shortDay } from "../../ui/format.ts";

const HEIGHT = 26;
const MOST_WEEKS = 26;

export function RoomStrip({
  name,
  weeks,
  need,
  room,
}: {
  name: string;
  weeks: readonly Range[];
  need: readonly number[];
  room: readonly number[];
}) {
  const most = Math.max(1, ...need, ...room);
  const heightOf = (minutes: number) => Math.round((minutes / most) * HEIGHT);
  const says = `${name}: ${weeks.map(({ start }, at) => `week of ${shortDay(start)}, ${hoursText(room[at])} h free of ${hoursText(need[at])} h needed`).join("; ")}`;
  return (
    <span role="img" aria-label={says} className="flex items-end gap-[2px]" style={{ height: HEIGHT + 2 }}>
      {weeks.slice(0, MOST_WEEKS).map(({ start }, at) => {
        const isShort = room[at] < need[at];
        return (
          <span
            key={start}
            title={`week of ${shortDay(start)}: ${hoursText(room[at])} h free, ${hoursText(need[at])} h needed`}
            className="relative h-full min-w-[5px] max-w-[18px] flex-1"
          >
            <span
              className={`absolute inset-x-0 bottom-0 ${isShort ? "sign-over" : "bg-room"}`}
              style={{ height: Math.max(1, heightOf(room[at])) }}
            />
            {need[at] > 0 && <span className="absolute inset-x-0 h-[2px] bg-ink" style={{ bottom: heightOf(need[at]) }} />}
          </span>
        );
      })}
    </span>
  );
}

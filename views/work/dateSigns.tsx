// The signs of what holds a task's dates besides its links: a pin, a delay, a bound; in the row and at its bar.

import type { Redacted } from "../../client/seen.ts";
import type { OutlineTask } from "../../core/answers/outline.ts";
import { parseDay } from "../../core/calendar/day.ts";
import { objectKeys } from "../../core/values/objectKeys.ts";
import { countText, longDay } from "../../ui/format.ts";
import { texts } from "./words.ts";

const bounds = {
  notBefore: "Start no earlier than",
  notAfter: "Start no later than",
  finishNotBefore: "Finish no earlier than",
  finishNotAfter: "Finish no later than",
} as const;

export function DateSigns({ entry: { task, dates, isSummary } }: { entry: Redacted<OutlineTask> }) {
  if (isSummary) return null;
  const stated = objectKeys(bounds).flatMap((key) => (task[key] === undefined ? [] : [`${bounds[key]} ${longDay(parseDay(task[key]))}`]));
  return (
    <span className="inline-flex items-center gap-[3px] align-[-1px]">
      {dates?.isPinned && (
        <Sign says={texts.pinnedToItsDates}>
          <circle cx="4.5" cy="3.5" r="3" fill="var(--ink-2)" />
          <path d="M4.5 6v6" stroke="var(--ink-2)" strokeWidth="1.2" />
        </Sign>
      )}
      {task.staggerDays !== undefined && (
        <Sign says={`Delayed by ${countText(task.staggerDays, "working day")}`}>
          <path d="M0 6h1.5M3 6h1.5M6.5 2v8M6.5 6H9" stroke="var(--ink-2)" strokeWidth="1.3" fill="none" />
        </Sign>
      )}
      {stated.length > 0 && (
        <Sign says={stated.join("; ")}>
          <path d="M6.5 1.5H3v9h3.5" stroke="var(--ink-2)" strokeWidth="1.3" fill="none" />
        </Sign>
      )}
    </span>
  );
}

function Sign({ says, children }: { says: string; children: React.ReactNode }) {
  return (
    <svg role="img" aria-label={says} width="9" height="12" viewBox="0 0 9 12">
      <title>{says}</title>
      {children}
    </svg>
  );
}

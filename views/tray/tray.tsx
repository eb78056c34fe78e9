"use client";
// The tray: work that nobody would otherwise see. It opens upwards.
import { ChevronDown, ChevronUp } from "lucide-react";
import { parseAsBoolean, useQueryState } from "nuqs";
import { useState } from "react";
import { useAnswer, useMaybeAnswer } from "../../client/session.tsx";
import type { TrayItem, TrayKind } from "../../core/attention/incompleteWork.ts";
import { TextButton } from "../../ui/button.tsx";
import { countText, hoursText, wholeText } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { conflictText } from "../effect/conflictText.ts";
import { useFrame } from "../scope/facts.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { dragHints, useTrayDrag } from "./useTrayDrag.tsx";
import { texts } from "./words.ts";

const kinds: { kind: TrayKind; title: string; counted: (count: number) => string }[] = [
  { kind: "opening", title: texts.openings, counted: (count) => countText(count, "opening") },
  {
    kind: "unplaced",
    title: texts.hoursThatCannotBeWorked,
    counted: (count) => `${countText(count, "assignment")} with hours that cannot be worked`,
  },
  { kind: "conflict", title: texts.dateConflicts, counted: (count) => `${countText(count, "date conflict")}` },
  { kind: "noDates", title: texts.noDates, counted: (count) => `${countText(count, "task")} with no dates` },
  { kind: "noPerson", title: texts.noPerson, counted: (count) => `${countText(count, "task")} with no person` },
  { kind: "noEstimate", title: texts.noEstimate, counted: (count) => `${countText(count, "task")} with no estimate` },
  { kind: "noRole", title: texts.noRole, counted: (count) => `${countText(count, "task")} with no role` },
];

export function Tray() {
  const { counts: all, items } = useAnswer("tray", {}, useFrame().tray);
  const [isOpen, setOpen] = useQueryState("tray", parseAsBoolean.withDefault(false).withOptions({ shallow: true }));
  const counts = kinds
    .map(({ kind, counted }) => ({ count: all[kind], counted }))
    .filter(({ count }) => count > 0)
    .map(({ count, counted }) => counted(count));
  return (
    <section aria-label={texts.tray} className="z-10 line-above bg-sheet">
      <button type="button" aria-expanded={isOpen} onClick={() => void setOpen(!isOpen)} className="tray-head press">
        <span className="font-semibold">{texts.tray}</span>
        <span className="truncate text-ink-2">{counts.length > 0 ? counts.join(" · ") : texts.nothingToDoAllWork}</span>
        <span className="ml-auto text-ink-2">{isOpen ? <ChevronDown size={16} /> : <ChevronUp size={16} />}</span>
      </button>
      {isOpen && (
        <div className="tray-parts">
          {kinds.map(({ kind, title }) => (
            <TrayColumn key={kind} kind={kind} title={title} count={all[kind]} first={items.filter((item) => item.kind === kind)} />
          ))}
        </div>
      )}
    </section>
  );
}

/** Hours not placed lead to their ways out, everything else to its task. */
function hrefOf({ personId, assignmentId, projectId, taskId }: TrayItem, linkTo: ReturnType<typeof useLinkTo>): string {
  return personId !== undefined && assignmentId !== undefined
    ? linkTo(`/people/person/${encodeURIComponent(personId)}`, { part: `unplaced:${assignmentId}` })
    : linkTo(`/work/${encodeURIComponent(projectId)}`, { task: taskId });
}

/** The name that distinguishes the items: of hours that cannot be worked the person, of all others the task. */
const firstSaid = ({ kind, who, taskName }: TrayItem) => (kind === "unplaced" && who ? who : taskName);
const thenSaid = ({ kind, who, taskName, projectName, conflict }: TrayItem) =>
  conflict ? conflictText(conflict) : kind === "unplaced" && who ? taskName : (who ?? projectName);

interface ColumnProps {
  kind: TrayKind;
  title: string;
  count: number;
  /** The items that came with the page. */
  first: TrayItem[];
}

/** As many more are listed by each press. */
const MORE = 200;

function TrayColumn({ kind, title, count, first }: ColumnProps) {
  const [most, setMost] = useState(0);
  const more = useMaybeAnswer("trayItems", most > 0 ? { kind, most } : null, null);
  const items = more ?? first;
  const linkTo = useLinkTo();
  const { handlers, chip } = useTrayDrag();
  if (items.length === 0) return null;
  return (
    <div className="min-w-0">
      <h3 className="pb-1 font-title text-ink-2 italic">{title}</h3>
      <ul>
        {items.map((item) => (
          <li key={`${item.taskId} ${item.assignmentId ?? item.kind} ${item.conflict?.linkId ?? item.conflict?.kind ?? ""}`}>
            <Link
              href={hrefOf(item, linkTo)}
              draggable={false}
              title={dragHints[item.kind]}
              {...(dragHints[item.kind] && handlers(item))}
              className="tray-item press"
            >
              <span className="min-w-0 flex-1 truncate">
                {firstSaid(item)} <span className="text-ink-2">· {thenSaid(item)}</span>
              </span>
              {item.minutes > 0 && <span className="shrink-0 text-over">{hoursText(item.minutes)} h</span>}
            </Link>
          </li>
        ))}
      </ul>
      {count > items.length && (
        <p className="px-1 text-side">
          <TextButton onClick={() => setMost(items.length + MORE)}>
            Show {wholeText(Math.min(MORE, count - items.length))} of {wholeText(count - items.length)} more
          </TextButton>
        </p>
      )}
      {chip}
    </div>
  );
}

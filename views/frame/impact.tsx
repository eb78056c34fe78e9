"use client";
// What an edit would do, told before it is made: capacity, who goes over, hours that lose their place, finishes that move.
import { useEffect, useState } from "react";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { Impact } from "../../core/answers/impact.ts";
import type { Edit } from "../../core/edits/edit.ts";
import { countText, hoursText, shortDay, signedMoney, wholeText } from "../../ui/format.ts";
import { SheetSection, SumLine } from "../../ui/sheet.tsx";
import { usePlanFacts } from "./facts.ts";
import { LEAST_MONEY } from "./moneyChange.ts";

const SETTLE_MS = 250;
const MOST_LINES = 6;

/** The impact of an edit that is being written; null while there is none, or none yet. */
export function useImpact(edit: Edit | null): Impact | null {
  const key = edit === null ? null : JSON.stringify(edit);
  const [settled, setSettled] = useState(key);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(key), SETTLE_MS);
    return () => clearTimeout(timer);
  }, [key]);
  const impact = useMaybeAnswer("impact", settled === null ? null : { edit: JSON.parse(settled) as Edit }, null);
  return key === null || settled !== key ? null : impact;
}

export function ImpactView({ impact, title = "What this does" }: { impact: Impact | null; title?: string }) {
  const { currency } = usePlanFacts();
  if (!impact)
    return (
      <SheetSection title={title}>
        <p className="text-ink-2">Working it out…</p>
      </SheetSection>
    );
  if (impact.faults.length > 0)
    return (
      <SheetSection title={title}>
        <p role="alert" className="text-over">
          {impact.faults.join(" ")}
        </p>
      </SheetSection>
    );
  const change = impact.capacity.after - impact.capacity.before;
  const projects = impact.finishes.filter(({ kind }) => kind === "project");
  const tasks = impact.finishes.filter(({ kind }) => kind === "task");
  const isNothing =
    impact.people + impact.over.length + impact.unplaced.length + impact.finishes.length === 0 &&
    impact.relieved + impact.placedAgain === 0;
  const { cost, revenue } = impact.money;
  return (
    <SheetSection title={title}>
      {isNothing && <p className="text-ink-2">Nobody goes over; no capacity and no date changes.</p>}
      {impact.people > 0 && (
        <SumLine figure={`${signed(change)} h`} isTotal>
          Capacity of {countText(impact.people, "person", "people")}
        </SumLine>
      )}
      <Lines
        lines={impact.weeks.map(({ week, change: minutes }) => ({
          key: String(week.start),
          text: `week of ${shortDay(week.start)}`,
          figure: `${signed(minutes)} h`,
        }))}
        more="weeks"
      />
      {Math.abs(cost) >= LEAST_MONEY && <SumLine figure={signedMoney(cost, currency)}>Cost</SumLine>}
      {Math.abs(revenue) >= LEAST_MONEY && <SumLine figure={signedMoney(revenue, currency)}>Revenue</SumLine>}
      {impact.placedAgain > 0 && <SumLine figure={`${hoursText(impact.placedAgain)} h`}>Hours nobody could work, placed now</SumLine>}
      {impact.relieved > 0 && <SumLine figure={`${hoursText(impact.relieved)} h`}>No longer over</SumLine>}
      <Group title={impact.over.length > 0 ? "Goes over, by week" : null}>
        <Lines
          lines={impact.over.map(({ personId, name, week, before, after }) => ({
            key: `${personId} ${week.start}`,
            text: `${name}, ${shortDay(week.start)}`,
            figure: `−${hoursText(after)} h${before > 0 ? ` (was −${hoursText(before)})` : ""}`,
            isBad: true,
          }))}
          more="weeks over"
        />
      </Group>
      <Group title={impact.unplaced.length > 0 ? "Hours that nobody can work then" : null}>
        <Lines
          lines={impact.unplaced.map(({ assignmentId, taskName, who, minutes }) => ({
            key: assignmentId,
            text: `${taskName} · ${who}`,
            figure: `${hoursText(minutes)} h`,
            isBad: true,
          }))}
          more="assignments"
        />
      </Group>
      <Group title={impact.finishes.length > 0 ? "Finishes that move" : null}>
        <Lines
          lines={[...projects, ...tasks].map(({ kind, id, name, before, after }) => ({
            key: `${kind} ${id}`,
            text: kind === "project" ? `${name} (project)` : name,
            figure: `${shortDay(before)} → ${shortDay(after)}`,
            isBad: after > before,
          }))}
          more="finishes"
        />
      </Group>
    </SheetSection>
  );
}

const signed = (minutes: number) => (minutes > 0 ? `+${hoursText(minutes)}` : hoursText(minutes));

function Group({ title, children }: { title: string | null; children: React.ReactNode }) {
  if (title === null) return null;
  return (
    <div className="pt-1.5">
      <p className="text-side">{title}</p>
      {children}
    </div>
  );
}

interface Line {
  key: string;
  text: string;
  figure: string;
  isBad?: boolean;
}

function Lines({ lines, more }: { lines: readonly Line[]; more: string }) {
  return (
    <>
      {lines.slice(0, MOST_LINES).map(({ key, text, figure, isBad }) => (
        <SumLine key={key} figure={figure} isOver={isBad}>
          <span className={isBad ? "text-ink" : "text-ink-2"}>{text}</span>
        </SumLine>
      ))}
      {lines.length > MOST_LINES && (
        <p className="text-side">
          and {wholeText(lines.length - MOST_LINES)} more {more}
        </p>
      )}
    </>
  );
}

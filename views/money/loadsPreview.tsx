"use client";
// The effect of a swap on the load of the people who give and take work, month by month.
import { useEffect, useMemo, useState } from "react";
import type { AnswerOf } from "../../client/questions.ts";
import type { Redacted } from "../../client/seen.ts";
import { useMaybeAnswer, usePlan } from "../../client/session.tsx";
import type { RemedyLine } from "../../core/answers/remedyLines.ts";
import { FigureRow, FigureTable } from "../../ui/figureTable.tsx";
import { hoursText, monthText } from "../../ui/format.ts";
import { SheetSection } from "../../ui/sheet.tsx";
import { remedyEdit } from "../remedies/remedyWords.ts";
import { usePlanFacts } from "../scope/facts.ts";
import { texts } from "./words.ts";

type Loads = AnswerOf<"loads">;

export function LoadsPreview({ line }: { line: Redacted<RemedyLine> }) {
  const loads = useLoads(line);
  if (!loads) return null;
  const rows = changedMonths(loads);
  return (
    <SheetSection title={texts.hoursAMonthBefore}>
      <FigureTable label={texts.hoursAMonthBefore}>
        {rows.map(({ key, name, month, capacity, was, is }, at) => (
          <FigureRow key={key} name={<MonthName name={rows[at - 1]?.name === name ? null : name} month={month} />}>
            <td className="text-ink-2">{hoursText(was)}</td>
            <td className={is > capacity ? "figure-bad" : ""}>→ {hoursText(is)}</td>
            <td className="text-side">of {hoursText(capacity)} h</td>
          </FigureRow>
        ))}
      </FigureTable>
    </SheetSection>
  );
}

function MonthName({ name, month }: { name: string | null; month: string }) {
  return (
    <>
      {name !== null && <span className="block">{name}</span>}
      <span className="text-side">{month}</span>
    </>
  );
}

/** The months of each person in which the load is another one, in minutes. */
function changedMonths({ now, then }: { now: Loads; then: Loads }) {
  return now.people.flatMap(({ id, name }, person) =>
    now.periods.flatMap(({ start }, p) => {
      const at = person * now.periods.length + p;
      const [was, is] = [now.load[at], then.load[at]];
      return was === is ? [] : [{ key: `${id} ${start}`, name, month: monthText(start), capacity: then.capacity[at], was, is }];
    }),
  );
}

/** Loads of everyone the line is about, as they are and as they would be. */
function useLoads(line: Redacted<RemedyLine>): { now: Loads; then: Loads } | null {
  const session = usePlan();
  const { today, horizon } = usePlanFacts();
  const query = useMemo(
    () => ({
      range: { start: Math.max(today, horizon.start), stop: horizon.stop },
      grain: "month" as const,
      ids: [...line.donorIds, ...line.recipientIds],
    }),
    [line, today, horizon],
  );
  const now = useMaybeAnswer("loads", query, null);
  const [then, setThen] = useState<Loads | null>(null);
  useEffect(() => {
    let isWanted = true;
    void session.preview(remedyEdit(line), "loads", query).then((loads) => isWanted && setThen(loads));
    return () => {
      isWanted = false;
    };
  }, [session, line, query]);
  return now && then && now.load.length === then.load.length ? { now, then } : null;
}

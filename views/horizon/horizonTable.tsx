"use client";
// The figures of the charts: by role and period one of them, each opening the work behind it.
import { useState } from "react";
import type { HorizonAnswer, HorizonRole } from "../../core/answers/horizon.ts";
import type { Grain } from "../../core/calendar/periods.ts";
import { Choice } from "../../ui/choice.tsx";
import { hoursText, periodHeading, periodPhrase, shareText } from "../../ui/format.ts";
import { wordOptions } from "../../ui/options.ts";
import { usePlanFacts } from "../frame/facts.ts";

const measures = {
  left: "Capacity less expected demand",
  chance: "Chance of a shortage",
  lacking: "Expected shortage",
  short: "People short, 8 in 10 sure",
  capacity: "Capacity",
  firm: "Assigned",
  open: "Unassigned",
  expected: "Expected demand",
  p50: "Demand, 5 in 10 sure",
  p80: "Demand, 8 in 10 sure",
  p95: "Demand, 95 in 100 sure",
} as const;
type Measure = keyof typeof measures;

/** What figures are in that do not say so themselves. */
const unitOf = (measure: Measure): string => (measure === "chance" ? "" : measure === "short" ? "people" : "hours");

interface Props {
  answer: HorizonAnswer;
  grain: Grain;
  openedAt: { roleId: string; period: number } | null;
  onOpen: (roleId: string, period: number) => void;
}

export function HorizonTable({ answer: { roles, periods }, grain, openedAt, onOpen }: Props) {
  const { periodSettings } = usePlanFacts();
  const [measure, setMeasure] = useState<Measure>("left");
  return (
    <section aria-label="Figures by role">
      <div className="flex items-center gap-3 pt-4 pb-1">
        <h2 className="font-title text-[18px]">By role</h2>
        <Choice label="Figure" value={measure} options={wordOptions(measures)} onChange={setMeasure} width={260} isSmall />
        <span className="text-side">{unitOf(measure)}</span>
      </div>
      <div className="overflow-x-auto">
        <table className="w-full text-right text-[13px]" aria-label={`${measures[measure]} by role and period`}>
          <thead>
            <tr className="text-side">
              <th scope="col" className="py-1 text-left font-normal">
                Role
              </th>
              {periods.map((period) => {
                const { main, side } = periodHeading(period, grain, periodSettings);
                return (
                  <th key={period.start} scope="col" className="pl-3 font-normal whitespace-nowrap">
                    <span className="block font-semibold text-ink">{main}</span>
                    {side}
                  </th>
                );
              })}
            </tr>
          </thead>
          <tbody>
            {roles.map((role) => (
              <tr key={role.roleId} className="line-above">
                <th scope="row" className="py-[3px] text-left font-normal whitespace-nowrap">
                  {role.name}
                </th>
                {periods.map((period, p) => {
                  const { text, isBad } = figureOf(role, measure, p);
                  const isOpen = openedAt?.roleId === role.roleId && openedAt.period === p;
                  return (
                    <td key={period.start} className={`pl-3 ${isOpen ? "bg-pine-wash" : ""}`}>
                      <button
                        type="button"
                        aria-label={`${role.name}, ${periodPhrase(period)}: ${text}`}
                        className={`hover:underline ${isBad ? "figure-bad" : ""}`}
                        onClick={() => onOpen(role.roleId, p)}
                      >
                        {text}
                      </button>
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

function figureOf(role: HorizonRole, measure: Measure, p: number): { text: string; isBad: boolean } {
  switch (measure) {
    case "left": {
      const left = role.capacity[p] - role.expected[p];
      return { text: hoursText(left), isBad: left < 0 };
    }
    case "chance":
      return { text: shareText(role.shortageProbability[p]), isBad: role.shortageProbability[p] >= 5_000 };
    case "lacking":
      return { text: hoursText(role.expectedShortage[p]), isBad: role.expectedShortage[p] > 0 };
    case "short":
      return { text: String(role.peopleShort[p] / 10), isBad: role.peopleShort[p] > 0 };
    default:
      return { text: hoursText(role[measure][p]), isBad: measure !== "capacity" && role[measure][p] > role.capacity[p] };
  }
}

// The horizon as pages to print: its charts on one scale, and the figures of the table.

import type { Redacted } from "../../client/seen.ts";
import type { HorizonAnswer, HorizonGroup } from "../../core/answers/horizon.ts";
import type { Grain, PeriodSettings } from "../../core/calendar/periods.ts";
import type { ForecastBy } from "../../core/forecast/groups.ts";
import { hoursText, periodHeading, rangeText } from "../../ui/format.ts";
import { PrintedPage } from "../../ui/printedPage.tsx";
import { byWords, countsText, groupName, groupWords } from "./groupWords.ts";
import { figureOf, type Measure, measureWords, unitOf } from "./measures.ts";

interface HorizonPageProps {
  answer: Redacted<HorizonAnswer>;
  by: ForecastBy;
  level: number;
  grain: Grain;
  measure: Measure;
  studio: string;
  settings: PeriodSettings;
  /** The pipeline is not as it is written. */
  isAsIf: boolean;
}

export function HorizonPage({ answer, by, level, grain, measure, studio, settings, isAsIf }: HorizonPageProps) {
  const { groups, periods } = answer;
  const most = Math.max(1, ...groups.flatMap(({ capacity, p95 }) => [...capacity, ...p95]));
  const range = rangeText({ start: periods[0].start, stop: periods[periods.length - 1].stop });
  const says = [studio, range, byWords[by].toLowerCase(), isAsIf && "the pipeline differs from the plan"].filter(Boolean).join(", ");
  return (
    <PrintedPage title="Horizon" side={says} css={css}>
      <p>
        <Mark className="firm">assigned</Mark> <Mark className="open">unassigned</Mark>{" "}
        <Mark className="pipeline">expected from the pipeline</Mark>; the line is capacity, and demand stays under the broken line in 95 of
        100 outcomes. Every chart goes up to {hoursText(most)} hours. {countsText(by, level)}
      </p>
      <div className="charts">
        {groups.map((group) => (
          <PrintedChart key={group.key} group={group} most={most} />
        ))}
      </div>
      <h2>
        {measureWords[measure]}
        {unitOf(measure) && `, ${unitOf(measure)}`}
      </h2>
      <FiguresTable answer={answer} by={by} grain={grain} measure={measure} settings={settings} />
    </PrintedPage>
  );
}

type FiguresProps = Pick<HorizonPageProps, "answer" | "by" | "grain" | "measure" | "settings">;

function FiguresTable({ answer: { groups, periods }, by, grain, measure, settings }: FiguresProps) {
  return (
    <table>
      <thead>
        <tr>
          <th scope="col">{groupWords[by]}</th>
          {periods.map((period) => {
            const { main, side } = periodHeading(period, grain, settings);
            return (
              <th key={period.start} scope="col">
                {main} {side}
              </th>
            );
          })}
        </tr>
      </thead>
      <tbody>
        {groups.map((group) => (
          <tr key={group.key}>
            <th scope="row">{groupName(group)}</th>
            {periods.map((period, p) => {
              const { text, isBad } = figureOf(group, measure, p);
              return (
                <td key={period.start} className={isBad ? "over" : ""}>
                  {text}
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Mark({ className, children }: { className: string; children: string }) {
  return (
    <>
      <svg width="9" height="9" viewBox="0 0 9 9" aria-hidden="true">
        <rect width="9" height="9" className={className} />
      </svg>{" "}
      {children}
    </>
  );
}

const [WIDE, TALL, GAP] = [240, 80, 2];

function PrintedChart({ group, most }: { group: HorizonGroup; most: number }) {
  const { firm, open, expected, capacity, p95 } = group;
  const step = WIDE / firm.length;
  const up = (minutes: number) => (minutes / most) * TALL;
  const zeros = firm.map(() => 0);
  const sure = firm.map((minutes, p) => minutes + open[p]);
  const bars = (from: readonly number[], to: readonly number[]) =>
    to
      .map(
        (minutes, p) =>
          `M${p * step + GAP / 2},${TALL - up(minutes)}h${Math.max(1, step - GAP)}V${TALL - up(from[p])}H${p * step + GAP / 2}z`,
      )
      .join("");
  const line = (amounts: readonly number[]) =>
    amounts.map((minutes, p) => `${p === 0 ? "M" : "L"}${p * step},${TALL - up(minutes)}H${(p + 1) * step}`).join("");
  return (
    <figure>
      <figcaption>{groupName(group)}</figcaption>
      <svg viewBox={`0 -2 ${WIDE} ${TALL + 4}`} aria-hidden="true">
        <path d={bars(zeros, firm)} className="firm" />
        <path d={bars(firm, sure)} className="open" />
        <path d={bars(sure, expected)} className="pipeline" />
        <path d={line(p95)} className="far" />
        <path d={line(capacity)} className="capacity" />
        <path d={`M0,${TALL}H${WIDE}`} className="ground" />
      </svg>
    </figure>
  );
}

const css = `
h2{font-size:15px;font-weight:400;margin:14px 0 4px}
.charts{display:grid;grid-template-columns:repeat(4,1fr);gap:10px 18px}
figure{margin:0}figcaption{white-space:nowrap;overflow:hidden;text-overflow:ellipsis}
.firm{fill:#9fbac5}.open{fill:#b57a2c}.pipeline{fill:#7d6ba8}
.capacity,.far,.ground{fill:none}.capacity{stroke:#1f2b2a;stroke-width:1.4}.far{stroke:#9c3c16;stroke-dasharray:3 3}.ground{stroke:#86908c;stroke-width:.6}
`;

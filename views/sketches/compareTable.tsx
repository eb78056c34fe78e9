"use client";
// The plan and sketches side by side, by the same figures; what differs from the plan says by how much.
import type { Redacted } from "../../client/seen.ts";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { SketchFigures } from "../../core/answers/sketches.ts";
import { type Figure, lessFigure, shownOr } from "../../core/plan/moneySides.ts";
import { FigureRow, FigureTable } from "../../ui/figureTable.tsx";
import { figureText, hoursText, marginText, moneyText, shareText, shortDay } from "../../ui/format.ts";
import { usePlanFacts } from "../scope/facts.ts";
import { texts } from "./words.ts";

export function CompareTable({ ids }: { ids: readonly string[] }) {
  const { currency, today } = usePlanFacts();
  const figures = useMaybeAnswer("compareSketches", { ids, today }, null);
  if (!figures) return <p className="text-side">{texts.comparing}</p>;
  const [plan, ...sketches] = figures;
  const roles = [...new Set(figures.flatMap(({ shortage }) => shortage.map(({ roleName }) => roleName)))];
  return (
    <div className="min-h-0 flex-1 overflow-auto box-open">
      <FigureTable
        look="ruled"
        label={texts.thePlanAndSketchesSide}
        heads={[texts.overTheWholePlan, texts.thePlan, ...sketches.map(({ name }) => ({ head: name, look: "text-plum" }))]}
      >
        {[...lines(currency, figures), ...roles.flatMap(shortageLines)].map((line) => (
          <CompareRow key={line.name} line={line} plan={plan} sketches={sketches} />
        ))}
        <FigureRow name={texts.movedFinishDates}>
          <td>–</td>
          {sketches.map(({ id, finishes }) => (
            <td key={id}>{finishes.length === 0 ? "none" : <Moved finishes={finishes} />}</td>
          ))}
        </FigureRow>
      </FigureTable>
    </div>
  );
}

function Moved({ finishes }: Pick<Redacted<SketchFigures>, "finishes">) {
  return finishes.map(({ name, before, after }) => (
    <span key={name} className={`block ${after > before ? "text-over" : "text-level-ink"}`}>
      {name} {shortDay(after)}, not {shortDay(before)}
    </span>
  ));
}

function CompareRow({ line, plan, sketches }: { line: Line; plan: Redacted<SketchFigures>; sketches: readonly Redacted<SketchFigures>[] }) {
  const { name, of, write, isLessBetter } = line;
  return (
    <FigureRow name={name}>
      <td>{written(of(plan), write)}</td>
      {sketches.map((own) => (
        <Compared key={own.id} was={of(plan)} is={of(own)} write={write} isLessBetter={isLessBetter} />
      ))}
    </FigureRow>
  );
}

interface Line {
  name: string;
  of: (figures: Redacted<SketchFigures>) => Figure | null;
  write: (figure: number) => string;
  /** Undefined where neither is. */
  isLessBetter?: boolean;
}

const lines = (currency: string, figures: readonly Redacted<SketchFigures>[]): Line[] => [
  { name: "Over capacity on single days, h", of: ({ peakOver }) => peakOver, write: hoursText, isLessBetter: true },
  { name: "Person-weeks overloaded", of: ({ overWeeks }) => overWeeks, write: String, isLessBetter: true },
  { name: "Hours that cannot be worked", of: ({ unplaced }) => unplaced, write: hoursText, isLessBetter: true },
  { name: "Capacity used", of: ({ used }) => used, write: shareText },
  { name: `Cost, ${currency}`, of: ({ cost }) => cost, write: (minor) => moneyText(minor, 0), isLessBetter: true },
  ...(figures.some(({ addedPeople }) => addedPeople !== 0)
    ? [
        {
          name: `Included: unassigned time of added people, ${currency}`,
          of: ({ addedPeople }: Redacted<SketchFigures>) => addedPeople,
          write: (minor: number) => moneyText(minor, 0),
          isLessBetter: true,
        },
      ]
    : []),
  { name: `Revenue, ${currency}`, of: ({ revenue }) => revenue, write: (minor) => moneyText(minor, 0), isLessBetter: false },
  { name: "Margin", of: ({ margin }) => margin, write: marginText, isLessBetter: false },
];

const written = (figure: Figure | null, write: Line["write"]): string => (figure === null ? "–" : figureText(figure, write));

/** Two lines for a role, as the horizon has them. */
const shortageLines = (role: string): Line[] => {
  const line = (name: string, of: (own: Redacted<SketchFigures>["shortage"][number]) => number): Line => ({
    name,
    of: ({ shortage }) => shortage.filter(({ roleName }) => roleName === role).reduce((sum, own) => sum + of(own), 0),
    write: hoursText,
    isLessBetter: true,
  });
  return [line(`${role}, expected shortage, h`, ({ expected }) => expected), line(`${role}, shortage at 80%, h`, ({ at80 }) => at80)];
};

function Compared({ was, is, write, isLessBetter }: { was: Figure | null; is: Figure | null } & Pick<Line, "write" | "isLessBetter">) {
  const by = shownOr(lessFigure(is ?? 0, was ?? 0), 0);
  // A difference that rounds to nothing is not shown.
  const isShown = is !== null && was !== null && write(Math.abs(by)) !== write(0);
  const tone = by === 0 || isLessBetter === undefined ? "text-ink-2" : by < 0 === isLessBetter ? "text-level-ink" : "text-over";
  return (
    <td data-differs={isShown}>
      {written(is, write)}
      {isShown && (
        <span className={`pl-2 text-small ${tone}`}>
          {by > 0 ? "+" : "−"}
          {write(Math.abs(by))}
        </span>
      )}
    </td>
  );
}

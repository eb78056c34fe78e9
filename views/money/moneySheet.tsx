"use client";
// The lines of a figure of money, and the explanation of each line.
import { useState } from "react";
import type { Redacted } from "../../client/seen.ts";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { MoneyAnswer, MoneyRow } from "../../core/answers/money.ts";
import type { MoneyLineDetails } from "../../core/answers/moneyLines.ts";
import type { Range } from "../../core/calendar/periods.ts";
import type { MoneyBy } from "../../core/cost/moneyKeys.ts";
import type { MoneyQuery } from "../../core/cost/moneyQuery.ts";
import { isNegative } from "../../core/plan/moneySides.ts";
import { Choice } from "../../ui/choice.tsx";
import { countText, moneyText, rangeText } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { none, type Option } from "../../ui/options.ts";
import { ProjectDot } from "../../ui/projectDot.tsx";
import { Sheet, SheetSection, SumLine } from "../../ui/sheet.tsx";
import { useLinkTo } from "../scope/windowed.ts";
import { groupsFor, placeText } from "./moneyParams.ts";
import { groupWords, measureWords, rowName } from "./moneyWords.ts";
import type { Opened } from "./opened.ts";
import { WhyMoney } from "./whyMoney.tsx";
import { texts } from "./words.ts";

const MOST_SHOWN = 100;

interface Props {
  money: Redacted<MoneyAnswer>;
  query: MoneyQuery;
  opened: Opened;
  onClose: () => void;
  onBreakDown: (group: MoneyBy) => void;
}

/** Another figure has other lines: all of them begin closed. */
export function MoneySheet(props: Props) {
  return <Lines key={JSON.stringify([props.opened, props.query])} {...props} />;
}

function Lines({ money, query, opened, onClose, onBreakDown }: Props) {
  const answer = useMaybeAnswer("moneyLines", { ...query, ...opened }, null);
  const [openLine, setOpenLine] = useState<string | null>(null);
  const row = money.rows.find(({ key }) => key === opened.key);
  const title = row ? rowName(query.by, row.key, row.name) : "All";
  const lines = answer?.lines ?? [];
  return (
    <Sheet title={title} subtitle={answer && `${measureWords[query.measure]}, ${rangeText(answer.range)}`} onClose={onClose}>
      {row && <Ways row={row} query={query} />}
      <BreakDown query={query} hasRow={row !== undefined} onBreakDown={onBreakDown} />
      <SheetSection title={answer ? countText(lines.length, "line") : texts.lines}>
        <ul>
          {lines.slice(0, MOST_SHOWN).map((line) => {
            const key = JSON.stringify(line.subject);
            return (
              <Line
                key={key}
                line={line}
                range={answer?.range as Range}
                isOpen={openLine === key}
                onToggle={() => setOpenLine(openLine === key ? null : key)}
              />
            );
          })}
        </ul>
        {lines.length > MOST_SHOWN && (
          <p className="text-side">and {countText(lines.length - MOST_SHOWN, "smaller line")}. Break it down to see them.</p>
        )}
        {answer && (
          <SumLine figure={`${money.currency} ${moneyText(answer.total)}`} isTotal>
            {query.measure === "left" ? texts.deductedFromTheBudget : texts.total}
          </SumLine>
        )}
      </SheetSection>
    </Sheet>
  );
}

/** Other screens about the same. */
function Ways({ row, query }: { row: Redacted<MoneyRow>; query: MoneyQuery }) {
  const linkTo = useLinkTo();
  const of = [...query.within, { by: query.by, key: row.key }].map(placeText).join(",");
  return (
    <SheetSection>
      <Link href={linkTo("/money/cash-flow", { of })} className="text-link">
        {texts.cashFlow}
      </Link>
      {query.by === "project" && (
        <>
          {" · "}
          <Link href={linkTo(`/work/${encodeURIComponent(row.key)}`)} className="text-link">
            {texts.theProject}
          </Link>
        </>
      )}
    </SheetSection>
  );
}

function BreakDown({ query, hasRow, onBreakDown }: { query: MoneyQuery; hasRow: boolean; onBreakDown: (group: MoneyBy) => void }) {
  const taken = [...query.within.map(({ by }) => by), ...(hasRow ? [query.by] : [])];
  const left = groupsFor(query.measure).filter((by) => !taken.includes(by));
  if (left.length === 0 || !hasRow) return null;
  const options: Option<MoneyBy | "">[] = [none("Break it down by …"), ...left.map((value) => ({ value, text: groupWords[value] }))];
  return (
    <SheetSection>
      <Choice<MoneyBy | ""> label={texts.breakItDownBy} value="" options={options} onChange={(by) => by !== "" && onBreakDown(by)} />
    </SheetSection>
  );
}

function Line({
  line,
  range,
  isOpen,
  onToggle,
}: {
  line: Redacted<MoneyLineDetails>;
  range: Range;
  isOpen: boolean;
  onToggle: () => void;
}) {
  const { name, who, projectName, projectRow, amount } = line;
  return (
    <li className="line-above py-1">
      <button
        type="button"
        aria-expanded={isOpen}
        title={texts.howIsItCalculated}
        onClick={onToggle}
        className="flex w-full items-baseline gap-2 text-left hover:bg-well"
      >
        <ProjectDot row={projectRow} />
        <span className="min-w-0 flex-1">
          <span className="block truncate">{name}</span>
          <span className="block truncate text-side">{[who, projectName].filter(Boolean).join(" · ")}</span>
        </span>
        <span className={`whitespace-nowrap ${isNegative(amount) ? "text-over" : ""}`}>{moneyText(amount)}</span>
      </button>
      {isOpen && <WhyMoney line={line} range={range} />}
    </li>
  );
}

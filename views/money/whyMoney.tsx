"use client";
// The explanation of a line of money: a sum that can be checked by hand.
import type { Redacted } from "../../client/seen.ts";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { MoneyLineDetails } from "../../core/answers/moneyLines.ts";
import type { Range } from "../../core/calendar/periods.ts";
import { figureFrom, shownOr } from "../../core/plan/moneySides.ts";
import { moneyText, shareText } from "../../ui/format.ts";
import { SumLine } from "../../ui/sheet.tsx";
import { usePlanFacts } from "../scope/facts.ts";
import { partText, sourceText } from "./moneyWords.ts";
import { texts } from "./words.ts";

export function WhyMoney({ line: { subject, amount, whole, probability }, range }: { line: Redacted<MoneyLineDetails>; range: Range }) {
  const why = useMaybeAnswer("moneyWhy", { subject, range, total: shownOr(whole, 0) }, null);
  const { currency } = usePlanFacts();
  if (!why) return null;
  return (
    <div className="mt-1 rounded-card bg-well px-2 py-1.5 text-[13px]" data-why="yes">
      {why.tableName !== null && (
        <p className="text-side">
          {why.tableName}
          {why.currency !== currency && `, in ${why.currency}`}
        </p>
      )}
      {why.parts.map((part, at) => (
        <SumLine key={JSON.stringify(part)} figure={moneyText(part.amount)} isOver={part.what === "noRate" || part.what === "noExchange"}>
          {partText(part, why, currency)}
          {sourceText(part, why.names) !== sourceText(why.parts[at - 1] ?? part, why.names) || at === 0 ? (
            <span className="block text-side">{sourceText(part, why.names)}</span>
          ) : null}
        </SumLine>
      ))}
      <SumLine figure={`${currency} ${moneyText(why.total)}`} isTotal>
        {texts.total}
      </SumLine>
      {probability !== null && (
        <SumLine figure={`${currency} ${moneyText(figureFrom(amount, Math.abs))}`}>× {shareText(probability)} probability</SumLine>
      )}
    </div>
  );
}

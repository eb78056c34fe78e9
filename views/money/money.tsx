"use client";
// Money: what the plan costs and earns, added up by everything that is chosen; rows and columns add up to the cent.
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import type { Redacted } from "../../client/seen.ts";
import { useAnswer } from "../../client/session.tsx";
import type { MoneyAnswer } from "../../core/answers/money.ts";
import type { MoneyBy } from "../../core/cost/moneyKeys.ts";
import { moneyText, rangeText } from "../../ui/format.ts";
import { Empty, Figure } from "../frame/screen.tsx";
import { MoneyExport } from "./moneyExport.tsx";
import { MoneyGaps } from "./moneyGaps.tsx";
import { placeText } from "./moneyParams.ts";
import { MoneyScreen } from "./moneyScreen.tsx";
import { MoneySheet } from "./moneySheet.tsx";
import { MoneyTable } from "./moneyTable.tsx";
import { MoneyTools } from "./moneyTools.tsx";
import { measureWords } from "./moneyWords.ts";
import { useOpened } from "./opened.ts";
import { useMoneyParams } from "./useMoney.ts";
import { WithinLine } from "./withinLine.tsx";
import { texts } from "./words.ts";

export function Money({ initial }: { initial: Initial<AnswerOf<"money">> }) {
  const { params, setParams, query, grain } = useMoneyParams();
  const money = useAnswer("money", query, initial);
  const [opened, setOpened] = useOpened(money);
  const breakDown = (group: MoneyBy) => {
    const key = opened?.key ?? null;
    setParams({ group, of: key === null ? params.of : [...params.of, placeText({ by: query.by, key })] });
    setOpened(null);
  };
  return (
    <MoneyScreen
      figures={<MoneyFigures money={money} says={measureWords[query.measure].toLowerCase()} />}
      actions={
        <>
          <MoneyTools params={params} query={query} grain={grain} onChange={setParams} />
          <MoneyExport money={money} query={query} />
        </>
      }
      sheet={opened && <MoneySheet money={money} query={query} opened={opened} onClose={() => setOpened(null)} onBreakDown={breakDown} />}
    >
      <WithinLine places={money.places} onChange={(of) => setParams({ of })} />
      {money.rows.length === 0 ? (
        <Empty title={params.of.length > 0 ? texts.noResults : texts.noFiguresYet}>{texts.costAndRevenueAppearHere}</Empty>
      ) : (
        <MoneyTable money={money} query={query} opened={opened} onOpen={setOpened} />
      )}
    </MoneyScreen>
  );
}

/** The sum, and what is missing in it. */
export function MoneyFigures({ money, says }: { money: Redacted<MoneyAnswer>; says: string }) {
  const { periods } = money;
  const range = periods.length > 0 ? rangeText({ start: periods[0].start, stop: periods[periods.length - 1].stop }) : "";
  return (
    <>
      <Figure value={`${money.currency} ${moneyText(money.total)}`} says={`${says} · ${range}`} />
      <MoneyGaps {...money} />
    </>
  );
}

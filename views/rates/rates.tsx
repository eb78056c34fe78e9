"use client";
// Rates: cost and bill tables, each a grid of subjects and of the days on which rates change.
import { Ellipsis, TrendingUp } from "lucide-react";
import { parseAsString, useQueryState } from "nuqs";
import { useMemo, useState } from "react";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import { withoutHidden } from "../../client/seen.ts";
import { useAnswer, usePlan } from "../../client/session.tsx";
import { copyName } from "../../core/plan/names.ts";
import type { RateTable } from "../../core/plan/schema.ts";
import { Button } from "../../ui/button.tsx";
import { Choice } from "../../ui/choice.tsx";
import { Field } from "../../ui/field.tsx";
import Link from "../../ui/link.tsx";
import { Menu } from "../../ui/menu.tsx";
import { newId } from "../../ui/newId.ts";
import { namedOptions, none, wordOptions } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { Segmented } from "../../ui/segmented.tsx";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { currencyOptions } from "../planFields/planFields.ts";
import { usePlanFacts } from "../scope/facts.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { ExchangeSheet } from "./exchangeSheet.tsx";
import { MissingRates } from "./missingRates.tsx";
import { RaiseSheet } from "./raiseSheet.tsx";
import { RateList } from "./rateList.tsx";
import { useRates } from "./useRates.ts";
import { texts } from "./words.ts";

export function Rates({ initial }: { initial: Initial<AnswerOf<"rateTables">> }) {
  const seen = useAnswer("rateTables", {}, initial);
  const tables = useMemo(() => seen.map((table) => withoutHidden<RateTable>(table)), [seen]);
  const linkTo = useLinkTo();
  const [tableId, setTableId] = useQueryState("table", parseAsString.withOptions({ shallow: true }));
  const table = tables.find(({ id }) => id === tableId) ?? tables[0];
  if (!table)
    return (
      <Screen title={texts.rates}>
        <Empty title={texts.noRateTablesYet}>
          Rate tables hold cost and billing rates by role and person. Create the first one under{" "}
          <Link className="text-link" href={linkTo("/settings/rate-tables")}>
            {texts.settingsRateTables}
          </Link>
          .
        </Empty>
      </Screen>
    );
  return <OneTable key={table.id} table={table} tables={tables} onTable={(id) => void setTableId(id)} />;
}

const figures = { rate: "Rate", overtimeRate: "Overtime", perUse: "Per use" } as const;

interface TableProps {
  table: RateTable;
  tables: readonly RateTable[];
  onTable: (id: string) => void;
}

function OneTable({ table, tables, onTable }: TableProps) {
  const { currency } = usePlanFacts();
  const rates = useRates(table);
  const [sheet, setSheet] = useState<"raise" | "exchange" | null>(null);
  const [besideId, setBeside] = useState("");
  const others = tables.filter(({ id }) => id !== table.id);
  return (
    <Screen
      isTwoLined
      title={texts.rates}
      figures={
        <>
          <Figure value={table.currency ?? currency} says={`an hour or unit · ${table.kind === "cost" ? "cost" : "billing"}`} />
          <MissingRates rates={rates} onTable={onTable} />
        </>
      }
      actions={
        <>
          <Choice label={texts.rateTable} value={table.id} options={namedOptions(tables)} onChange={onTable} width={160} />
          <Beside id={besideId} others={others} onChange={setBeside} />
          <Segmented label={texts.figure} value={rates.figure} options={wordOptions(figures)} onChange={rates.setFigure} />
          <MoreMenu table={table} tables={tables} onTable={onTable} onExchange={() => setSheet("exchange")} />
          <Button onClick={() => setSheet("raise")}>
            <TrendingUp size={14} /> Raise…
          </Button>
        </>
      }
      sheet={
        sheet === "raise" ? (
          <RaiseSheet rates={rates} onClose={() => setSheet(null)} />
        ) : (
          sheet === "exchange" && <ExchangeSheet onClose={() => setSheet(null)} />
        )
      }
    >
      <RateList rates={rates} beside={others.find(({ id }) => id === besideId)} />
    </Screen>
  );
}

/** The table whose rates are next to those that are typed. */
function Beside({ id, others, onChange }: { id: string; others: readonly RateTable[]; onChange: (id: string) => void }) {
  if (others.length === 0) return null;
  const options = [none("No comparison"), ...namedOptions(others)];
  return <Choice label={texts.compareWith} value={id} options={options} onChange={onChange} width={160} />;
}

function MoreMenu({ table, tables, onTable, onExchange }: TableProps & { onExchange: () => void }) {
  const session = usePlan();
  const { currency: own } = usePlanFacts();
  const copy = async () => {
    const id = newId("rates");
    const row = { ...table, id, name: copyName(table.name, tables) };
    if ((await session.edit({ kind: "addNamed", list: "rateTables", row })).length === 0) onTable(id);
  };
  return (
    <Menu label={texts.more} icon={<Ellipsis size={14} />}>
      <div className="w-[190px]">
        <div className="px-2 pb-2">
          <Field label={texts.currency} hint={texts.theAmountsStayAsTyped}>
            <Picker
              value={table.currency ?? own}
              options={currencyOptions()}
              onChange={(next) => {
                const set = { currency: next === own ? null : next };
                void session.edit({ kind: "changeNamed", list: "rateTables", id: table.id, set });
              }}
            />
          </Field>
        </div>
        <button type="button" className="menu-line" onClick={() => void copy()}>
          {texts.copyThisTable}
        </button>
        <button type="button" className="menu-line" onClick={onExchange}>
          {texts.exchangeRates}
        </button>
      </div>
    </Menu>
  );
}

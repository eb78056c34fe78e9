"use client";
// Rates: a cost table by role and person, edited in place.
import { parseAsString, useQueryState } from "nuqs";
import type { AnswerOf } from "../../client/questions.ts";
import { type Initial, useAnswer } from "../../client/session.tsx";
import { Segmented } from "../../ui/segmented.tsx";
import { usePlanFacts } from "../frame/facts.ts";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { RateList } from "./rateList.tsx";

export function Rates({ initial }: { initial: Initial<AnswerOf<"rateTables">> }) {
  const tables = useAnswer("rateTables", {}, initial);
  const { currency } = usePlanFacts();
  const [tableId, setTableId] = useQueryState("table", parseAsString.withOptions({ shallow: true }));
  const table = tables.find(({ id }) => id === tableId) ?? tables[0];
  if (!table)
    return (
      <Screen title="Rates">
        <Empty title="No rate tables yet">
          What an hour costs stands here, by role and person. Open a plan file with rate tables from the menu at the top right.
        </Empty>
      </Screen>
    );
  return (
    <Screen
      title="Rates"
      figures={
        <Figure value={table.currency ?? currency} says={`an hour · ${table.kind === "cost" ? "what it costs" : "what is billed"}`} />
      }
      actions={
        <Segmented
          label="Rate table"
          value={table.id}
          options={tables.map(({ id, name }) => ({ value: id, text: name }))}
          onChange={(id) => void setTableId(id)}
        />
      }
    >
      <RateList key={table.id} table={table} />
    </Screen>
  );
}

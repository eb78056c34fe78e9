"use client";
import { Plus } from "lucide-react";
import { parseAsString, useQueryState } from "nuqs";
import { useState } from "react";
import type { AnswerOf } from "../../client/questions.ts";
import { type Initial, useAnswer, usePlan } from "../../client/session.tsx";
import { parseDay } from "../../core/calendar/day.ts";
import type { RateEntry, RateTable } from "../../core/plan/schema.ts";
import { Button } from "../../ui/button.tsx";
import { Select } from "../../ui/field.tsx";
import { rangeText } from "../../ui/format.ts";
import { Segmented } from "../../ui/segmented.tsx";
import { useNames, usePlanFacts } from "../frame/facts.ts";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { usePlanWindow } from "../frame/windowed.ts";
// Rates: a cost table by role and person, edited in place.
import { rateColumns } from "./rateColumns.ts";
import { groupRates, subjectKey } from "./rateGroups.ts";
import { RateRow } from "./rateRow.tsx";

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
      <TableOfRates key={table.id} table={table} />
    </Screen>
  );
}

function TableOfRates({ table }: { table: RateTable }) {
  const session = usePlan();
  const names = useNames();
  const { range } = usePlanWindow();
  const groups = groupRates(table.entries, names, range);
  const save = (entries: RateEntry[]) => session.edit({ kind: "changeRates", tableId: table.id, entries });
  const change = (at: number, entry: RateEntry) => void save(table.entries.map((own, index) => (index === at ? entry : own)));
  const remove = (at: number) => void save(table.entries.filter((_, index) => index !== at));
  return (
    <div className="min-h-0 flex-1 overflow-auto rounded-t-card border border-line border-b-0 bg-sheet">
      <div
        className={`${rateColumns} sticky top-0 z-[2] h-[34px] min-w-[850px] items-center border-line border-b bg-sheet text-[13px] text-ink-2`}
      >
        <span className="px-3 font-semibold text-ink">Who or what</span>
        <span className="px-2">From</span>
        <span className="px-2 text-right">Rate</span>
        <span className="px-2 text-right">Overtime</span>
        <span className="px-2 text-right">Per use</span>
        <span className="px-3" title={rangeText(range)}>
          In the window
        </span>
        <span />
      </div>
      {groups.map(({ title, says, rows }) => (
        <section key={title} aria-label={title}>
          <div className="flex h-[29px] min-w-[850px] items-center border-line border-b bg-paper px-3 font-title text-[15px] italic">
            {title} <span className="ml-2 font-sans text-[12.5px] text-ink-2 not-italic">{says}</span>
          </div>
          {rows.map(({ at, entry, name, isFirst, inForce }) => (
            <RateRow
              key={`${subjectKey(entry)} ${at} ${JSON.stringify(entry)}`}
              entry={entry}
              name={name}
              isFirst={isFirst}
              inForce={inForce}
              onChange={(next) => change(at, next)}
              onRemove={() => remove(at)}
            />
          ))}
        </section>
      ))}
      <AddRate table={table} onAdd={(entry) => save([...table.entries, entry])} />
    </div>
  );
}

function AddRate({ table, onAdd }: { table: RateTable; onAdd: (entry: RateEntry) => Promise<readonly unknown[]> }) {
  const { roles, people, materials } = useNames();
  const { today } = usePlanFacts();
  const [who, setWho] = useState("");
  const add = () => {
    const [kind, id] = [who.slice(0, who.indexOf(":")), who.slice(who.indexOf(":") + 1)];
    const subject: Partial<RateEntry> =
      kind === "role" ? { roleId: id } : kind === "person" ? { personId: id } : kind === "material" ? { materialId: id } : {};
    const known = table.entries.filter((entry) => subjectKey(entry) === subjectKey(subject as RateEntry));
    const last = known.toSorted((a, b) => (a.from ?? "").localeCompare(b.from ?? "")).at(-1);
    const from = last ? dayAfter(last.from, today) : undefined;
    void onAdd({ ...subject, ...(from !== undefined && { from }), rate: last?.rate ?? 0 }).then(() => setWho(""));
  };
  return (
    <div className="flex min-w-[850px] items-center gap-2 border-line border-b px-3 py-2">
      <Select aria-label="Who the new rate is for" value={who} onChange={(event) => setWho(event.target.value)} className="w-[240px]!">
        <option value="">Add a rate for …</option>
        <option value="default:">Everybody else</option>
        {(
          [
            ["role", "Roles", roles],
            ["person", "People", people],
            ["material", "Materials", materials],
          ] as const
        ).map(([kind, label, list]) => (
          <optgroup key={kind} label={label}>
            {list.map(({ id, name }) => (
              <option key={id} value={`${kind}:${id}`}>
                {name}
              </option>
            ))}
          </optgroup>
        ))}
      </Select>
      <Button disabled={who === ""} onClick={add}>
        <Plus size={14} /> Add
      </Button>
      <span className="text-[13px] text-ink-2">A further rate of the same role or person holds from its day on.</span>
    </div>
  );
}

function dayAfter(from: string | undefined, today: number): string {
  const day = Math.max(today, from === undefined ? 0 : parseDay(from) + 1);
  return new Date(day * 86_400_000).toISOString().slice(0, 10);
}

"use client";
// The outcome of each row of a file: new, changed, unchanged, or refused with its reasons.
import { useMemo, useState } from "react";
import type { PreviewRow } from "../../../core/tables/preview.ts";
import { objectKeys } from "../../../core/values/objectKeys.ts";
import { namedOptions, none } from "../../../ui/options.ts";
import { Picker } from "../../../ui/picker.tsx";
import { Segmented } from "../../../ui/segmented.tsx";
import type { TableColumn } from "../../../ui/table/column.ts";
import { DataTable } from "../../../ui/table/dataTable.tsx";
import { ExpensePicker } from "../../planFields/expensePicker.tsx";
import { useNames } from "../../scope/facts.ts";
import { texts } from "../words.ts";
import type { BringInHook } from "./useBringIn.ts";

const words = { adds: "new", changes: "changed", leaves: "unchanged", refuses: "refused", leftOut: "excluded" } as const;
const tones = { adds: "text-level-ink", changes: "text-plum", leaves: "text-ink-2", refuses: "figure-bad", leftOut: "text-ink-3" } as const;
type Shown = "all" | PreviewRow["outcome"];

export function PreviewRows({ hook: { preview, ways, setWays } }: { hook: BringInHook }) {
  const [shown, setShown] = useState<Shown>("all");
  const all = preview?.rows;
  const rows = useMemo(() => {
    const asked = (all ?? []).filter(({ outcome }) => shown === "all" || outcome === shown);
    // Rows that will not be imported come first: they need attention.
    return asked.toSorted((a, b) => Number(b.outcome === "refuses") - Number(a.outcome === "refuses"));
  }, [all, shown]);
  if (!preview) return <p className="p-6 text-ink-2">{texts.checkingTheFile}</p>;
  if (preview.faults.length > 0) return <Faults faults={preview.faults} />;
  const { passedOver } = preview;
  const asksPeople = preview.rows.some((row) => isPersonMissing(row) || ways.subjects[row.line] !== undefined);
  const isOfBookings = ways.table === "bookings";
  const setSubject = (line: number, id: string) => {
    const { [line]: _, ...others } = ways.subjects;
    setWays({ subjects: id === "" && !isOfBookings ? others : { ...others, [line]: id } });
  };
  const asked = isOfBookings ? [matchColumn(ways.subjects, setSubject)] : asksPeople ? [personColumn(ways.subjects, setSubject)] : [];
  return (
    <>
      {passedOver.length > 0 && (
        <p className="pb-2 text-ochre-ink">
          {passedOver.map((name) => `“${name}”`).join(", ")} {passedOver.length === 1 ? "is" : "are"} not imported, because every row would
          be refused for its values. To import it anyway, choose it under Columns.
        </p>
      )}
      <div className="pb-2">
        <Segmented<Shown>
          label={texts.rowsToShow}
          value={shown}
          options={[
            { value: "all", text: texts.allRows },
            ...objectKeys(words).map((value) => ({ value, text: `${words[value]} ${preview.counts[value]}` })),
          ]}
          onChange={setShown}
        />
      </div>
      <DataTable
        name="line"
        label={texts.rowsOfTheFile}
        columns={[...columns, ...asked]}
        rows={rows}
        idOf={({ line }) => String(line)}
        nameOf={({ line }) => `line ${line}`}
        rowHeight={31}
        ticks={{
          ticked: new Set(preview.rows.flatMap(({ line, outcome }) => (outcome === "leftOut" ? [] : [String(line)]))),
          onTick: (lines, isOn) => setWays({ takes: { ...ways.takes, ...Object.fromEntries(lines.map((line) => [line, isOn])) } }),
          what: "all rows",
          says: (name) => `Import ${name}`,
        }}
        empty={texts.noResults}
      />
    </>
  );
}

function Faults({ faults }: { faults: readonly string[] }) {
  return (
    <div role="alert" className="space-y-1 p-6 text-over">
      {faults.map((fault) => (
        <p key={fault}>{fault}</p>
      ))}
    </div>
  );
}

const isPersonMissing = (row: PreviewRow) => row.outcome === "refuses" && row.namesNobody === true;

/** Lets the user choose the person of a row that names none. */
const personColumn = (people: Readonly<Record<number, string>>, onChoose: (line: number, id: string) => void): TableColumn<PreviewRow> => ({
  id: "person",
  head: texts.person,
  width: 180,
  value: ({ line }) => people[line] ?? "",
  cell: (row) =>
    (isPersonMissing(row) || people[row.line] !== undefined) && (
      <PersonChoice line={row.line} value={people[row.line] ?? ""} onChoose={(id) => onChoose(row.line, id)} />
    ),
});

function PersonChoice({ line, value, onChoose }: { line: number; value: string; onChoose: (id: string) => void }) {
  const { people } = useNames();
  return (
    <Picker
      label={`Person of line ${line}`}
      value={value}
      options={[none("Nobody"), ...namedOptions(people)]}
      onChange={onChoose}
      isSmall
    />
  );
}

/** Shows the planned expense that each booking was matched with, and lets the user choose another. */
const matchColumn = (chosen: Readonly<Record<number, string>>, onChoose: (line: number, id: string) => void): TableColumn<PreviewRow> => ({
  id: "match",
  head: texts.matchedWith,
  width: 220,
  value: (row) => chosen[row.line] ?? expenseOf(row),
  cell: (row) =>
    row.outcome !== "leftOut" &&
    row.outcome !== "leaves" && (
      <ExpensePicker
        label={`Planned expense of line ${row.line}`}
        value={chosen[row.line] ?? expenseOf(row)}
        onChange={(id) => onChoose(row.line, id)}
        isSmall
      />
    ),
});

const expenseOf = (row: PreviewRow) => (row.outcome === "refuses" ? "" : (row.expenseId ?? ""));

const says = (row: PreviewRow) => (row.outcome === "refuses" ? row.reasons.join(" ") : row.says.join(" · "));

const columns: TableColumn<PreviewRow>[] = [
  { id: "line", head: texts.line, width: 66, value: ({ line }) => line, look: () => "text-ink-2", cell: ({ line }) => line },
  {
    id: "outcome",
    head: texts.outcome,
    width: 100,
    value: ({ outcome }) => words[outcome],
    look: ({ outcome }) => tones[outcome],
    cell: ({ outcome }) => words[outcome],
  },
  {
    id: "about",
    head: texts.about,
    width: 140,
    grow: 1,
    isRowHead: true,
    value: ({ about }) => about,
    cellTitle: ({ about }) => about,
    cell: ({ about }) => <span className="truncate">{about}</span>,
  },
  {
    id: "says",
    head: texts.changesOrWhy,
    width: 240,
    grow: 3,
    value: says,
    cellTitle: says,
    look: ({ outcome }) => (outcome === "refuses" ? "text-over" : "text-ink-2"),
    cell: (row) => <span className="truncate">{says(row)}</span>,
  },
];

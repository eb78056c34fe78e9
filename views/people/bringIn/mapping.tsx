"use client";
// How a file is taken: which table it is, which of its columns is which, how its days are written.
import { tableKinds } from "../../../core/tables/preview.ts";
import { tableNames } from "../../../core/tables/table.ts";
import { CheckboxField } from "../../../ui/checkbox.tsx";
import { Choice } from "../../../ui/choice.tsx";
import { Field } from "../../../ui/field.tsx";
import { wholeText } from "../../../ui/format.ts";
import { namedOptions, none, wordOptions } from "../../../ui/options.ts";
import { Picker } from "../../../ui/picker.tsx";
import { Sheet, SheetSection } from "../../../ui/sheet.tsx";
import { useNames } from "../../frame/facts.ts";
import type { BringInHook } from "./useBringIn.ts";

type Read = NonNullable<BringInHook["read"]>;

interface PartProps {
  hook: BringInHook;
  read: Read;
}

export function Mapping({ hook }: { hook: BringInHook }) {
  const { read, ways, preview } = hook;
  if (!read) return null;
  const headerAt = ways.header ?? preview?.header ?? 0;
  return (
    <Sheet
      title={read.fileName}
      subtitle={`${wholeText(read.sheets[ways.sheet].rows.length - 1 - headerAt)} rows below the header`}
      onClose={hook.close}
    >
      <SheetSection>
        <TakenAs hook={hook} read={read} />
      </SheetSection>
      <SheetSection title="Columns">
        <Columns hook={hook} read={read} />
      </SheetSection>
      <Subject hook={hook} />
    </Sheet>
  );
}

const dateOrders = { dayFirst: "3/2/2027 is 3 February", monthFirst: "3/2/2027 is 2 March" } as const;

const MOST_HEADERS = 20;
const HEADER_LETTERS = 40;

/** The first rows of a file, any of which may name the columns. */
const headerOptions = (rows: readonly string[][]) =>
  rows.slice(0, MOST_HEADERS).flatMap((cells, at) => {
    const text = cells.filter((cell) => cell.trim() !== "").join(", ");
    return text === "" ? [] : [{ value: String(at), text: `Line ${at + 1}: ${text.slice(0, HEADER_LETTERS)}` }];
  });

function TakenAs({ hook: { ways, setWays, chooseSheet, preview }, read }: PartProps) {
  return (
    <div className="space-y-3">
      {read.note && <p className="text-ochre-ink">{read.note}</p>}
      {read.sheets.length > 1 && (
        <Field label="Sheet">
          <Choice
            value={String(ways.sheet)}
            onChange={(value) => chooseSheet(Number(value))}
            options={read.sheets.map(({ name }, at) => ({ value: String(at), text: name }))}
          />
        </Field>
      )}
      <Field label="Taken as">
        <Choice
          value={ways.table}
          onChange={(table) => setWays({ table, header: null, mapping: null, subjectId: "" })}
          options={tableNames.map((name) => ({ value: name, text: tableKinds[name].title }))}
        />
      </Field>
      <Field label="Names of the columns">
        <Choice
          value={String(ways.header ?? preview?.header ?? 0)}
          onChange={(header) => setWays({ header: Number(header), mapping: null })}
          options={headerOptions(read.sheets[ways.sheet].rows)}
        />
      </Field>
      <Field label="Days with slashes" hint="Days as 2027-02-03 or 3.2.2027 are always understood">
        <Choice value={ways.dateOrder} onChange={(dateOrder) => setWays({ dateOrder })} options={wordOptions(dateOrders)} />
      </Field>
      <CheckboxField checked={ways.makesNames} onChange={(makesNames) => setWays({ makesNames })}>
        Make roles, skills, clients and rate tables that are not there yet
      </CheckboxField>
      {(preview?.makes.length ?? 0) > 0 && <p className="text-side">Would make the {preview?.makes.join(", the ")}.</p>}
    </div>
  );
}

function Columns({ hook: { ways, preview, setWays }, read }: PartProps) {
  const kind = tableKinds[ways.table];
  const header = read.sheets[ways.sheet].rows[ways.header ?? preview?.header ?? 0] ?? [];
  const mapping = preview?.mapping ?? ways.mapping ?? kind.columns.map(() => null);
  const choose = (column: number, position: number | null) =>
    setWays({ mapping: mapping.map((own, at) => (at === column ? position : own === position ? null : own)) });
  const options = [
    none("not in the file"),
    ...header.map((text, position) => ({ value: String(position), text: text || `column ${position + 1}` })),
  ];
  return (
    <div className="space-y-2">
      {kind.columns.map(({ key, name, isNeeded }, at) => (
        <div key={key} className="grid grid-cols-[112px_1fr] items-center gap-2">
          <span>
            {name}
            {isNeeded && <span className="text-ink-2"> *</span>}
          </span>
          <Choice
            label={`Column for ${name}`}
            value={String(mapping[at] ?? "")}
            onChange={(value) => choose(at, value === "" ? null : Number(value))}
            options={options}
          />
        </div>
      ))}
      <p className="text-side">* has to be there. Columns that are not taken leave the plan as it is; an empty cell empties it.</p>
    </div>
  );
}

/** Whom or what rows are about that do not say it. */
function Subject({ hook: { ways, setWays } }: { hook: BringInHook }) {
  const names = useNames();
  const { subject } = tableKinds[ways.table];
  if (!subject) return null;
  const isPeople = subject === "people";
  return (
    <SheetSection>
      <Field
        label={isPeople ? "Rows that name nobody are about" : "Rows that name no calendar are for"}
        hint={isPeople ? "For the file of one person" : undefined}
      >
        <Picker
          value={ways.subjectId}
          onChange={(subjectId) => setWays({ subjectId })}
          options={[none(isPeople ? "nobody" : "none"), ...namedOptions(names[subject])]}
        />
      </Field>
    </SheetSection>
  );
}

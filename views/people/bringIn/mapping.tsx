"use client";
// The reading of a file: its table, the meaning of its columns, and its date format.
import { listWords } from "../../../core/plan/listWords.ts";
import { tableKinds, type UnknownText } from "../../../core/tables/preview.ts";
import { NEW_ROW, tableNames } from "../../../core/tables/table.ts";
import { plainText } from "../../../core/values/plainText.ts";
import { CheckboxField } from "../../../ui/checkbox.tsx";
import { Choice } from "../../../ui/choice.tsx";
import { Field } from "../../../ui/field.tsx";
import { countText, wholeText } from "../../../ui/format.ts";
import { kindOptions, namedOptions, none, wordOptions } from "../../../ui/options.ts";
import { Picker } from "../../../ui/picker.tsx";
import { Sheet, SheetSection } from "../../../ui/sheet.tsx";
import { useNames } from "../../scope/facts.ts";
import { texts } from "../words.ts";
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
      <SheetSection title={texts.columns}>
        <Columns hook={hook} read={read} />
      </SheetSection>
      <Subject hook={hook} />
      <UnknownNames hook={hook} />
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
        <Field label={texts.sheet}>
          <Choice
            value={String(ways.sheet)}
            onChange={(value) => chooseSheet(Number(value))}
            options={read.sheets.map(({ name }, at) => ({ value: String(at), text: name }))}
          />
        </Field>
      )}
      <Field label={texts.importAs}>
        <Choice
          value={ways.table}
          onChange={(table) => setWays({ table, header: null, mapping: null, subject: "", subjects: {} })}
          options={tableNames.map((name) => ({ value: name, text: tableKinds[name].title }))}
        />
      </Field>
      <Field label={texts.headerRow}>
        <Choice
          value={String(ways.header ?? preview?.header ?? 0)}
          onChange={(header) => setWays({ header: Number(header), mapping: null })}
          options={headerOptions(read.sheets[ways.sheet].rows)}
        />
      </Field>
      <Field label={texts.datesWithSlashes} hint={texts.datesSuchAs202702}>
        <Choice value={ways.dateOrder} onChange={(dateOrder) => setWays({ dateOrder })} options={wordOptions(dateOrders)} />
      </Field>
      <CheckboxField checked={ways.makesNames} onChange={(makesNames) => setWays({ makesNames })}>
        {texts.addRolesSkillsClients}
      </CheckboxField>
      {(preview?.makes.length ?? 0) > 0 && <p className="text-side">Would add the {preview?.makes.join(", the ")}.</p>}
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
      <p className="text-side">{texts.isRequiredAColumn}</p>
    </div>
  );
}

/** The subject of rows that do not state one. */
function Subject({ hook: { ways, setWays } }: { hook: BringInHook }) {
  const names = useNames();
  const { subject } = tableKinds[ways.table];
  if (!subject) return null;
  const isPeople = subject === "people";
  const calendars = kindOptions("Days of a calendar", "calendars", names.calendars);
  return (
    <SheetSection>
      <Field
        label={isPeople ? texts.rowsWithoutAPersonBelong : texts.rowsWithoutACalendarBelong}
        hint={ways.table === "timeOff" ? texts.youCanChooseAnotherPerson : undefined}
      >
        <Picker
          value={ways.subject}
          onChange={(own) => setWays({ subject: own })}
          options={[
            none("Nobody"),
            ...(isPeople ? kindOptions("People", "people", names.people) : calendars),
            ...(ways.table === "timeOff" ? calendars : []),
          ]}
        />
      </Field>
    </SheetSection>
  );
}

const MOST_UNKNOWN = 40;

/** Names of the file that the plan does not have, each to be matched with one it has or made new. */
function UnknownNames({ hook: { ways, setWays, preview } }: { hook: BringInHook }) {
  const names = useNames();
  const unknown = preview?.unknown ?? [];
  if (unknown.length === 0) return null;
  const isMade = ({ canBeMade }: UnknownText) => canBeMade && ways.makesNames;
  const choose = ({ list, text }: UnknownText, chosen: string) => {
    const { [plainText(text)]: _, ...others } = ways.values[list] ?? {};
    setWays({ values: { ...ways.values, [list]: chosen === "" ? others : { ...others, [plainText(text)]: chosen } } });
  };
  return (
    <SheetSection title={texts.unknownNames}>
      <p className="pb-2 text-side">{texts.aRowWithAnUnknown}</p>
      <div className="space-y-2">
        {unknown.slice(0, MOST_UNKNOWN).map((own) => (
          <div key={`${own.list} ${own.text}`} className="grid grid-cols-[112px_1fr] items-center gap-2">
            <span className="truncate" title={`${own.text}, ${countText(own.count, "time")}`}>
              {own.text}
            </span>
            <Picker
              label={`Meaning of ${listWords[own.list]} ${own.text}`}
              value={own.chosen ?? ""}
              onChange={(chosen) => choose(own, chosen)}
              options={[
                none(`${isMade(own) ? "New" : "Unknown"} ${listWords[own.list]}`),
                ...(own.canBeMade && !isMade(own) ? [{ value: NEW_ROW, text: `New ${listWords[own.list]}` }] : []),
                ...namedOptions(names[own.list]),
              ]}
            />
          </div>
        ))}
      </div>
      {unknown.length > MOST_UNKNOWN && <p className="pt-2 text-side">and {wholeText(unknown.length - MOST_UNKNOWN)} more names</p>}
    </SheetSection>
  );
}

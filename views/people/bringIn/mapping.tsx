"use client";
import { tableKinds } from "../../../core/tables/preview.ts";
import { tableNames } from "../../../core/tables/table.ts";
import { Field, Select } from "../../../ui/field.tsx";
// How a file is taken: which table it is, which of its columns is which, how its days are written.
import { wholeText } from "../../../ui/format.ts";
import { Sheet, SheetSection } from "../../../ui/sheet.tsx";
import { useNames } from "../../frame/facts.ts";
import type { BringInHook } from "./useBringIn.ts";

export function Mapping({ hook }: { hook: BringInHook }) {
  const { read, ways, preview, setWays } = hook;
  const names = useNames();
  if (!read) return null;
  const kind = tableKinds[ways.table];
  const header = read.sheets[ways.sheet].rows[0] ?? [];
  const mapping = preview?.mapping ?? ways.mapping ?? kind.columns.map(() => null);
  const choose = (column: number, position: number | null) =>
    setWays({ mapping: mapping.map((own, at) => (at === column ? position : own === position ? null : own)) });
  return (
    <Sheet
      title={read.fileName}
      subtitle={`${wholeText(read.sheets[ways.sheet].rows.length - 1)} rows below the header`}
      onClose={hook.close}
    >
      <SheetSection>
        <div className="space-y-3">
          {read.note && <p className="text-ochre-ink">{read.note}</p>}
          {read.sheets.length > 1 && (
            <Field label="Sheet">
              <Select value={ways.sheet} onChange={(event) => hook.chooseSheet(Number(event.target.value))}>
                {read.sheets.map(({ name }, at) => (
                  <option key={name} value={at}>
                    {name}
                  </option>
                ))}
              </Select>
            </Field>
          )}
          <Field label="Taken as">
            <Select
              value={ways.table}
              onChange={(event) => setWays({ table: event.target.value as typeof ways.table, mapping: null, subjectId: "" })}
            >
              {tableNames.map((name) => (
                <option key={name} value={name}>
                  {tableKinds[name].title}
                </option>
              ))}
            </Select>
          </Field>
          <Field label="Days with slashes" hint="Days as 2027-02-03 or 3.2.2027 are always understood">
            <Select value={ways.dateOrder} onChange={(event) => setWays({ dateOrder: event.target.value as typeof ways.dateOrder })}>
              <option value="dayFirst">3/2/2027 is 3 February</option>
              <option value="monthFirst">3/2/2027 is 2 March</option>
            </Select>
          </Field>
        </div>
      </SheetSection>
      <SheetSection title="Columns">
        <div className="space-y-2">
          {kind.columns.map(({ key, name, isNeeded }, at) => (
            <label key={key} className="grid grid-cols-[112px_1fr] items-center gap-2">
              <span>
                {name}
                {isNeeded && <span className="text-ink-2"> *</span>}
              </span>
              <Select
                aria-label={`Column for ${name}`}
                value={mapping[at] ?? ""}
                onChange={(event) => choose(at, event.target.value === "" ? null : Number(event.target.value))}
              >
                <option value="">not in the file</option>
                {header.map((text, position) => (
                  <option key={`${text} ${String(position)}`} value={position}>
                    {text || `column ${position + 1}`}
                  </option>
                ))}
              </Select>
            </label>
          ))}
          <p className="text-[12.5px] text-ink-2">
            * has to be there. Columns that are not taken leave the plan as it is; an empty cell empties it.
          </p>
        </div>
      </SheetSection>
      {kind.subject && (
        <SheetSection>
          <Field
            label={kind.subject === "people" ? "Rows that name nobody are about" : "Rows that name no calendar are for"}
            hint={kind.subject === "people" ? "For the file of one person" : undefined}
          >
            <Select value={ways.subjectId} onChange={(event) => setWays({ subjectId: event.target.value })}>
              <option value="">{kind.subject === "people" ? "nobody" : "none"}</option>
              {names[kind.subject].map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </Select>
          </Field>
        </SheetSection>
      )}
    </Sheet>
  );
}

"use client";
// One name in the side sheet: what uses it, and the ways in which it can go.
import { useState } from "react";
import type { NameRow } from "../../core/answers/nameList.ts";
import { Button } from "../../ui/button.tsx";
import { Field } from "../../ui/field.tsx";
import { namedOptions, none } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { listNames } from "./paths.ts";
import type { NameListHook } from "./useNameList.ts";
import { countOfUse, usesText } from "./usesText.ts";
import { texts } from "./words.ts";

export function NameSheet({ row, names }: { row: NameRow; names: NameListHook }) {
  const { list, setOpenId, detaches, remove } = names;
  const { one } = listNames[list];
  const canDelete = row.used === 0 || detaches;
  return (
    <Sheet title={row.name} subtitle={`A ${one}${row.detail === "" ? "" : ` · ${row.detail}`}`} onClose={() => void setOpenId(null)}>
      <SheetSection title={texts.usedBy}>
        {row.uses.length === 0 && <p className="text-ink-2">{texts.notUsedYet}</p>}
        {row.uses.map((use) => (
          <p key={use.list} className="py-0.5">
            <span className="font-medium">{countOfUse(use)}</span>
            {use.names.length > 0 && <span className="text-ink-2">: {use.names.join(", ")}</span>}
            {use.count > use.names.length && use.names.length > 0 && <span className="text-ink-2">{texts.andMore}</span>}
          </p>
        ))}
      </SheetSection>
      <Merge row={row} names={names} />
      <SheetSection>
        {canDelete ? (
          <Button look="danger" onClick={() => void remove(row)}>
            {row.used === 0 ? "Delete" : `Delete, and remove it from ${usesText(row)}`}
          </Button>
        ) : (
          <p className="text-ink-2">It can be deleted once it is no longer used. Merge it into another {one} to do both in one step.</p>
        )}
      </SheetSection>
    </Sheet>
  );
}

function Merge({ row, names: { list, rows, merge } }: { row: NameRow; names: NameListHook }) {
  const [intoId, setInto] = useState("");
  const { one } = listNames[list];
  const into = rows.find(({ id }) => id === intoId);
  return (
    <SheetSection title={texts.merge}>
      <div className="space-y-2">
        <Field
          label={texts.into}
          hint={`Everything that uses “${row.name}” will use the other ${one}.${list === "rateTables" ? " Rates that it does not have are copied." : ""}`}
        >
          <Picker
            value={intoId}
            onChange={setInto}
            options={[none(`Choose a ${one}`), ...namedOptions(rows.filter(({ id }) => id !== row.id))]}
          />
        </Field>
        <Button disabled={!into} onClick={() => into && void merge(row, into)}>
          {texts.merge}
        </Button>
      </div>
    </SheetSection>
  );
}

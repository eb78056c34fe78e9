"use client";
// Rows and days to type rates into: a person or something that has none yet, a day on which rates change.
import { Plus } from "lucide-react";
import { useState } from "react";
import { rateSubject } from "../../core/plan/rateSubject.ts";
import type { SubjectIds } from "../../core/typing/typeRates.ts";
import { Button } from "../../ui/button.tsx";
import { DateField } from "../../ui/dateField.tsx";
import { readDate } from "../../ui/dateText.ts";
import { kindOf, kindOptions, none } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { useNames } from "../scope/facts.ts";
import type { RatesHook } from "./useRates.ts";
import { texts } from "./words.ts";

export function RateTools({ rates }: { rates: RatesHook }) {
  return (
    <div className="flex flex-wrap items-center gap-2 pt-2">
      <AddSubject rates={rates} />
      <AddDate rates={rates} />
      <span className="text-side">{texts.aRateAppliesUntil}</span>
    </div>
  );
}

function AddSubject({ rates: { grid, addSubject } }: { rates: RatesHook }) {
  const { roles, people, materials } = useNames();
  const [who, setWho] = useState("");
  const there = new Set(grid.sections.flatMap(({ rows }) => rows.map(({ id }) => id)));
  const left = (kind: "role" | "person" | "material", list: readonly { id: string; name: string }[]) =>
    list.filter(({ id }) => !there.has(`${kind} ${id}`));
  const add = () => {
    const { kind, id } = kindOf(who);
    const of: SubjectIds =
      kind === "role" ? { roleId: id } : kind === "person" ? { personId: id } : kind === "material" ? { materialId: id } : {};
    addSubject(of);
    setWho("");
    // The new row is where one goes on typing.
    setTimeout(() => document.getElementById(`rate-${rateSubject(of)}`)?.scrollIntoView({ block: "nearest" }));
  };
  return (
    <>
      <Picker
        label={texts.rolePersonOrMaterialOfTheNew}
        value={who}
        onChange={setWho}
        width={200}
        options={[
          none("Add a rate for …"),
          ...(there.has("default") ? [] : [{ value: "default:", text: texts.everyoneElse }]),
          ...kindOptions("Roles", "role", left("role", roles)),
          ...kindOptions("People", "person", left("person", people)),
          ...kindOptions("Materials", "material", left("material", materials)),
        ]}
      />
      <Button disabled={who === ""} onClick={add}>
        <Plus size={14} /> Add
      </Button>
    </>
  );
}

function AddDate({ rates: { addDate, grid } }: { rates: RatesHook }) {
  const [text, setText] = useState("");
  const date = readDate(text);
  const add = () => {
    if (date === null || grid.dates.includes(date)) return;
    addDate(date);
    setText("");
  };
  return (
    <>
      <DateField
        label={texts.effectiveFrom}
        value={text}
        onChange={setText}
        placeholder={texts.newRatesFrom}
        width={140}
        onKeyDown={(event) => event.key === "Enter" && add()}
      />
      <Button disabled={date === null} onClick={add}>
        <Plus size={14} /> Column
      </Button>
    </>
  );
}

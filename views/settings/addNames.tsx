"use client";
// Adding to a list of names: one typed, or many pasted from a spreadsheet.
import { Plus } from "lucide-react";
import { type ClipboardEvent, type FormEvent, useState } from "react";
import { toast } from "sonner";
import { Button } from "../../ui/button.tsx";
import { Choice } from "../../ui/choice.tsx";
import { TextInput } from "../../ui/field.tsx";
import { countText } from "../../ui/format.ts";
import { Picker } from "../../ui/picker.tsx";
import { takeOut } from "../../ui/takeOut.ts";
import { currencyOptions } from "../planFields/planFields.ts";
import { usePlanFacts } from "../scope/facts.ts";
import { listNames } from "./paths.ts";
import type { NameListHook, NewName } from "./useNameList.ts";
import { texts } from "./words.ts";

export function AddNames({ names }: { names: NameListHook }) {
  const { one } = listNames[names.list];
  const { name, setName, detail, setDetail, submit, paste } = useNewNames(names);
  return (
    <form className="flex flex-wrap items-center gap-2 pt-2" onSubmit={submit}>
      <TextInput
        aria-label={`Name of a new ${one}`}
        placeholder={`Add a ${one}, or paste a list`}
        value={name}
        onChange={(event) => setName(event.target.value)}
        onPaste={paste}
        width={260}
      />
      <Detail list={names.list} value={detail} onChange={setDetail} />
      <Button type="submit" disabled={name.trim() === ""}>
        <Plus size={14} /> Add
      </Button>
    </form>
  );
}

/** The detail that some lists state next to a name. */
function Detail({ list, value, onChange }: { list: NameListHook["list"]; value: string; onChange: (detail: string) => void }) {
  if (list === "rateTables") return <TableKind value={value} onChange={onChange} />;
  if (list !== "materials" && list !== "skills") return null;
  return (
    <TextInput
      aria-label={list === "materials" ? texts.unit : texts.group}
      placeholder={list === "materials" ? texts.unitMKgPiece : texts.groupIfAny}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      width={150}
    />
  );
}

/** The kind of a rate table and its currency, such as "cost EUR". */
function TableKind({ value, onChange }: { value: string; onChange: (detail: string) => void }) {
  const { currency: own } = usePlanFacts();
  const [kind = "cost", currency = own] = value.split(" ");
  return (
    <>
      <Choice label={texts.kind} value={kind} onChange={(next) => onChange(`${next} ${currency}`)} options={kinds} />
      <Picker
        label={texts.currency}
        value={currency}
        onChange={(next) => onChange(`${kind} ${next}`)}
        options={currencyOptions()}
        width={90}
      />
    </>
  );
}

const kinds = [
  { value: "cost", text: texts.costRates },
  { value: "bill", text: texts.billingRates },
];

/** The name that is typed, and what becomes of it or of a list that is pasted. */
function useNewNames({ list, add }: NameListHook) {
  const { one, many } = listNames[list];
  const [name, setName] = useState("");
  const [detail, setDetail] = useState(list === "rateTables" ? "cost" : "");
  const take = async (added: readonly NewName[]): Promise<boolean> => {
    const count = await add(added);
    if (count === null) return false;
    const left = added.length - count;
    if (left > 0) toast(`${countText(left, one, many.toLowerCase())} ${left === 1 ? "was" : "were"} there already.`);
    return true;
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (name.trim() !== "") void takeOut(name, setName, () => take([{ name: name.trim(), detail: detail.trim() }]));
  };
  const paste = (event: ClipboardEvent) => {
    const lines = event.clipboardData
      .getData("text/plain")
      .split(/\r?\n/)
      .map((line) => line.split("\t").map((cell) => cell.trim()))
      .filter(([first]) => first !== "");
    if (lines.length < 2) return;
    event.preventDefault();
    void take(lines.map(([first, second = ""]) => ({ name: first.slice(0, 300), detail: second.slice(0, 30) })));
  };
  return { name, setName, detail, setDetail, submit, paste };
}

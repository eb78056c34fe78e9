"use client";
// Adding to a list of names: one typed, or many pasted from a spreadsheet.
import { Plus } from "lucide-react";
import { type ClipboardEvent, type FormEvent, useState } from "react";
import { toast } from "sonner";
import { Button } from "../../ui/button.tsx";
import { Choice } from "../../ui/choice.tsx";
import { TextInput } from "../../ui/field.tsx";
import { countText } from "../../ui/format.ts";
import { takeOut } from "../../ui/takeOut.ts";
import { listNames } from "./paths.ts";
import type { NameListHook, NewName } from "./useNameList.ts";

const usualDetail = { rateTables: "cost", materials: "", skills: "" } as const;

export function AddNames({ names: { list, add } }: { names: NameListHook }) {
  const { one, many } = listNames[list];
  const [name, setName] = useState("");
  const [detail, setDetail] = useState<string>(list in usualDetail ? usualDetail[list as keyof typeof usualDetail] : "");
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
      {(list === "materials" || list === "skills") && (
        <TextInput
          aria-label={list === "materials" ? "Unit" : "Group"}
          placeholder={list === "materials" ? "Unit: m², kg, piece" : "Group, if any"}
          value={detail}
          onChange={(event) => setDetail(event.target.value)}
          width={150}
        />
      )}
      {list === "rateTables" && (
        <Choice
          label="Kind"
          value={detail}
          onChange={setDetail}
          options={[
            { value: "cost", text: "What it costs" },
            { value: "bill", text: "What is billed" },
          ]}
        />
      )}
      <Button type="submit" disabled={name.trim() === ""}>
        <Plus size={14} /> Add
      </Button>
    </form>
  );
}

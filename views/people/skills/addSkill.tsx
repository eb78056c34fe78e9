"use client";
import { Plus } from "lucide-react";
import { useState } from "react";
import { Button } from "../../../ui/button.tsx";
import { TextInput } from "../../../ui/field.tsx";
import { texts } from "../words.ts";

export function AddSkill({ onAdd, taken }: { onAdd: (name: string) => void; taken: readonly string[] }) {
  const [name, setName] = useState<string | null>(null);
  if (name === null)
    return (
      <Button look="main" onClick={() => setName("")}>
        <Plus size={15} /> Add skill
      </Button>
    );
  const typed = name.trim();
  const isTaken = taken.includes(typed.toLowerCase());
  return (
    <form
      className="flex gap-1.5"
      onSubmit={(event) => {
        event.preventDefault();
        if (typed === "" || isTaken) return;
        onAdd(typed);
        setName(null);
      }}
    >
      <TextInput
        aria-label={texts.nameOfTheSkill}
        aria-invalid={isTaken}
        title={isTaken ? texts.aSkillWithThisName : undefined}
        autoFocus
        value={name}
        onChange={(event) => setName(event.target.value)}
        width={140}
      />
      <Button type="submit" look="main" disabled={typed === "" || isTaken}>
        {texts.add}
      </Button>
      <Button onClick={() => setName(null)}>{texts.back}</Button>
    </form>
  );
}

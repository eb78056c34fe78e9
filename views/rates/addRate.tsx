"use client";
// A rate for somebody or something that has none yet, or a further one from a later day on.
import { Plus } from "lucide-react";
import { useState } from "react";
import { parseDay } from "../../core/calendar/day.ts";
import { rateSubject } from "../../core/edits/changeRates.ts";
import type { RateEntry, RateTable } from "../../core/plan/schema.ts";
import { Button } from "../../ui/button.tsx";
import { kindOf, kindOptions, none } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { useNames, usePlanFacts } from "../frame/facts.ts";

export function AddRate({ table, onAdd }: { table: RateTable; onAdd: (entry: RateEntry) => Promise<readonly unknown[]> }) {
  const { roles, people, materials } = useNames();
  const { today } = usePlanFacts();
  const [who, setWho] = useState("");
  const add = () => {
    const { kind, id } = kindOf(who);
    const subject: Partial<RateEntry> =
      kind === "role" ? { roleId: id } : kind === "person" ? { personId: id } : kind === "material" ? { materialId: id } : {};
    const known = table.entries.filter((entry) => rateSubject(entry) === rateSubject(subject));
    const last = known.toSorted((a, b) => (a.from ?? "").localeCompare(b.from ?? "")).at(-1);
    const from = last ? dayAfter(last.from, today) : undefined;
    void onAdd({ ...subject, ...(from !== undefined && { from }), rate: last?.rate ?? 0 }).then(() => setWho(""));
  };
  return (
    <div className="flex items-center gap-2 px-3 py-2">
      <Picker
        label="Who the new rate is for"
        value={who}
        onChange={setWho}
        width={240}
        options={[
          none("Add a rate for …"),
          { value: "default:", text: "Everybody else" },
          ...kindOptions("Roles", "role", roles),
          ...kindOptions("People", "person", people),
          ...kindOptions("Materials", "material", materials),
        ]}
      />
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

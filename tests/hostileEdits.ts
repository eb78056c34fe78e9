// Edits as a person might make them up: those of every kind with ids of other rows, rows twice, and keys that are not theirs.
import { type Edit, editSchema } from "../core/edits/edit.ts";
import { listNames } from "../core/plan/lists.ts";
import type { Plan } from "../core/plan/schema.ts";
import { randomFrom } from "../demo/random.ts";
import { everyEditFrom } from "./everyEdit.ts";

type Random = ReturnType<typeof randomFrom>;

/** A stream of edits that fit the schema of edits, and mostly nothing else. */
export function hostileEditsFrom(seed: number): (plan: Plan) => Edit {
  const random = randomFrom(seed + 31_000);
  const next = everyEditFrom(seed);
  return (plan) => {
    for (;;) {
      const spoilt = spoil(JSON.parse(JSON.stringify(next(plan))), plan, random);
      const read = editSchema.safeParse(spoilt);
      if (read.success) return read.data;
    }
  };
}

function spoil(value: unknown, plan: Plan, random: Random): unknown {
  if (Array.isArray(value)) {
    const items = value.map((item) => spoil(item, plan, random));
    return items.length > 0 && random.below(3) === 0 ? [...items, random.pick(items)] : items;
  }
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, own]) => [
      key,
      isId(key, own) && random.below(3) === 0 ? anyId(plan, random) : spoil(own, plan, random),
    ]),
  );
}

const isId = (key: string, value: unknown): value is string =>
  typeof value === "string" && (key === "id" || key.endsWith("Id") || key === "next" || key === "from" || key === "to");

function anyId(plan: Plan, random: Random): string {
  const list = random.pick(listNames);
  const rows = plan[list];
  return rows.length > 0 ? random.pick(rows as { id: string }[]).id : "nothing";
}

// Rows added and deleted one by one: their index and their former rows are those of a list that is read again.
import fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { applyChanges, type Change } from "../edits/change.ts";
import { carryByRow, carryColumn, formerRows, rowById } from "./rows.ts";
import type { Plan } from "./schema.ts";

const demo = fernhollow();

const steps = fc.array(fc.record({ kind: fc.constantFrom("add", "remove", "change"), at: fc.nat(), isLast: fc.boolean() }), {
  minLength: 1,
  maxLength: 20,
});

/** Changes of roles, as edits make them; each on what those before have left. @param stem Begins the ids of rows that are added. */
function changesOf(ids: readonly string[], asked: { kind: string; at: number; isLast: boolean }[], stem: string): Change[] {
  const now = [...ids];
  return asked.flatMap(({ kind, at, isLast }, step): Change[] => {
    const row = now.length > 0 ? at % now.length : -1;
    const id = row < 0 ? "" : now[row];
    if (kind === "add" || row < 0) {
      const added = `${stem}-${step}`;
      const next = isLast || row < 0 ? null : id;
      now.splice(next === null ? now.length : row, 0, added);
      return [{ list: "roles", id: added, before: null, after: { id: added, name: added }, next }];
    }
    if (kind === "change") return [{ list: "roles", id, before: { id, name: id }, after: { id, name: `${id}!` } }];
    now.splice(row, 1);
    return [{ list: "roles", id, before: { id, name: id }, after: null, next: now[row] ?? null }];
  });
}

test("always: the index of a list that rows are added to and deleted from is that of a list that is read again, over many edits", () => {
  fc.assert(
    fc.property(fc.nat({ max: 12 }), fc.array(steps, { minLength: 1, maxLength: 6 }), (count, edits) => {
      let plan: Plan = { ...demo, roles: Array.from({ length: count }, (_, row) => ({ id: `r${row}`, name: `r${row}` })) };
      for (const [edit, asked] of edits.entries()) {
        const before = plan;
        plan = applyChanges(plan, changesOf(idsOf(plan), asked, `new-${edit}`));
        const ids = idsOf(plan);
        expect(ids.map((id) => rowById(plan.roles).get(id))).toEqual(ids.map((_, row) => row));
        for (const id of idsOf(before)) if (!ids.includes(id)) expect(rowById(plan.roles).has(id)).toBe(false);
        const known = idsOf(before);
        const plain = ids.map((id) => known.indexOf(id));
        const isSame = plain.length === known.length && plain.every((row, at) => row === at);
        const former = formerRows(before.roles, plan.roles);
        expect(former && [...former]).toEqual(isSame ? null : plain);
        if (!former) continue;
        const values = Int32Array.from(known, (_, row) => row + 100);
        expect([...carryColumn(values, former, new Int32Array(ids.length))]).toEqual(plain.map((row) => (row < 0 ? 0 : row + 100)));
        const single = new Map(known.map((id, row) => [row, id]));
        expect(carryByRow(single, former)).toEqual(new Map(plain.flatMap((row, at) => (row < 0 ? [] : [[at, known[row]]]))));
      }
    }),
  );
});

const idsOf = ({ roles }: Plan): string[] => roles.map(({ id }) => id);

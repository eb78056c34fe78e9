import fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import type { Plan, Role } from "../plan/schema.ts";
import { applyChanges, type Change, invert } from "./change.ts";

const base = fernhollow();
const withRoles = (roles: Role[]): Plan => ({ ...base, roles });

/** The plain way: each change on a list of its own. */
function plainly(roles: readonly Role[], changes: readonly Change[]): Role[] {
  const rows = [...roles];
  for (const { id, before, after, next } of changes) {
    const at = rows.findIndex((row) => row.id === (before ? id : next));
    if (!before) rows.splice(at < 0 ? rows.length : at, 0, after as Role);
    else if (!after) rows.splice(at, 1);
    else rows[at] = after as Role;
  }
  return rows;
}

const steps = fc.array(fc.record({ kind: fc.constantFrom("add", "put", "move", "delete"), at: fc.nat(30), to: fc.nat(30) }), {
  maxLength: 40,
});

test("changes in one go are changes one after the other, for any rows added, moved and deleted; reversed they go back", () => {
  fc.assert(
    fc.property(fc.nat(12), steps, (count, made) => {
      const roles: Role[] = Array.from({ length: count }, (_, at) => ({ id: `r${at}`, name: `Role ${at}` }));
      const changes: Change[] = [];
      let now = roles;
      made.forEach(({ kind, at, to }, step) => {
        const row = now[at % Math.max(1, now.length)];
        const next = now[to % (now.length + 1)]?.id ?? null;
        const after = row && { ...row, name: `Changed ${step}` };
        const following = row && (now[now.indexOf(row) + 1]?.id ?? null);
        const own: Change[] = [];
        if (kind === "add") own.push({ list: "roles", id: `n${step}`, before: null, after: { id: `n${step}`, name: "New" }, next });
        else if (!row) return;
        else if (kind === "put") own.push({ list: "roles", id: row.id, before: row, after });
        else own.push({ list: "roles", id: row.id, before: row, after: null, next: following });
        if (kind === "move") own.push({ list: "roles", id: row.id, before: null, after, next: next === row.id ? following : next });
        changes.push(...own);
        now = plainly(now, own);
      });
      const after = applyChanges(withRoles(roles), changes);
      expect(after.roles).toEqual(now);
      expect(applyChanges(after, invert(changes)).roles).toEqual(roles);
    }),
  );
});

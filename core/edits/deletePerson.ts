// Deletes a person whom nothing refers to: who has work, leads or has a rate leaves on a date instead.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import type { Change } from "./change.ts";
import { deletedRows, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("deletePerson"), id: z.string() });

export const deletePerson: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id }) => {
    const person = findRow(plan.people, id);
    if (!person) return { fault: faultText.gone("person") };
    const holds = whatHolds(plan, id);
    if (holds) return { fault: faultText.personHeld(person.name, holds) };
    return {
      changes: [
        ...left(plan, id),
        ...deletedRows(plan, "acceptances", (row) => row.personId === id),
        ...deletedRows(plan, "notes", (row) => row.personId === id),
        ...deletedRows(plan, "people", (row) => row.id === id),
      ],
    };
  },
  words: (plan, { id }) => `delete ${findRow(plan.people, id)?.name ?? id}`,
};

function whatHolds(plan: Plan, id: string): string | null {
  const assignments = plan.assignments.filter(({ personId }) => personId === id).length;
  if (assignments > 0) return assignments === 1 ? "an assignment" : `${assignments} assignments`;
  if (plan.projects.some(({ leadId }) => leadId === id)) return "a project to lead";
  if (plan.timeEntries.some(({ personId }) => personId === id)) return "recorded hours";
  if (plan.requests.some(({ personId, offeredId }) => personId === id || offeredId === id)) return "a request for work";
  return plan.rateTables.some(({ entries }) => entries.some(({ personId }) => personId === id)) ? "rates" : null;
}

/** Memberships end with the person. */
function left(plan: Plan, id: string): Change[] {
  return plan.teams
    .filter(({ memberIds }) => memberIds.includes(id))
    .map((team) => ({
      list: "teams",
      id: team.id,
      before: team,
      after: { ...team, memberIds: team.memberIds.filter((member) => member !== id) },
    }));
}

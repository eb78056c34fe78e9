// Deletes a team that no work is given to; its sub-teams move up.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import type { Team } from "../plan/schema.ts";
import type { Change } from "./change.ts";
import { deletedRows, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("deleteTeam"), id: z.string() });

export const deleteTeam: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id }) => {
    const team = findRow(plan.teams, id);
    if (!team) return { fault: faultText.gone("team") };
    const count = plan.assignments.filter(({ teamId }) => teamId === id).length;
    if (count > 0) return { fault: faultText.teamHeld(team.name, count) };
    const movedUp = plan.teams.filter(({ parentId }) => parentId === id).map((below) => movedTo(below, team.parentId));
    return { changes: [...movedUp, ...deletedRows(plan, "teams", (row) => row.id === id)] };
  },
  words: (plan, { id }) => `delete the team "${findRow(plan.teams, id)?.name ?? id}"`,
};

function movedTo(team: Team, parentId: string | undefined): Change {
  const { parentId: _, ...rest } = team;
  return { list: "teams", id: team.id, before: team, after: parentId === undefined ? rest : { ...rest, parentId } };
}

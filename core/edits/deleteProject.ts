// Deletes a project with its tasks, their work, links and comments, and its expenses; teams made for it stay.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import { type Change, changeOf } from "./change.ts";
import { deletionOf, recordedFault } from "./deleteTask.ts";
import { deletedRows, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("deleteProject"), id: z.string() });

export const deleteProject: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id }) => {
    if (!findRow(plan.projects, id)) return { fault: faultText.gone("project") };
    const tasks = plan.tasks.filter(({ projectId }) => projectId === id).map((task) => task.id);
    const recorded = recordedFault(plan, tasks);
    if (recorded) return recorded;
    // Its expenses go as a whole: taking them off tasks first would leave nothing to put back.
    const ofTasks = deletionOf(plan, tasks).changes.filter(({ list }) => list !== "expenses" && list !== "actualCosts");
    const teams = plan.teams.flatMap((team): Change[] => {
      const { projectId, ...after } = team;
      return projectId === id ? [changeOf("teams", { id: team.id, before: team, after })] : [];
    });
    return {
      changes: [
        ...teams,
        ...deletedRows(plan, "actualCosts", (row) => row.projectId === id),
        ...deletedRows(plan, "expenses", (row) => row.projectId === id),
        ...ofTasks,
        ...deletedRows(plan, "projects", (row) => row.id === id),
      ],
    };
  },
  words: (plan, { id }) => `delete the project "${findRow(plan.projects, id)?.name ?? id}"`,
};

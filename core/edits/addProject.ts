// Adds a project, empty or with the tasks of another one.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import type { ListName } from "../plan/lists.ts";
import { rowById } from "../plan/rows.ts";
import { type Row, rowSchemas } from "../plan/schema.ts";
import { type Change, changeOf } from "./change.ts";
import type { EditKind } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("addProject"),
  project: rowSchemas.projects,
  tasks: z.array(rowSchemas.tasks).max(20_000),
  assignments: z.array(rowSchemas.assignments).max(50_000),
  links: z.array(rowSchemas.links).max(50_000),
});

export const addProject: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { project, tasks, assignments, links }) => {
    if (rowById(plan.projects).has(project.id)) return { fault: faultText.exists("project", project.id) };
    const added = <L extends ListName>(list: L, rows: readonly Row<L>[]): Change[] =>
      rows.map((row) => changeOf(list, { id: row.id, before: null, after: row, next: null }));
    return {
      changes: [...added("projects", [project]), ...added("tasks", tasks), ...added("assignments", assignments), ...added("links", links)],
    };
  },
  words: (_, { project }) => `add the project "${project.name}"`,
};

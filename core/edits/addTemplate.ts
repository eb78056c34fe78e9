// Saves a project as a template: its tasks, links and work, to make other projects from.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import { taskWithoutProgress, workWithoutProgress } from "../plan/withoutProgress.ts";
import { addedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("addTemplate"),
  id: z.string(),
  name: z.string().trim().min(1).max(300),
  projectId: z.string(),
});

export const addTemplate: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id, name, projectId }) => {
    const project = findRow(plan.projects, projectId);
    if (!project) return { fault: faultText.gone("project") };
    if (plan.templates.some((template) => template.name === name)) return { fault: faultText.templateExists(name) };
    const { start, calendarId } = project;
    return addedRow(plan, "templates", { id, name, start, calendarId, ...contentOf(plan, projectId) }, null);
  },
  words: (_, { name }) => `save the template "${name}"`,
};

/** The part of a project that a template keeps: not its progress. Links to other projects are left out. */
function contentOf({ tasks, links, assignments }: Plan, projectId: string) {
  const own = tasks.filter((task) => task.projectId === projectId);
  const ids = new Set(own.map(({ id }) => id));
  return {
    tasks: own.map(({ projectId: _, ...task }) => taskWithoutProgress(task)),
    links: links.filter(({ from, to }) => ids.has(from) && ids.has(to)),
    assignments: assignments.filter(({ taskId }) => ids.has(taskId)).map(workWithoutProgress),
  };
}

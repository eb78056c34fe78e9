// Which task or project a cell means.
import type { Project, Task } from "../plan/schema.ts";
import { namedCell, plainText, type Read } from "./cells.ts";
import type { Draft } from "./table.ts";

/** The project of a cell: by id, code or name. */
export function projectOf(cell: string, draft: Draft): Read<Project> {
  const said = plainText(cell);
  const byCode = draft.all("projects").filter(({ code }) => code !== undefined && plainText(code) === said);
  return byCode.length === 1 ? { value: byCode[0] } : namedCell(cell, draft.all("projects"), "project");
}

/** The task of a cell: by id, by "project / task", or by a name that only one task has. */
export function taskOf(cell: string, draft: Draft, projectId?: string): Read<Task> {
  const byId = draft.find("tasks", cell.trim());
  if (byId) return { value: byId };
  const [first, ...rest] = cell.split(" / ");
  if (rest.length > 0) {
    const project = projectOf(first, draft);
    if ("value" in project) return taskOf(rest.join(" / "), draft, project.value.id);
  }
  const tasks = projectId === undefined ? draft.all("tasks") : draft.all("tasks").filter((task) => task.projectId === projectId);
  return namedCell(cell, tasks, "task");
}

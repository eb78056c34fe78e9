// The task or project that a cell names.

import type { Project, Task } from "../plan/schema.ts";
import { plainText } from "../values/plainText.ts";
import { namedCell, type Read } from "./cells.ts";
import { chosenRow, namedRow } from "./namedRow.ts";
import type { Draft } from "./table.ts";

/** The project of a cell: by id, code or name. */
export function projectOf(cell: string, draft: Draft): Read<Project> {
  const chosen = chosenRow(cell, "projects", draft);
  if (chosen) return { value: chosen };
  const said = plainText(cell);
  const byCode = draft.all("projects").filter(({ code }) => code !== undefined && plainText(code) === said);
  return byCode.length === 1 ? { value: byCode[0] } : namedRow(cell, "projects", draft);
}

/** The task of a cell: by id, by "project / task" or "project / phase / task", or by a name that only one task has. */
export function taskOf(cell: string, draft: Draft, projectId?: string): Read<Task> {
  const byId = draft.find("tasks", cell.trim());
  if (byId) return { value: byId };
  const [first, ...rest] = cell.split(" / ");
  if (rest.length > 0) {
    const project = projectOf(first, draft);
    if (projectId === undefined && "value" in project) return taskOf(rest.join(" / "), draft, project.value.id);
  }
  const tasks = projectId === undefined ? draft.all("tasks") : draft.all("tasks").filter((task) => task.projectId === projectId);
  const byPath = rest.length > 0 ? tasks.filter((task) => isCalled(task, cell, draft)) : [];
  if (byPath.length === 1) return { value: byPath[0] };
  const read = namedCell(cell, tasks, "task");
  const isManifold = "reason" in read && tasks.filter(({ name }) => plainText(name) === plainText(cell)).length > 1;
  return isManifold ? { reason: `${read.reason.slice(0, -1)}, or "project / phase / task".` } : read;
}

/** True of a task that a cell calls by what it is below, down to its own name: "phase / task". */
function isCalled(task: Task, cell: string, draft: Draft): boolean {
  const names = cell.split(" / ").map(plainText).reverse();
  let own: Task | undefined = task;
  for (const name of names) {
    if (!own || plainText(own.name) !== name) return false;
    own = own.parentId === undefined ? undefined : draft.find("tasks", own.parentId);
  }
  return true;
}

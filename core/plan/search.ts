// Finding people, projects and tasks by what they are called.
import { rowById } from "./rows.ts";
import type { Plan } from "./schema.ts";

export interface Found {
  kind: "person" | "project" | "task";
  id: string;
  name: string;
  /** What tells it from others of the name: a role, a client, a project. */
  side: string;
  projectId?: string;
}

/** The rows whose name holds all words of a text, those that begin with it first; at most `most` of each kind. */
export function searchPlan(plan: Plan, text: string, most: number): Found[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  const roles = rowById(plan.roles);
  const clients = rowById(plan.clients);
  const projects = rowById(plan.projects);
  return [
    ...best(plan.people, words, most).map(({ id, name, roleIds }) => ({
      kind: "person" as const,
      id,
      name,
      side: plan.roles[roles.get(roleIds[0]) ?? -1]?.name ?? "",
    })),
    ...best(plan.projects, words, most).map(({ id, name, clientId }) => ({
      kind: "project" as const,
      id,
      name,
      side: plan.clients[clients.get(clientId ?? "") ?? -1]?.name ?? "",
    })),
    ...best(plan.tasks, words, most).map(({ id, name, projectId }) => ({
      kind: "task" as const,
      id,
      name,
      side: plan.projects[projects.get(projectId) ?? -1]?.name ?? "",
      projectId,
    })),
  ];
}

function best<T extends { name: string }>(list: readonly T[], words: readonly string[], most: number): T[] {
  const starting: T[] = [];
  const holding: T[] = [];
  for (const row of list) {
    const name = row.name.toLowerCase();
    if (!words.every((word) => name.includes(word))) continue;
    (name.startsWith(words[0]) ? starting : holding).push(row);
    if (starting.length >= most) break;
  }
  return [...starting, ...holding].slice(0, most);
}

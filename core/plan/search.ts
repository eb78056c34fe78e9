// Finding people, projects and tasks by what they are called.
import { firstRoleName } from "./names.ts";
import { findRow, rowById } from "./rows.ts";
import type { Plan } from "./schema.ts";

export interface Found {
  kind: "person" | "project" | "task";
  id: string;
  name: string;
  /** The detail that distinguishes it from others of the same name: a role, a client, a project. */
  side: string;
  projectId?: string;
}

/** The rows whose name holds all words of a text, those that begin with it first; at most `most` of each kind. Projects
 * are known by their code and client too. */
export function searchPlan(plan: Plan, text: string, most: number): Found[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  const clients = rowById(plan.clients);
  const projects = rowById(plan.projects);
  const clientOf = (clientId: string | undefined) => plan.clients[clients.get(clientId ?? "") ?? -1]?.name ?? "";
  return [
    ...best(plan.people, nameOf, words, most).map(({ id, name, roleIds }) => ({
      kind: "person" as const,
      id,
      name,
      side: firstRoleName(plan, { roleIds }) ?? "",
    })),
    ...best(plan.projects, ({ code = "", name, clientId }) => `${code} ${name} ${clientOf(clientId)}`, words, most).map(
      ({ id, name, clientId }) => ({ kind: "project" as const, id, name, side: clientOf(clientId) }),
    ),
    ...best(plan.tasks, nameOf, words, most).map(({ id, name, projectId, parentId }) => ({
      kind: "task" as const,
      id,
      name,
      side: [plan.projects[projects.get(projectId) ?? -1]?.name, findRow(plan.tasks, parentId)?.name].filter(Boolean).join(" · "),
      projectId,
    })),
  ];
}

const nameOf = ({ name }: { name: string }): string => name;

function best<T extends { name: string }>(list: readonly T[], textOf: (row: T) => string, words: readonly string[], most: number): T[] {
  const starting: T[] = [];
  const holding: T[] = [];
  for (const row of list) {
    const text = textOf(row).toLowerCase();
    if (!words.every((word) => text.includes(word))) continue;
    (text.startsWith(words[0]) || row.name.toLowerCase().startsWith(words[0]) ? starting : holding).push(row);
    if (starting.length >= most) break;
  }
  return [...starting, ...holding].slice(0, most);
}

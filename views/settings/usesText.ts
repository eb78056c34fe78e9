// What a name is used by, in words: "6 people, 40 tasks".
import type { NameRow } from "../../core/answers/nameList.ts";
import type { Use } from "../../core/plan/namedLists.ts";
import type { ListName } from "../../core/plan/schema.ts";
import { countText } from "../../ui/format.ts";

const words: Partial<Record<ListName, [one: string, many: string]>> = {
  people: ["person", "people"],
  projects: ["project", "projects"],
  tasks: ["task", "tasks"],
  assignments: ["assignment", "assignments"],
  requests: ["request", "requests"],
  rateTables: ["rate table", "rate tables"],
  templates: ["template", "templates"],
};

export function countOfUse({ list, count }: Pick<Use, "list" | "count">): string {
  const [one, many] = words[list] ?? [list, list];
  return countText(count, one, many);
}

export const usesText = ({ uses }: Pick<NameRow, "uses">): string => (uses.length === 0 ? "nothing" : uses.map(countOfUse).join(", "));

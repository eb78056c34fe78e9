// Projects under their headings: by stage, client, category or lead; only those that fit the search.

import type { Redacted } from "../../client/seen.ts";
import type { PortfolioRow } from "../../core/answers/portfolio.ts";
import { countText } from "../../ui/format.ts";
import type { Section } from "../../ui/table/lines.ts";

export const projectGroupings = ["stage", "client", "category", "lead"] as const;
export type ProjectGrouping = (typeof projectGroupings)[number];

const stageTitles: Record<Redacted<PortfolioRow>["project"]["stage"], string> = {
  active: "Under way",
  approved: "Approved",
  pipeline: "In the pipeline",
  idea: "In the pipeline",
  done: "Ended",
  cancelled: "Ended",
};
const stageOrder = ["Under way", "Approved", "In the pipeline", "Ended"];

/** True where a person should look: past its deadline, or hours that nobody can or does work. */
export function isTroubled({ lateDays, open, unplaced, isPipeline, project }: Redacted<PortfolioRow>): boolean {
  if (isPipeline || project.stage === "done" || project.stage === "cancelled") return false;
  return lateDays > 0 || open > 0 || unplaced > 0;
}

/** The filters of all projects; headings of the four groupings as they are read, empty for any. */
export type ProjectFilters = { find: string; trouble: boolean; archived: boolean } & Record<ProjectGrouping, string>;

export const noFilters: ProjectFilters = { find: "", trouble: false, archived: false, stage: "", client: "", category: "", lead: "" };

/** The groups with their rows in plan order; empty ones are left out. */
export function projectGroups(
  rows: readonly Redacted<PortfolioRow>[],
  grouping: ProjectGrouping,
  filters: ProjectFilters,
): Section<Redacted<PortfolioRow>>[] {
  const text = filters.find.toLowerCase().trim();
  const groups = new Map<string, Redacted<PortfolioRow>[]>();
  for (const row of rows) {
    const { project, clientName, leadName } = row;
    const said = [project.name, project.code, clientName, leadName, project.category];
    if (!said.some((name) => name?.toLowerCase().includes(text)) || (filters.trouble && !isTroubled(row))) continue;
    if ((project.archived ?? false) !== filters.archived) continue;
    if (projectGroupings.some((key) => filters[key] !== "" && titleOf(row, key) !== filters[key])) continue;
    const title = titleOf(row, grouping);
    groups.set(title, [...(groups.get(title) ?? []), row]);
  }
  const order =
    grouping === "stage"
      ? (a: string, b: string) => stageOrder.indexOf(a) - stageOrder.indexOf(b)
      : (a: string, b: string) => a.localeCompare(b);
  return [...groups]
    .sort(([a], [b]) => order(a, b))
    .map(([title, own]) => ({ id: title, title, says: countText(own.length, "project"), rows: own }));
}

/** The heading a project is under. */
export function titleOf({ project, clientName, leadName }: Redacted<PortfolioRow>, grouping: ProjectGrouping): string {
  switch (grouping) {
    case "stage":
      return stageTitles[project.stage];
    case "client":
      return clientName ?? "Own work";
    case "category":
      return project.category ?? "No category";
    case "lead":
      return leadName ?? "No lead";
  }
}

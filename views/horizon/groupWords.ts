// What the horizon is told by, in words.
import type { HorizonGroup } from "../../core/answers/horizon.ts";
import type { ForecastBy } from "../../core/forecast/groups.ts";

export const byWords = { role: "By role", skill: "By skill", team: "By team", place: "By place" } as const satisfies Record<
  ForecastBy,
  string
>;

/** One of them, as the head of a column. */
export const groupWords = { role: "Role", skill: "Skill", team: "Team", place: "Place" } as const satisfies Record<ForecastBy, string>;

export const manyWords = { role: "roles", skill: "skills", team: "teams", place: "places" } as const satisfies Record<ForecastBy, string>;

/** Nobody of a group stands in its list. */
export const nobodyWords = {
  role: "Nobody has this role first.",
  skill: "Nobody has this skill at this level.",
  team: "Nobody is in this team.",
  place: "Nobody works here.",
} as const satisfies Record<ForecastBy, string>;

export const groupName = ({ name }: Pick<HorizonGroup, "name">): string => (name === "" ? "No place" : name);

/** What the figures count that does not go without saying; empty where it does. */
export function countsText(by: ForecastBy, level: number): string {
  switch (by) {
    case "role":
      return "";
    case "skill":
      return `Whoever has the skill ${level > 1 ? `at level ${level} or more ` : ""}counts with all of their time and work, in each of their skills; unassigned work counts where it asks for the skill.`;
    case "team":
      return "A team counts with its sub-teams; work that is a team's, and nobody's by name, is unassigned.";
    case "place":
      return "Unassigned work is at no place yet, and is left out.";
  }
}

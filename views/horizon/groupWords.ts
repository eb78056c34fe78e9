// The groupings of the horizon, in words.
import type { HorizonGroup } from "../../core/answers/horizon.ts";
import type { ForecastBy } from "../../core/forecast/groups.ts";

export const byWords = { role: "By role", skill: "By skill", team: "By team", place: "By place" } as const satisfies Record<
  ForecastBy,
  string
>;

/** One of them, as the head of a column. */
export const groupWords = { role: "Role", skill: "Skill", team: "Team", place: "Place" } as const satisfies Record<ForecastBy, string>;

export const manyWords = { role: "roles", skill: "skills", team: "teams", place: "places" } as const satisfies Record<ForecastBy, string>;

/** Nobody of a group is in its list. */
export const nobodyWords = {
  role: "Nobody has this as the main role.",
  skill: "Nobody has this skill at this level.",
  team: "Nobody is in this team.",
  place: "Nobody works here.",
} as const satisfies Record<ForecastBy, string>;

export const groupName = ({ name }: Pick<HorizonGroup, "name">): string => (name === "" ? "No place" : name);

/** A note on the counting that is not obvious; empty if it is. */
export function countsText(by: ForecastBy, level: number): string {
  switch (by) {
    case "role":
      return "";
    case "skill":
      return `Everyone with the skill ${level > 1 ? `at level ${level} or more ` : ""}counts with all their time and work, in each of their skills; unassigned work counts if it needs the skill.`;
    case "team":
      return "A team includes its sub-teams; work assigned to a team but to no person counts as unassigned.";
    case "place":
      return "Unassigned work has no place yet and is not included.";
  }
}

// The figures of the horizon that its table can show.
import type { HorizonGroup } from "../../core/answers/horizon.ts";
import { hoursText, shareText } from "../../ui/format.ts";

export const measureNames = ["left", "chance", "shortage", "short", "capacity", "firm", "open", "expected", "p50", "p80", "p95"] as const;
export type Measure = (typeof measureNames)[number];

export const measureWords: Record<Measure, string> = {
  left: "Capacity less expected demand",
  chance: "Probability of a shortage",
  shortage: "Expected shortage",
  short: "People short at 80% confidence",
  capacity: "Capacity",
  firm: "Assigned",
  open: "Unassigned",
  expected: "Expected demand",
  p50: "Needed, 50% confidence",
  p80: "Needed, 80% confidence",
  p95: "Needed, 95% confidence",
};

/** The unit of figures that do not show their own. */
export const unitOf = (measure: Measure): string => (measure === "chance" ? "" : measure === "short" ? "people" : "hours");

export function figureOf(group: HorizonGroup, measure: Measure, p: number): { text: string; isBad: boolean } {
  switch (measure) {
    case "left": {
      const left = group.capacity[p] - group.expected[p];
      return { text: hoursText(left), isBad: left < 0 };
    }
    case "chance":
      return { text: shareText(group.shortageProbability[p]), isBad: group.shortageProbability[p] >= 5_000 };
    case "shortage":
      return { text: hoursText(group.expectedShortage[p]), isBad: group.expectedShortage[p] > 0 };
    case "short":
      return { text: String(group.peopleShort[p] / 10), isBad: group.peopleShort[p] > 0 };
    default:
      return { text: hoursText(group[measure][p]), isBad: measure !== "capacity" && group[measure][p] > group.capacity[p] };
  }
}

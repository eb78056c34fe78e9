import type { Impact } from "../../core/answers/impact.ts";

/** What letting go would do besides the loads that the board shows: finishes that would move, and money. */
export type DragEffect = Pick<Impact, "finishes" | "money" | "over" | "eased">;

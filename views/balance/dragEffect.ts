import type { Impact } from "../../core/answers/impact.ts";

/** The effect of a drop besides the loads that the board shows: moved finishes, and money. */
export type DragEffect = Pick<Impact, "finishes" | "money" | "over" | "eased">;

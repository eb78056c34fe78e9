import type { Redacted } from "../../client/seen.ts";
import type { Impact } from "../../core/answers/impact.ts";

/** The effect of a drop besides the loads that the board shows: moved finishes, and money. */
export type DragEffect = Pick<Redacted<Impact>, "finishes" | "money" | "over" | "eased">;

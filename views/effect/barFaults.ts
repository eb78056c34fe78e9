// The reasons why hours or dates of an assignment stay as they are, in words.
import type { BarFault } from "../../core/bars/moveBar.ts";

export const barFaults: Record<BarFault, string> = {
  recorded: "These hours were recorded. They are changed in the person's week.",
  unchanged: "It is already there.",
  notTyped: "Its hours are already calculated from one figure.",
  gone: "This assignment is no longer in the plan.",
  noDates: "Its task has no dates yet. Give it dates in its project.",
  heldByLinks: "Its links alone decide when it starts. Change them in its project.",
  tooShort: "It would have no working day.",
  cannotStart: "Its task cannot start there.",
  byEffort: "Its task lasts as long as its people need, so it has no dates or weeks of its own. Change who works on it, or pin the task.",
};

// The layout that the table of a project's tasks and the chart next to it share.

import type { TaskStretch } from "../../core/bars/stretchTask.ts";

export const ROW_HEIGHT = 34;

/** The edits that the chart can make: a task on another day, longer or shorter, or a link from one to another. */
export interface ChartEdits {
  onDrop: (taskId: string, day: number) => void;
  onStretch: (stretch: TaskStretch) => void;
  onLink: (from: string, to: string) => void;
}

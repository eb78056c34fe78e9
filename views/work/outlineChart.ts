// What the table of a project's tasks and the chart beside it agree on.

export const ROW_HEIGHT = 34;

/** What the chart can ask for: a task on another day, or a link from one to another. */
export interface ChartEdits {
  onDrop: (taskId: string, day: number) => void;
  onLink: (from: string, to: string) => void;
}

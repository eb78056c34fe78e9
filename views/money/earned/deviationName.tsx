// The column that names the rows of a baseline: projects, or phases and tasks with their project.
import type { DeviationBy } from "../../../core/status/deviationBy.ts";
import { ProjectName } from "../../../ui/projectName.tsx";
import type { TableColumn } from "../../../ui/table/column.ts";
import { texts } from "./words.ts";

interface NamedRow {
  name: string;
  projectRow: number;
  /** Of a task. */
  projectName: string | null;
}

/** @param mark Says something about the row after its name. */
export function deviationName<R extends NamedRow>(by: DeviationBy, mark: (row: R) => string = () => ""): TableColumn<R> {
  return {
    id: "name",
    head: texts[by],
    width: 190,
    grow: 1.4,
    isRowHead: true,
    value: ({ name }) => name,
    cell: (row) => (
      <span className="flex min-w-0 items-center gap-2">
        <ProjectName row={row.projectRow} name={row.name} side={row.projectName} />
        <span className="shrink-0 text-side">{mark(row)}</span>
      </span>
    ),
  };
}

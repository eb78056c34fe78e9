// The name of a project, or of something in it, after the mark of the project's hue.
import { ProjectDot } from "./projectDot.tsx";
import { TwoLines } from "./twoLines.tsx";

interface Props {
  name: string;
  /** Index of the project in the plan; −1 for none. */
  row: number;
  /** A second line, such as the project of a task. */
  side?: string | null;
}

export function ProjectName({ name, row, side = null }: Props) {
  return (
    <span className="flex min-w-0 items-center gap-2">
      {row >= 0 && <ProjectDot row={row} />}
      {side === null ? <span className="truncate">{name}</span> : <TwoLines main={name} side={side} />}
    </span>
  );
}

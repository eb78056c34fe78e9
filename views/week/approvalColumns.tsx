// The columns of hours that wait for approval.
import type { ApprovalLine } from "../../core/answers/approvals.ts";
import { hoursOf, hoursText, rangeText } from "../../ui/format.ts";
import { ProjectDot } from "../../ui/projectDot.tsx";
import type { TableColumn } from "../../ui/table/column.ts";
import { TwoLines } from "../../ui/twoLines.tsx";
import { unusualWords } from "./weekWords.ts";
import { texts } from "./words.ts";

type Column = TableColumn<ApprovalLine>;

const hours = (id: "planned" | "recorded", head: string): Column => ({
  id,
  head: `${head}, h`,
  width: 96,
  isFigure: true,
  value: (line) => hoursOf(line[id]),
  cell: (line) => hoursText(line[id]),
});

export const approvalColumns: Column[] = [
  {
    id: "person",
    head: texts.person,
    width: 170,
    grow: 1,
    isRowHead: true,
    value: ({ person }) => person,
    cell: ({ person, week }) => <TwoLines main={person} side={rangeText({ start: week, stop: week + 7 })} />,
  },
  {
    id: "work",
    head: texts.work,
    width: 200,
    grow: 1.4,
    value: ({ name, projectName }) => `${name}, ${projectName}`,
    cell: ({ name, projectName, projectRow }) => (
      <TwoLines
        main={name}
        side={
          <span className="flex items-center gap-1.5">
            {projectRow >= 0 && <ProjectDot row={projectRow} isSmall />}
            <span className="truncate">{projectName}</span>
          </span>
        }
      />
    ),
  },
  hours("planned", texts.planned),
  hours("recorded", texts.recorded),
  {
    id: "unusual",
    head: texts.toCheck,
    width: 170,
    grow: 1,
    value: ({ unusual }) => unusual.map((own) => unusualWords[own]).join(", "),
    cell: ({ unusual }) => <span className="truncate text-ochre-ink">{unusual.map((own) => unusualWords[own]).join(", ")}</span>,
  },
];

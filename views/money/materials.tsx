"use client";
// Materials: what is needed of each when, by project, with the day it is first needed.
import { useMemo } from "react";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import { useAnswer } from "../../client/session.tsx";
import type { MaterialRow } from "../../core/answers/materials.ts";
import type { Range } from "../../core/calendar/periods.ts";
import { longDay, unitsText } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { ProjectName } from "../../ui/projectName.tsx";
import type { TableColumn } from "../../ui/table/column.ts";
import { TreeTable } from "../../ui/table/treeTable.tsx";
import { Empty, Figure } from "../frame/screen.tsx";
import { usePeriodColumns } from "../periods/periodColumns.tsx";
import { PipelineChoice } from "../periods/pipelineChoice.tsx";
import { useLinkTo } from "../scope/windowed.ts";
import { MoneyScreen } from "./moneyScreen.tsx";
import { PeriodTools } from "./moneyTools.tsx";
import { useMoneyParams } from "./useMoney.ts";
import { texts } from "./words.ts";

export function Materials({ initial }: { initial: Initial<AnswerOf<"materialNeeds">> }) {
  const { params, setParams, query, grain } = useMoneyParams();
  const { rows, periods } = useAnswer("materialNeeds", { range: query.range, grain: query.grain, pipeline: query.pipeline }, initial);
  const linkTo = useLinkTo();
  const byPeriod = usePeriodColumns(periods, amountColumn, grain);
  const columns = useMemo(() => [nameColumn, firstColumn, ...byPeriod, sumColumn], [byPeriod]);
  const materials = rows.filter(({ projectId }) => projectId === null);
  return (
    <MoneyScreen
      figures={<Figure value={String(materials.length)} says={materials.length === 1 ? texts.materialNeeded : texts.materialsNeeded} />}
      actions={
        <>
          <PipelineChoice value={params.pipeline} onChange={(pipeline) => setParams({ pipeline })} />
          <PeriodTools params={params} grain={grain} onChange={setParams} />
        </>
      }
    >
      {rows.length === 0 ? (
        <Empty title={texts.noMaterialIsNeeded}>
          Add materials to a task in its sheet. Define them in the{" "}
          <Link className="text-link" href={linkTo("/settings/materials")}>
            settings
          </Link>
          , and their prices under Rates.
        </Empty>
      ) : (
        <TreeTable
          name="material"
          label={texts.materialsByPeriodWasteIncluded}
          columns={columns}
          rows={rows}
          idOf={idOf}
          nameOf={({ name, projectName }) => `${name} ${projectName}`}
          parentOf={({ projectId, materialId }) => (projectId === null ? undefined : materialId)}
          headHeight={44}
        />
      )}
    </MoneyScreen>
  );
}

const amountColumn = (_: Range, p: number): Omit<TableColumn<MaterialRow>, "id" | "head"> => ({
  width: 92,
  grow: 1,
  isFigure: true,
  value: (row) => row.periods[p] / 10_000,
  look: (row) => row.periods[p] === 0 && "text-ink-3",
  cell: (row) => (row.periods[p] === 0 ? "–" : unitsText(row.periods[p])),
});

const idOf = ({ materialId, projectId }: MaterialRow): string => (projectId === null ? materialId : `${materialId} ${projectId}`);

const nameColumn: TableColumn<MaterialRow> = {
  id: "material",
  head: texts.material,
  width: 230,
  grow: 1,
  isRowHead: true,
  isSticky: true,
  value: ({ name, projectName }) => projectName || name,
  cell: ({ name, unit, projectId, projectName, projectRow }) =>
    projectId === null ? (
      <span className="truncate font-medium">
        {name} <span className="text-side font-normal">{unit}</span>
      </span>
    ) : (
      <ProjectName row={projectRow} name={projectName} />
    ),
};

const firstColumn: TableColumn<MaterialRow> = {
  id: "first",
  head: texts.firstNeeded,
  width: 118,
  value: ({ firstDay }) => firstDay,
  cell: ({ firstDay }) => (firstDay === null ? "–" : longDay(firstDay)),
};

const sumColumn: TableColumn<MaterialRow> = {
  id: "sum",
  head: texts.total,
  width: 100,
  isFigure: true,
  value: ({ total }) => total / 10_000,
  look: () => "font-semibold!",
  cell: ({ total }) => unitsText(total),
};

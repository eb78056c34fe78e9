"use client";
// Margins: what projects and clients bring in, cost and leave; what is under its goal, and what would lift it.
import { parseAsString, useQueryState } from "nuqs";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import type { Redacted } from "../../client/seen.ts";
import { useAnswer } from "../../client/session.tsx";
import type { MarginRow } from "../../core/answers/margins.ts";
import { isNegative, lessFigure, type Figure as MoneyFigure, majorOf, shownOr } from "../../core/plan/moneySides.ts";
import { countText, marginText, moneyText, monthOfYearText } from "../../ui/format.ts";
import { ProjectDot } from "../../ui/projectDot.tsx";
import type { TableColumn } from "../../ui/table/column.ts";
import { DataTable } from "../../ui/table/dataTable.tsx";
import { TwoLines } from "../../ui/twoLines.tsx";
import { Empty, Figure } from "../frame/screen.tsx";
import { PipelineChoice } from "../periods/pipelineChoice.tsx";
import { MarginSheet } from "./marginSheet.tsx";
import { MoneyGaps } from "./moneyGaps.tsx";
import { MoneyScreen } from "./moneyScreen.tsx";
import { useMoneyParams } from "./useMoney.ts";
import { texts } from "./words.ts";

export function Margin({ initial }: { initial: Initial<AnswerOf<"margins">> }) {
  const { params, setParams } = useMoneyParams();
  const { pipeline } = params;
  const { projects, clients, currency, ...gaps } = useAnswer("margins", { pipeline }, initial);
  const [openId, setOpenId] = useQueryState("project", parseAsString.withOptions({ shallow: true }));
  const open = projects.find(({ id }) => id === openId);
  const below = projects.filter(({ isBelow }) => isBelow).length;
  const sections = [
    { id: "projects", title: texts.projects, says: texts.overTheWholePlan, rows: projects },
    ...(clients.length > 0 ? [{ id: "clients", title: texts.clients, rows: clients }] : []),
  ];
  return (
    <MoneyScreen
      figures={
        <>
          <Figure value={String(below)} says={`${below === 1 ? "project" : "projects"} under the margin goal`} isOver={below > 0} />
          <MoneyGaps {...gaps} />
        </>
      }
      actions={<PipelineChoice value={pipeline} onChange={(next) => setParams({ pipeline: next })} />}
      sheet={open && <MarginSheet key={open.id} project={open} currency={currency} onClose={() => void setOpenId(null)} />}
    >
      {projects.length === 0 ? (
        <Empty title={texts.noProjectsYet}>{texts.revenueAndCostOfEach}</Empty>
      ) : (
        <DataTable
          name="margin"
          label={`Margins in ${currency}`}
          columns={columns(currency)}
          sections={sections}
          idOf={({ id, projectRow }) => (projectRow < 0 ? `client:${id}` : id)}
          nameOf={({ name }) => name}
          selectedId={open?.id ?? null}
          onOpen={({ id, projectRow }) => projectRow >= 0 && void setOpenId(id)}
          rowHeight={42}
        />
      )}
    </MoneyScreen>
  );
}

const money = (id: string, head: string, of: (row: Redacted<MarginRow>) => MoneyFigure | null): TableColumn<Redacted<MarginRow>> => ({
  id,
  head,
  width: 108,
  grow: 1,
  isFigure: true,
  value: (row) => majorOf(of(row) ?? 0),
  cell: (row) => {
    const minor = of(row);
    return minor === null ? (
      <span className="text-ink-3">–</span>
    ) : (
      <span className={isNegative(minor) ? "text-over" : ""}>{moneyText(minor)}</span>
    );
  },
});

const columns = (currency: string): TableColumn<Redacted<MarginRow>>[] => [
  nameColumn(currency),
  money("revenue", "Revenue", ({ revenue }) => revenue),
  money("cost", "Cost", ({ cost }) => cost),
  money("margin", "Margin", ({ revenue, cost, share }) => (share === null ? null : lessFigure(revenue, cost))),
  shareColumn,
  budgetColumn,
];

const nameColumn = (currency: string): TableColumn<Redacted<MarginRow>> => ({
  id: "name",
  head: texts.name,
  headNode: (
    <span>
      Project <span className="text-side">{currency}</span>
    </span>
  ),
  width: 200,
  grow: 1.6,
  isRowHead: true,
  value: ({ name }) => name,
  cell: ({ name, side, projectRow, stage }) => (
    <span className="flex min-w-0 items-center gap-2">
      {projectRow >= 0 && <ProjectDot row={projectRow} />}
      <TwoLines
        main={
          <>
            {name} {(stage === "pipeline" || stage === "idea") && <span className="text-small text-plum">pipeline</span>}
          </>
        }
        side={projectRow < 0 ? countText(Number(side), "project") : side}
      />
    </span>
  ),
});

const shareColumn: TableColumn<Redacted<MarginRow>> = {
  id: "share",
  head: texts.marginPercent,
  width: 116,
  isFigure: true,
  value: ({ share }) => share && shownOr(share, null),
  cell: ({ share, goal, isBelow }) => (
    <TwoLines
      main={<span className={isBelow ? "figure-bad" : ""}>{share === null ? "–" : marginText(share)}</span>}
      side={share === null ? texts.noRevenue : goal === null ? "" : `goal ${marginText(goal)}`}
    />
  ),
};

const budgetColumn: TableColumn<Redacted<MarginRow>> = {
  ...money("budget", "Budget remaining", ({ budget, cost }) => (budget === null ? null : lessFigure(budget, cost))),
  width: 146,
  cell: ({ budget, cost, passes }) =>
    budget === null ? (
      <span className="text-ink-3">–</span>
    ) : (
      <TwoLines
        main={<span className={isNegative(lessFigure(budget, cost)) ? "figure-bad" : ""}>{moneyText(lessFigure(budget, cost))}</span>}
        side={passes === null ? `of ${moneyText(budget, 0)}` : `over from ${monthOfYearText(passes)}`}
      />
    ),
};

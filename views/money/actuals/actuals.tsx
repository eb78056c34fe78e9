"use client";
// Planned against actual: cost by what it is for or when it falls, and effort by person, role and project.
import { parseAsString, parseAsStringLiteral, useQueryStates } from "nuqs";
import { useMemo } from "react";
import type { Initial } from "../../../client/initial.ts";
import type { AnswerOf } from "../../../client/questions.ts";
import type { Redacted } from "../../../client/seen.ts";
import { useAnswer } from "../../../client/session.tsx";
import { type ActualRow, type Actuals as ActualsAnswer, actualBys } from "../../../core/answers/actuals.ts";
import { effortBys } from "../../../core/answers/efforts.ts";
import { isNegative } from "../../../core/plan/moneySides.ts";
import { Choice } from "../../../ui/choice.tsx";
import { moneyText } from "../../../ui/format.ts";
import Link from "../../../ui/link.tsx";
import { namedOptions, none, wordOptions } from "../../../ui/options.ts";
import { Picker } from "../../../ui/picker.tsx";
import { Segmented } from "../../../ui/segmented.tsx";
import { DataTable } from "../../../ui/table/dataTable.tsx";
import { Empty, Figure } from "../../frame/screen.tsx";
import { useNames, usePlanFacts } from "../../scope/facts.ts";
import { useLinkTo } from "../../scope/windowed.ts";
import { BaselinePicker } from "../earned/baselinePicker.tsx";
import { MoneyScreen } from "../moneyScreen.tsx";
import { actualColumns } from "./actualColumns.tsx";
import { ActualSheet } from "./actualSheet.tsx";
import { actualName } from "./actualWords.ts";
import { EffortTable } from "./effortTable.tsx";
import { byWords, effortByWords, measureWords, texts } from "./words.ts";

const params = {
  measure: parseAsStringLiteral(["cost", "effort"]).withDefault("cost"),
  by: parseAsStringLiteral(actualBys).withDefault("project"),
  effortBy: parseAsStringLiteral(effortBys).withDefault("person"),
  project: parseAsString,
  baseline: parseAsString,
  row: parseAsString,
};

function useActuals(initial: Initial<AnswerOf<"actuals">>) {
  const [view, setView] = useQueryStates(params, { shallow: true });
  const query = { by: view.by, projectId: view.project, baselineId: view.baseline };
  const actuals = useAnswer("actuals", query, initial);
  return { view, setView, query, actuals };
}

type Hook = ReturnType<typeof useActuals>;

export function Actuals({ initial }: { initial: Initial<AnswerOf<"actuals">> }) {
  const hook = useActuals(initial);
  const { view, query, actuals } = hook;
  return (
    <MoneyScreen
      figures={view.measure === "cost" && <CostFigures actuals={actuals} />}
      actions={<Tools hook={hook} />}
      sheet={view.measure === "cost" && <OpenedRow hook={hook} />}
    >
      {view.measure === "effort" ? <EffortTable by={view.effortBy} projectId={view.project} /> : <CostTable hook={hook} key={query.by} />}
    </MoneyScreen>
  );
}

function CostFigures({ actuals: { totals, currency } }: { actuals: Redacted<ActualsAnswer> }) {
  return (
    <Figure
      value={`${currency} ${moneyText(totals.actual, 0)}`}
      says={`${texts.spent} · ${moneyText(totals.atCompletion, 0)} ${texts.atCompletion}`}
      isOver={totals.variance !== null && isNegative(totals.variance)}
    />
  );
}

function Tools({ hook: { view, setView, actuals } }: { hook: Hook }) {
  const { projects } = useNames();
  return (
    <>
      <Segmented
        label={texts.measure}
        value={view.measure}
        options={wordOptions(measureWords)}
        onChange={(measure) => void setView({ measure, row: null })}
      />
      {view.measure === "cost" ? (
        <Choice
          label={texts.by}
          value={view.by}
          options={wordOptions(byWords)}
          onChange={(by) => void setView({ by, row: null })}
          width={140}
        />
      ) : (
        <Choice
          label={texts.by}
          value={view.effortBy}
          options={wordOptions(effortByWords)}
          onChange={(effortBy) => void setView({ effortBy })}
          width={120}
        />
      )}
      <span className="w-[170px]">
        <Picker
          label={texts.project}
          value={view.project ?? ""}
          options={[none(texts.allProjects), ...namedOptions(projects)]}
          onChange={(project) => void setView({ project: project || null, row: null })}
        />
      </span>
      {view.measure === "cost" && actuals.baselineId !== null && (
        <BaselinePicker
          baselines={actuals.baselines}
          value={actuals.baselineId}
          onChange={(baseline) => void setView({ baseline, row: null })}
        />
      )}
    </>
  );
}

function CostTable({ hook: { view, setView, actuals } }: { hook: Hook }) {
  const { periodSettings } = usePlanFacts();
  const linkTo = useLinkTo();
  const { rows, totals, baselineId, currency } = actuals;
  const columns = useMemo(
    () =>
      actualColumns({
        by: view.by,
        totals,
        hasBaseline: baselineId !== null,
        nameOf: (row) => actualName(row, view.by, periodSettings),
      }),
    [view.by, totals, baselineId, periodSettings],
  );
  if (rows.length === 0) return <Empty title={texts.nothingYet}>{texts.firmProjectsAppearHere}</Empty>;
  return (
    <>
      {baselineId === null && (
        <p className="pb-2 text-side">
          {texts.noBaseline}{" "}
          <Link className="text-link" href={linkTo("/money/earned", { sheet: "take" })}>
            {texts.takeOne}
          </Link>
        </p>
      )}
      <DataTable
        name="actual"
        label={`${byWords[view.by]}, ${currency}`}
        columns={columns}
        rows={rows}
        idOf={({ key }) => key}
        nameOf={(row) => actualName(row, view.by, periodSettings)}
        selectedId={view.row}
        onOpen={({ key }) => void setView({ row: key })}
      />
    </>
  );
}

function OpenedRow({ hook: { view, setView, query, actuals } }: { hook: Hook }) {
  const { periodSettings } = usePlanFacts();
  const row: Redacted<ActualRow> | undefined = actuals.rows.find(({ key }) => key === view.row);
  if (!row) return null;
  const close = () => void setView({ row: null });
  return <ActualSheet key={row.key} title={actualName(row, view.by, periodSettings)} row={row} query={query} onClose={close} />;
}

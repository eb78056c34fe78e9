// The cost of a project, task by task and by kind, as one page to print.

import type { Redacted } from "../../../client/seen.ts";
import type { Outline, OutlineTask } from "../../../core/answers/outline.ts";
import { type Figure, isNegative, lessFigure, minorOf, sumOfFigures } from "../../../core/plan/moneySides.ts";
import { objectKeys } from "../../../core/values/objectKeys.ts";
import { moneyText, rangeText } from "../../../ui/format.ts";
import { PrintedPage } from "../../../ui/printedPage.tsx";

interface CostPageProps {
  outline: Redacted<Outline>;
  studio: string;
  currency: string;
}

const kinds = { labour: "Labour", material: "Material", fixed: "Fixed", expense: "Expenses" } as const;

const totalOf = (cost: Redacted<OutlineTask>["cost"]): Figure => sumOfFigures(objectKeys(kinds).map((kind) => cost[kind]));

export function CostPage({ outline, studio, currency }: CostPageProps) {
  const { project, tasks, cost, costWithoutTask, start, finish, clientName } = outline;
  const side = [studio, clientName, rangeText({ start, stop: finish + 1 }), currency].filter(Boolean).join(", ");
  return (
    <PrintedPage title={`${project.name}: cost`} side={side} css={css}>
      <table>
        <thead>
          <tr>
            <th scope="col">Task</th>
            {objectKeys(kinds).map((kind) => (
              <th key={kind} scope="col">
                {kinds[kind]}
              </th>
            ))}
            <th scope="col">Total</th>
          </tr>
        </thead>
        <tbody>
          {tasks.map(({ task, depth, isSummary, cost: own }) => (
            <Row key={task.id} name={task.name} cost={own} depth={depth} look={isSummary ? "summary" : ""} />
          ))}
          {totalOf(costWithoutTask) !== 0 && <Row name="Without a task" cost={costWithoutTask} look="" />}
        </tbody>
        <tfoot>
          <Row name="Total" cost={cost} look="total" />
        </tfoot>
      </table>
      {project.budget !== undefined && <Budget budget={minorOf(project.budget)} cost={totalOf(cost)} currency={currency} />}
    </PrintedPage>
  );
}

function Row({ name, cost, depth = 0, look }: { name: string; cost: Redacted<OutlineTask>["cost"]; depth?: number; look: string }) {
  return (
    <tr className={look}>
      <th scope="row" style={{ paddingLeft: 6 + depth * 16 }}>
        {name}
      </th>
      {objectKeys(kinds).map((kind) => (
        <td key={kind}>{cost[kind] === 0 ? "–" : moneyText(cost[kind])}</td>
      ))}
      <td>{moneyText(totalOf(cost))}</td>
    </tr>
  );
}

function Budget({ budget, cost, currency }: { budget: Figure; cost: Figure; currency: string }) {
  const left = lessFigure(budget, cost);
  return (
    <p className="budget">
      Budget {currency} {moneyText(budget)},{" "}
      {isNegative(left) ? <b>exceeded by {moneyText(lessFigure(0, left))}</b> : <>remaining {moneyText(left)}</>}.
    </p>
  );
}

const css = ".summary th{font-style:italic}.summary td{color:#55625f}.total th,.total td{font-weight:700}.budget{margin-top:10px}";

import { renderToStaticMarkup } from "react-dom/server";
import { expect, test } from "vitest";
import { outlineOf } from "../../../core/answers/outline.ts";
import { buildModel } from "../../../core/model.ts";
import { costReport } from "../../../core/reports/cost.ts";
import { fernhollow } from "../../../demo/fernhollow.ts";
import { CostPage } from "./costPage.tsx";

test("the printed cost of a project adds up to the report, with what belongs to no task", () => {
  const model = buildModel(fernhollow());
  const outline = outlineOf(model, "tidepool");
  if (!outline) throw new Error("the project is there");
  const page = renderToStaticMarkup(<CostPage outline={outline} studio="Studio" currency="EUR" />);
  const rows = [...page.matchAll(/<tr[^>]*>(.*?)<\/tr>/g)].map(([, row]) =>
    [...row.matchAll(/<t[dh][^>]*>(.*?)<\/t[dh]>/g)].map(([, cell]) => cell),
  );
  const minor = (text: string) => (text === "–" ? 0 : Math.round(Number(text.replaceAll(",", "").replace("−", "-")) * 100));
  const sums = rows.slice(1).map(([name, ...cells]) => ({ name, figures: cells.map(minor) }));
  const total = sums.at(-1);
  const report = costReport(model, { range: { start: 0, stop: 60_000 }, grain: "year" }).projects.find(({ id }) => id === "tidepool");
  expect(total?.figures).toEqual([report?.labour, report?.material, report?.fixed, report?.expense, report?.total]);
  for (const { name, figures } of sums)
    expect(
      figures.slice(0, 4).reduce((a, b) => a + b, 0),
      name,
    ).toBe(figures[4]);
  expect(sums.map(({ name }) => name)).toContain("Without a task");
});

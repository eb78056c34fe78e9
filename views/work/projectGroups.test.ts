import { expect, test } from "vitest";
import { portfolioOf } from "../../core/answers/portfolio.ts";
import { workWeeks } from "../../core/answers/workWeeks.ts";
import { buildModel } from "../../core/model.ts";
import { fernhollow } from "../../demo/fernhollow.ts";
import { isTroubled, noFilters, projectGroupings, projectGroups } from "./projectGroups.ts";

const model = buildModel(fernhollow());
const rows = portfolioOf(model);

test("every project is in one group, no matter what they are grouped by", () => {
  for (const grouping of projectGroupings) {
    const groups = projectGroups(rows, grouping, noFilters);
    expect(groups.flatMap(({ rows: own }) => own).length).toBe(rows.length);
    expect(new Set(groups.map(({ title }) => title)).size).toBe(groups.length);
  }
});

test("stages are in the order of a project's life, and search finds clients too", () => {
  expect(projectGroups(rows, "stage", noFilters).map(({ title }) => title)).toEqual(["Under way", "Approved", "In the pipeline"]);
  const found = projectGroups(rows, "client", { ...noFilters, find: "saltmarsh" }).flatMap(({ rows: own }) =>
    own.map(({ project }) => project.id),
  );
  expect(found).toEqual(["tidepool", "seedvault"]);
});

test("rows must fit all filters together", () => {
  const left = projectGroups(rows, "stage", { ...noFilters, client: "Lumen Hall of Science", category: "Touring display" });
  expect(left.flatMap(({ rows: own }) => own.map(({ project }) => project.name))).toEqual(["Small Thunder"]);
  expect(projectGroups(rows, "lead", { ...noFilters, stage: "Ended" })).toEqual([]);
});

test("in trouble is what is late, open or cannot be worked; the pipeline is not", () => {
  const troubled = rows.filter(isTroubled).map(({ project }) => project.id);
  expect(troubled).toContain("rivers");
  expect(troubled).toContain("tidepool");
  expect(troubled).not.toContain("seedvault");
  expect(projectGroups(rows, "stage", { ...noFilters, trouble: true }).flatMap(({ rows: own }) => own)).toHaveLength(troubled.length);
});

test("progress is weighted by hours", () => {
  const tidepool = rows.find(({ project }) => project.id === "tidepool");
  // Concept, drawings and objects are done: 201, 104 and 27 of the project's hours.
  expect(tidepool?.progress).toBe(Math.round((((201 + 104 + 27) * 60) / (tidepool?.asked ?? 1)) * 100));
});

test("the weeks of an assignment add up to what is placed", () => {
  const { plan, placements } = model;
  plan.assignments.slice(0, 80).forEach(({ id }, row) => {
    const weeks = workWeeks(model, id);
    expect(weeks?.weeks.reduce((sum, { minutes }) => sum + minutes, 0)).toBe(placements.placed[row]);
  });
  expect(workWeeks(model, "none")).toBeNull();
});

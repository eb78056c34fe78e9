import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { parseDay } from "../calendar/day.ts";
import { applyEdit } from "../edits/edit.ts";
import { buildModel, type Model } from "../model.ts";
import type { Project } from "../plan/schema.ts";
import { projectFrom } from "./copyProject.ts";

const model = buildModel(fernhollow());
const project: Project = { id: "copy", name: "Tidepool again", calendarId: "porto", stage: "idea", start: "2027-09-06" };

function made(projectId: string | null, keepsPeople: boolean): Model {
  const outcome = applyEdit(
    model.plan,
    projectFrom(model, { project, source: projectId === null ? null : { projectId }, keepsPeople, idStem: "x" }),
  );
  if (!outcome.plan) throw new Error(JSON.stringify(outcome.faults));
  return buildModel(outcome.plan);
}

const daysOf = ({ plan, schedule, lines }: Model, projectId: string) =>
  plan.tasks.flatMap((task, row) => {
    const dates = schedule.of(row);
    return task.projectId === projectId && dates ? [lines[0].indexOf(dates.start.day)] : [];
  });

test("a copy has the same tasks, links and hours; each date keeps its distance from the start in working days", () => {
  const next = made("tidepool", true);
  const [old, copied] = [daysOf(model, "tidepool"), daysOf(next, "copy")];
  const [from, to] = [parseDay("2026-11-30"), parseDay("2027-09-06")].map((day) => next.lines[0].indexOf(day));
  expect(copied.length).toBe(old.length);
  const pinned = next.plan.tasks.findIndex(({ name, projectId }) => projectId === "copy" && name === "Rock pool trial casts");
  const start = next.schedule.of(pinned)?.start.day as number;
  expect(next.lines[0].indexOf(start) - to).toBe(model.lines[0].indexOf(parseDay("2027-02-08")) - from);
  const hours = ({ plan, work, placements }: Model, id: string) =>
    plan.assignments.reduce((sum, _, row) => sum + (plan.projects[work.project[row]].id === id ? placements.asked[row] : 0), 0);
  expect(hours(next, "copy")).toBe(hours(model, "tidepool"));
  expect(next.plan.tasks.some(({ projectId, state }) => projectId === "copy" && state !== undefined)).toBe(false);
});

test("where people do not come along, their places are open for their roles", () => {
  const next = made("tidepool", false);
  const own = next.plan.assignments.filter(({ id }) => id.startsWith("x-a"));
  expect(own.every(({ personId }) => personId === undefined)).toBe(true);
  expect(own.every(({ roleId, teamId, materialId }) => roleId ?? teamId ?? materialId)).toBeTruthy();
  expect(own.length).toBe(model.plan.assignments.filter(({ taskId }) => taskId.startsWith("tidepool-")).length);
});

test("links to other projects stay behind, and a project can begin without tasks", () => {
  const next = made("orchard", true);
  expect(
    next.plan.links.filter(({ id }) => id.startsWith("x-l")).every(({ from, to }) => from.startsWith("x-t") && to.startsWith("x-t")),
  ).toBe(true);
  expect(made(null, true).plan.tasks).toHaveLength(model.plan.tasks.length);
});

test("a template keeps a project as it was saved, and leaves out what the plan no longer has", () => {
  const saved = applyEdit(model.plan, { kind: "addTemplate", id: "tpl", name: "Gallery", projectId: "tidepool" });
  if (!saved.plan) throw new Error("a project can be saved");
  expect(applyEdit(saved.plan, { kind: "addTemplate", id: "tpl2", name: "Gallery", projectId: "orchard" }).faults[0]?.message).toMatch(
    /already a template called "Gallery"/,
  );
  const changed = applyEdit(saved.plan, { kind: "deleteTask", id: "tidepool-scenic" });
  if (!changed.plan) throw new Error("the edit fits the plan");
  const later = buildModel(changed.plan);
  const options = { project, source: { templateId: "tpl" }, keepsPeople: true, idStem: "x" };
  const edit = projectFrom(later, options);
  expect(edit.tasks.map(({ name }) => name)).toEqual(
    model.plan.tasks.filter(({ projectId }) => projectId === "tidepool").map(({ name }) => name),
  );
  const outcome = applyEdit(changed.plan, edit);
  if (!outcome.plan) throw new Error(JSON.stringify(outcome.faults));
  expect(daysOf(buildModel(outcome.plan), "copy")).toEqual(daysOf(made("tidepool", true), "copy"));
  const [person] = new Set(edit.assignments.flatMap(({ personId }) => personId ?? []));
  const poorer = buildModel({ ...changed.plan, people: changed.plan.people.filter(({ id }) => id !== person) });
  const without = projectFrom(poorer, options);
  expect(without.assignments).toHaveLength(edit.assignments.length);
  expect(without.assignments.some(({ personId }) => personId === person)).toBe(false);
});

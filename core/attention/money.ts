// Signals about money: work without a rate, and margins under their goal.
import { isBelowGoal, marginGoal, projectMargin } from "../cost/margin.ts";
import type { Model } from "../model.ts";
import { findRow } from "../plan/rows.ts";
import type { Attention } from "../signals/kinds.ts";

/** Signals about money over the whole horizon: missing rates and exchange rates by project, and margins under their goal. */
export function moneySignals(model: Model): Attention[] {
  const costs = model.costsOfHorizon();
  return [
    ...byProject(model, "missingRate", costs.missingRates),
    ...byProject(model, "missingExchangeRate", costs.missingExchangeRates),
    ...thinMargins(model),
  ];
}

/** Work that lacks a rate, one signal a project. */
function byProject({ plan }: Model, kind: "missingRate" | "missingExchangeRate", ids: readonly string[]): Attention[] {
  const counts = new Map<string, { count: number; people: Set<string> }>();
  for (const id of ids) {
    const assignment = findRow(plan.assignments, id);
    const projectId = findRow(plan.tasks, assignment?.taskId ?? id)?.projectId ?? "";
    const known = counts.get(projectId) ?? { count: 0, people: new Set<string>() };
    known.count++;
    if (assignment?.personId !== undefined) known.people.add(assignment.personId);
    counts.set(projectId, known);
  }
  return [...counts].flatMap(([projectId, { count, people }]): Attention[] => {
    const project = findRow(plan.projects, projectId);
    if (!project || project.stage === "done") return [];
    const others = [...people].map((id) => ({ id, name: findRow(plan.people, id)?.name ?? id, minutes: 0 }));
    return [{ key: `${kind} ${projectId}`, kind, projectId, project: project.name, count, others, weight: 5e4 + count }];
  });
}

function thinMargins(model: Model): Attention[] {
  return model.plan.projects.flatMap(({ id, name, stage }, row): Attention[] => {
    const [share, goal] = [projectMargin(model, row), marginGoal(model.plan, row)];
    if (stage === "done" || share === null || goal === null || !isBelowGoal(share, goal)) return [];
    return [{ key: `thinMargin ${id}`, kind: "thinMargin", projectId: id, project: name, share, goal, weight: 6e4 + goal - share }];
  });
}

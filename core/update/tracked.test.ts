// Plans with recorded hours over edits: the model that is carried over is the same as a new one.
import { expect, test } from "vitest";
import { randomFrom } from "../../demo/random.ts";
import { everyEditFrom } from "../../tests/everyEdit.ts";
import { editsFrom } from "../../tests/randomEdits.ts";
import { trackedPlan } from "../../tests/trackedPlan.ts";
import { attentionOf } from "../attention/attention.ts";
import { horizonOf } from "../calendar/horizon.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { countAll } from "../load/counting.ts";
import { buildModel, type Model } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { costReport } from "../reports/cost.ts";
import { loadReport } from "../reports/load.ts";
import { progressReport } from "../reports/progress.ts";
import { scheduleReport } from "../reports/schedule.ts";
import { updateModel } from "./update.ts";

const everything = (model: Model) => {
  const asked = { range: horizonOf(model.plan), grain: "week" as const };
  return {
    schedule: scheduleReport(model),
    load: loadReport(model, asked, countAll),
    cost: costReport(model, asked),
    progress: progressReport(model, model.plan.baselines.at(-1) ?? null),
    signals: attentionOf(model, model.progress.status),
  };
};

/** Edits that leave recorded hours where they are, most of them on work that has some. */
function inPlace(seed: number): (plan: Plan) => Edit {
  const { pick, below } = randomFrom(seed);
  let made = 0;
  return ({ tasks, assignments, people, projects, timeEntries }) => {
    const entry = pick(timeEntries);
    made++;
    const { id } = pick(assignments);
    const task = pick(tasks).id;
    return pick<Edit>([
      { kind: "changeAssignment", id, set: { hours: 4 + below(60), percent: null, hoursPerDay: null, hoursPerWeek: null, custom: null } },
      { kind: "changeAssignment", id, set: { remaining: below(3) === 0 ? null : { hours: below(40), asOf: "2027-01-20" } } },
      { kind: "changeTask", id: task, set: { percentComplete: below(100) } },
      { kind: "changeTask", id: task, set: { state: pick(["notStarted", "underWay", "done"]) } },
      { kind: "changeTask", id: task, set: { actualStart: below(2) === 0 ? null : "2027-01-12" } },
      { kind: "changeTask", id: task, set: { sizing: "duration", durationDays: below(20), start: null, finish: null } },
      { kind: "changePerson", id: pick(people).id, set: { employedTo: below(2) === 0 ? null : "2027-06-30" } },
      {
        kind: "recordHours",
        personId: entry.personId,
        cells: [{ newId: `hours-${made}`, date: entry.date, hours: 1, activity: "Meeting" }],
      },
      { kind: "decideHours", ids: [entry.id], state: pick(["draft", "submitted", "approved"]) },
      { kind: "changeProject", id: pick(projects).id, set: { deadline: "2027-05-01" } },
    ]);
  };
}

test.each([1, 2, 3, 4, 5, 6])("always: after edits in place the model is that of the plan read again (seed %i)", (seed) => {
  const edit = inPlace(seed);
  let model = buildModel(trackedPlan(seed));
  let made = 0;
  everything(model);
  for (let at = 0; at < 40; at++) {
    const outcome = applyEdit(model.plan, edit(model.plan));
    if (!outcome.plan) continue;
    made++;
    model = updateModel(model, outcome.plan, outcome.changes);
    if (made % 3 === 0) expect(everything(model), `edit ${at}`).toEqual(everything(buildModel(outcome.plan)));
  }
  expect(made).toBeGreaterThan(10);
});

test.each([1, 2, 3, 4])("always: and after edits of every kind, entries among them (seed %i)", (seed) => {
  const edit = seed % 2 === 0 ? editsFrom(seed) : everyEditFrom(seed);
  let model = buildModel(trackedPlan(seed));
  everything(model);
  for (let at = 0; at < 60; at++) {
    const outcome = applyEdit(model.plan, edit(model.plan));
    if (!outcome.plan) continue;
    model = updateModel(model, outcome.plan, outcome.changes);
    if (at % 5 === 0) expect(everything(model), `edit ${at}`).toEqual(everything(buildModel(outcome.plan)));
  }
});

// The chain of answers over one revision of a plan: plan → capacity → progress → schedule → placements → load, conflicts, cost,
// signals. Each is worked out when it is first asked for, and once.
import { CapacityBook } from "./calendar/capacityBook.ts";
import { type Day, parseDay } from "./calendar/day.ts";
import { horizonOf } from "./calendar/horizon.ts";
import { workingLines } from "./calendar/lines.ts";
import type { Range, ReportRange } from "./calendar/periods.ts";
import type { WorkingLine } from "./calendar/workingLine.ts";
import { type Costs, costsOf, type ProjectCosts } from "./cost/costs.ts";
import type { Counting } from "./load/counting.ts";
import { LoadBook } from "./load/loadBook.ts";
import { placeAll } from "./placing/place.ts";
import type { Placed } from "./placing/placed.ts";
import type { Placements } from "./placing/placements.ts";
import { rowById } from "./plan/rows.ts";
import type { Plan } from "./plan/schema.ts";
import { graphOf } from "./plan/taskGraph.ts";
import { type Progress, progressOf } from "./progress/progress.ts";
import { actualLines } from "./recorded/actuals.ts";
import { type Recorded, recordedOf } from "./recorded/recorded.ts";
import { SlackTable } from "./schedule/backward.ts";
import { type Conflict, conflictsOf } from "./schedule/conflicts.ts";
import type { Schedule } from "./schedule/dates.ts";
import { schedule } from "./schedule/forward.ts";
import { networkOf } from "./schedule/network.ts";
import type { Attention, AttentionGroup } from "./signals/kinds.ts";
import { type Signal, signalsOf } from "./signals/signals.ts";
import { lookUp } from "./values/lookUp.ts";
import { type Work, workOf } from "./work/work.ts";

/** The parts of a model; everything else follows from them. */
export interface ModelParts {
  plan: Plan;
  lines: readonly WorkingLine[];
  capacity: CapacityBook;
  work: Work;
  /** The recorded hours that the work was laid out with. */
  recorded: Recorded;
  progress: Progress;
  schedule: Schedule;
  /** Placed when first asked for, where they are not known yet. */
  placements?: Placements;
}

/** Stages of a former model that an edit left standing, by what they are asked for with. */
export interface Stages {
  loads: Map<string, LoadBook>;
  /** By project row; undefined where an edit touched what the project costs. */
  costs: Map<string, (ProjectCosts | undefined)[]>;
  slack: SlackTable | null;
  conflicts: Conflict[] | null;
  /** The signals of each group, as they were on a day. */
  signals: Map<AttentionGroup, { today: Day; signals: readonly Attention[] }>;
}

const noStages = (): Stages => ({ loads: new Map(), costs: new Map(), slack: null, conflicts: null, signals: new Map() });

/** Windows whose costs are kept: one for the signals and the last few that screens have asked for. */
const KEPT_WINDOWS = 4;

/** A plan and what follows from it; every report and screen reads this. */
export class Model implements Placed {
  readonly plan: Plan;
  readonly lines: readonly WorkingLine[];
  readonly personLines: readonly WorkingLine[];
  readonly capacity: CapacityBook;
  readonly schedule: Schedule;
  readonly work: Work;
  readonly recorded: Recorded;
  readonly progress: Progress;
  #placements: Placements | null;
  #signals: Signal[] | null = null;
  readonly #costs = new Map<string, Costs>();
  /** The stages known so far; the step to the next model reads them. */
  readonly stages: Stages;

  constructor(parts: ModelParts, stages: (model: Model) => Stages = noStages) {
    const { plan, lines } = parts;
    const calendars = rowById(plan.calendars);
    this.plan = plan;
    this.lines = lines;
    this.personLines = plan.people.map(({ calendarId }) => lines[lookUp(calendars, calendarId)]);
    this.capacity = parts.capacity;
    this.schedule = parts.schedule;
    this.work = parts.work;
    this.recorded = parts.recorded;
    this.progress = parts.progress;
    this.#placements = parts.placements ?? null;
    this.stages = stages(this);
  }

  get placements(): Placements {
    this.#placements ??= placeAll(this);
    return this.#placements;
  }

  /** The slack of every task. */
  slack(): SlackTable {
    this.stages.slack ??= new SlackTable(this.schedule);
    return this.stages.slack;
  }

  /** The load of everyone under a way of counting. */
  load(counting: Counting): LoadBook {
    const key = `${counting.pencilled} ${counting.pipeline}`;
    let book = this.stages.loads.get(key);
    if (!book) {
      book = new LoadBook(this, counting);
      this.stages.loads.set(key, book);
    }
    return book;
  }

  /** The date conflicts: tasks in plan order, then projects. */
  conflicts(): readonly Conflict[] {
    this.stages.conflicts ??= conflictsOf(this.schedule);
    return this.stages.conflicts;
  }

  /** The cost and revenue of every project in the periods of a range. */
  costs({ range, grain }: ReportRange): Costs {
    const key = `${range.start} ${range.stop} ${grain}`;
    let costs = this.#costs.get(key);
    if (!costs) {
      costs = costsOf(this, { range, grain }, this.stages.costs.get(key));
      this.#costs.set(key, costs);
      this.stages.costs.delete(key);
      this.stages.costs.set(key, costs.byProject);
      for (const old of [...this.stages.costs.keys()].slice(0, -KEPT_WINDOWS)) this.stages.costs.delete(old);
    }
    return costs;
  }

  /** The cost and revenue of every project over the horizon. */
  costsOfHorizon(): Costs {
    return this.costs({ range: horizonOf(this.plan), grain: "year" });
  }

  /** The signals, each once for a kind and subject. */
  signals(): readonly Signal[] {
    this.#signals ??= signalsOf(this.plan, this.costsOfHorizon());
    return this.#signals;
  }
}

/** The model of a plan, which must be sound (`checkPlan`). @param recorded Its approved hours, and the day it is. */
export function buildModel(plan: Plan, recorded: Recorded = recordedOf(plan)): Model {
  const lines = workingLines(plan);
  const capacity = new CapacityBook(plan, lines, capacitySpan(plan));
  const actuals = actualLines(plan, recorded);
  const work = workOf(plan, actuals);
  const progress = progressOf(plan, work, recorded, actuals);
  const network = networkOf(plan, lines, graphOf(plan), progress);
  return new Model({ plan, lines, capacity, work, recorded, progress, schedule: schedule(network, work, capacity) });
}

// Wide enough for the horizon and every stated date; days beyond are calculated one by one.
function capacitySpan(plan: Plan): Range {
  let first = parseDay(plan.settings.planStart);
  let last = parseDay(plan.settings.planEnd);
  for (const task of plan.tasks) {
    if (task.start !== undefined) first = Math.min(first, parseDay(task.start));
    if (task.finish !== undefined) last = Math.max(last, parseDay(task.finish));
  }
  return { start: first - 7, stop: last + 120 };
}

// The signals that a resource manager should look at, each with its figure, its subject and its weight.
import type { Day } from "../calendar/day.ts";
import { periodSettingsOf } from "../calendar/horizon.ts";
import { periodStart } from "../calendar/periods.ts";
import type { Model } from "../model.ts";
import type { Settings } from "../plan/schema.ts";
import { type Attention, type AttentionGroup, attentionKinds, type Horizon, leastOf, WEEKS_AHEAD } from "../signals/kinds.ts";
import { objectKeys } from "../values/objectKeys.ts";
import { dateSignals } from "./dates.ts";
import { moneySignals } from "./money.ts";
import { peopleSignals } from "./people.ts";
import { progressDateSignals, progressWorkSignals } from "./progress.ts";
import { recordingSignals, slippingSignals } from "./recording.ts";
import { workSignals } from "./work.ts";

const makers: Record<AttentionGroup, (model: Model, horizon: Horizon) => Attention[]> = {
  people: (model, horizon) => [...peopleSignals(model, horizon), ...recordingSignals(model, horizon)],
  work: (model, horizon) => [...workSignals(model, horizon), ...progressWorkSignals(model)],
  dates: (model) => [...dateSignals(model), ...progressDateSignals(model), ...slippingSignals(model)],
  money: moneySignals,
};

/** Every signal of a plan that its settings have not switched off, those of a group together and the worst first. */
export function attentionOf(model: Model, today: Day): Attention[] {
  const start = periodStart(today, "week", periodSettingsOf(model.plan));
  const horizon = { today, start, until: start + 7 * WEEKS_AHEAD };
  const isShown = isShownBy(model.plan.settings);
  const all = objectKeys(makers).flatMap((group) => signalsOfGroup(model, group, horizon).filter(isShown));
  // A signal that is made twice for the same thing is listed once.
  const known = new Map(all.map((own) => [own.key, own]));
  return [...known.values()].sort((a, b) => b.weight - a.weight || (a.key < b.key ? -1 : 1));
}

/** The signals of a group, made once for a model and carried over edits that do not change them. */
function signalsOfGroup(model: Model, group: AttentionGroup, horizon: Horizon): readonly Attention[] {
  const known = model.stages.signals.get(group);
  if (known?.today === horizon.today) return known.signals;
  const signals = makers[group](model, horizon);
  model.stages.signals.set(group, { today: horizon.today, signals });
  return signals;
}

/** Says whether a signal is switched on and reaches the figure from which on it is reported. */
export function isShownBy({ attention = [] }: Settings): (signal: Attention) => boolean {
  const rules = new Map(attention.map((rule) => [rule.kind, rule]));
  return ({ kind, minutes, share, goal }) => {
    const rule = rules.get(kind);
    if (rule?.isOff) return false;
    const { unit } = attentionKinds[kind];
    const least = rule?.least ?? leastOf(kind);
    return unit !== "percent" ? (minutes ?? least * 60) >= least * 60 : (goal ?? 0) - (share ?? 0) >= least * 100;
  };
}

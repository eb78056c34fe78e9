// The model of a plan that was sent as JSON, on the day it is.
import { currentDay } from "../client/clock.ts";
import { buildModel, type Model } from "../core/model.ts";
import type { Plan } from "../core/plan/schema.ts";
import { recordedOf } from "../core/recorded/recorded.ts";

export function modelOf(text: string): Model {
  const plan = JSON.parse(text) as Plan;
  return buildModel(plan, recordedOf(plan, currentDay()));
}

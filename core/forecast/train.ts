// People who could learn a skill that is short: those who know less of it, or one of the same group of skills.
import { type Day, formatDay } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import type { SingleEdit } from "../edits/edit.ts";
import { defaultCounting } from "../load/counting.ts";
import { peopleSums } from "../load/periodSums.ts";
import type { Model } from "../model.ts";
import { findRow } from "../plan/rows.ts";
import type { Person, Plan } from "../plan/schema.ts";
import type { Help, HelpTarget, Shortage } from "./help.ts";

const MOST_PEOPLE = 4;
/** A person learns for four weeks, four hours a day, unless it is stated otherwise. */
const [TRAINING_WEEKS, TRAINING_HOURS] = [4, 4];

type Train = Help & { kind: "train" };

/** People who are near and have the most room over the range, to have learned before a period that is short. Nobody is trained
 * while the skill is short: their training would take the hours that are missing. */
export function trainHelps(model: Model, { target, range, short }: Shortage): Train[] {
  if (target.by !== "skill") return [];
  const { plan } = model;
  const from = trainingStart(range, short);
  if (from === null) return [];
  const near = plan.people.flatMap((person, row) => (!person.archived && isNear(plan, person, target) ? [row] : []));
  const { capacity, load } = peopleSums(model, model.load(defaultCounting), near, [range]);
  return near
    .map((row, at) => ({ personId: plan.people[row].id, free: capacity[at] - load[at] }))
    .filter(({ free }) => free > 0)
    .sort((a, b) => b.free - a.free)
    .slice(0, MOST_PEOPLE)
    .map(({ personId }): Train => ({ kind: "train", personId, from, weeks: TRAINING_WEEKS, hoursPerDay: TRAINING_HOURS }));
}

/** The latest start of a training that ends before a period that is short, and overlaps none; the first such period decides.
 * Null where there is no room for one. */
function trainingStart({ start }: Range, short: readonly Range[]): Day | null {
  let free = start;
  for (const period of short) {
    if (period.start - free >= TRAINING_WEEKS * 7) return period.start - TRAINING_WEEKS * 7;
    free = Math.max(free, period.stop);
  }
  return null;
}

function isNear(plan: Plan, { skills = [] }: Person, { key, level }: HelpTarget): boolean {
  const own = skills.find(({ skillId }) => skillId === key);
  if (own) return own.level < level;
  const group = findRow(plan.skills, key)?.group;
  return group !== undefined && skills.some(({ skillId }) => findRow(plan.skills, skillId)?.group === group);
}

/** Leave for training, and the skill; none where the person is gone. */
export function trainEdits(
  plan: Plan,
  { key, level }: HelpTarget,
  { personId, from, weeks, hoursPerDay }: Train,
  idStem: string,
): SingleEdit[] {
  if (!findRow(plan.people, personId) || !findRow(plan.skills, key)) return [];
  const dates = { from: formatDay(from), to: formatDay(from + weeks * 7 - 1) };
  return [
    { kind: "changePeople", ids: [personId], set: { skills: [{ skillId: key, level }] } },
    {
      kind: "setTimeOff",
      personId,
      timeOff: { id: `${idStem}-training`, ...dates, hoursPerDay, kind: "training", state: "approved" },
    },
  ];
}

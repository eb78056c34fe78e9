// People who could learn a skill that is short: those who know less of it, or one of the same group of skills.
import { formatDay } from "../calendar/day.ts";
import type { SingleEdit } from "../edits/edit.ts";
import { defaultCounting } from "../load/counting.ts";
import { peopleSums } from "../load/periodSums.ts";
import type { Model } from "../model.ts";
import { findRow } from "../plan/rows.ts";
import type { Person, Plan } from "../plan/schema.ts";
import type { Help, HelpTarget, Shortage } from "./help.ts";

const MOST_PEOPLE = 4;
/** Somebody learns for four weeks, four hours a day. */
const [TRAINING_DAYS, TRAINING_HOURS] = [28, 4];

type Train = Help & { kind: "train" };

/** Whoever is near and has the most room over the range, to have learned when it is first short, or as soon as can be. */
export function trainHelps(model: Model, { target, range, short }: Shortage): Train[] {
  if (target.by !== "skill") return [];
  const { plan } = model;
  // Who has learned by then is of more use.
  const from = Math.max(range.start, short[0].start - TRAINING_DAYS);
  const near = plan.people.flatMap((person, row) => (!person.archived && isNear(plan, person, target) ? [row] : []));
  const { capacity, load } = peopleSums(model, model.load(defaultCounting), near, [range]);
  return near
    .map((row, at) => ({ personId: plan.people[row].id, free: capacity[at] - load[at] }))
    .filter(({ free }) => free > 0)
    .sort((a, b) => b.free - a.free)
    .slice(0, MOST_PEOPLE)
    .map(({ personId }): Train => ({ kind: "train", personId, from }));
}

function isNear(plan: Plan, { skills = [] }: Person, { key, level }: HelpTarget): boolean {
  const own = skills.find(({ skillId }) => skillId === key);
  if (own) return own.level < level;
  const group = findRow(plan.skills, key)?.group;
  return group !== undefined && skills.some(({ skillId }) => findRow(plan.skills, skillId)?.group === group);
}

/** Leave for training, and the skill; none where the person is gone. */
export function trainEdits(plan: Plan, { key, level }: HelpTarget, { personId, from }: Train, idStem: string): SingleEdit[] {
  if (!findRow(plan.people, personId) || !findRow(plan.skills, key)) return [];
  const dates = { from: formatDay(from), to: formatDay(from + TRAINING_DAYS - 1) };
  return [
    { kind: "changePeople", ids: [personId], set: { skills: [{ skillId: key, level }] } },
    {
      kind: "setTimeOff",
      personId,
      timeOff: { id: `${idStem}-training`, ...dates, hoursPerDay: TRAINING_HOURS, kind: "training", state: "approved" },
    },
  ];
}

// People with everything that decides what they can work: patterns, employment, leave in its three states, overtime.
import type { Person, Plan } from "../core/plan/schema.ts";
import { randomFrom } from "../demo/random.ts";
import { nextDate } from "./plainCapacity.ts";

type Random = ReturnType<typeof randomFrom>;

/** A plan whose people and calendars are anything but regular, from a seed. */
export function irregular(plan: Plan, seed: number): Plan {
  const random = randomFrom(seed);
  const calendars = plan.calendars.map((calendar) => ({
    ...calendar,
    exceptions: several(random, 6, () => ({ ...aRange(random, 9), hours: random.pick([0, 4, 7.25, 8]), name: "Made-up day" })),
  }));
  return { ...plan, calendars, people: plan.people.map((person) => irregularPerson(person, random)) };
}

function irregularPerson({ id, name, kind, roleIds, skills, calendarId }: Person, random: Random): Person {
  const { below, pick } = random;
  const employedFrom = below(3) === 0 ? aDate(random) : undefined;
  const leavesAfter = [employedFrom ?? "", "2028-01-01"].sort().at(-1) as string;
  return {
    id,
    name,
    kind,
    roleIds,
    skills,
    calendarId,
    ...(employedFrom !== undefined && { employedFrom }),
    ...(below(3) === 0 && { employedTo: nextDate(leavesAfter, below(600)) }),
    patterns: several(random, 3, () => {
      const { from, to } = aRange(random, 200);
      return { from, ...(below(2) === 0 && { to }), week: Array.from({ length: 7 }, () => pick([0, 4, 6.5, 7.6, 8])) };
    }),
    timeOff: several(random, 5, (at) => ({
      id: `${id}-${at}`,
      ...aRange(random, 12),
      state: pick(["approved", "requested", "declined"] as const),
      kind: "other",
      ...(below(2) === 0 && { hoursPerDay: pick([1.5, 4, 10]) }),
    })),
    overtime: several(random, 3, (at) => ({ id: `${id}-o${at}`, ...aRange(random, 30), hoursPerDay: pick([0.5, 2]) })),
  };
}

function several<T>({ below }: Random, most: number, make: (at: number) => T): T[] {
  return Array.from({ length: below(most + 1) }, (_, at) => make(at));
}

const aDate = ({ below }: Random): string => nextDate("2027-01-04", below(700));

function aRange(random: Random, most: number): { from: string; to: string } {
  const from = aDate(random);
  return { from, to: nextDate(from, random.below(most)) };
}

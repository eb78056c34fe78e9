// An option for a shortage: its group, its action and its effect.
import type { Day } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import type { Money } from "../plan/moneySides.ts";
import type { ForecastBy } from "./groups.ts";

export type Help =
  | { kind: "later"; projectId: string; days: number }
  /** So many people for the group, from a day on; with a last day, contractors for a while. A rate in major units an hour; null
   * for the role's. People hired for good spend half their time learning at first. */
  | { kind: "hire"; people: number; from: Day; to: Day | null; rate: number | null; learningWeeks: number }
  /** An opening of the role for a person of another role who has this one too. */
  | { kind: "lend"; personId: string; openingId: string }
  /** A person who knows less of the skill, or one that is near to it. */
  | { kind: "train"; personId: string; from: Day; weeks: number; hoursPerDay: number };

/** The group that is to be helped. */
export interface HelpTarget {
  by: ForecastBy;
  /** Of skills. */
  level: number;
  key: string;
}

/** Expected shortage in minutes over the range: of the group, and of all of them. */
export interface Measured {
  own: number;
  all: number;
}

export interface MeasuredHelp {
  help: Help;
  before: Measured;
  after: Measured;
  /** The cost of the people, in minor units; 0 if nobody is hired, null if their price is not known. */
  cost: Money<"cost"> | null;
}

/** A group that is short, from which helps are made. */
export interface Shortage {
  target: HelpTarget;
  group: number;
  range: Range;
  /** The periods that it is expected to be short in. */
  short: Range[];
}

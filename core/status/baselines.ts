// The baselines of a plan: the one that a screen compares with, and the latest of a project.
import { type Day, parseDay } from "../calendar/day.ts";
import { findRow } from "../plan/rows.ts";
import type { Baseline, Plan } from "../plan/schema.ts";

/** A baseline by its id. @returns The latest one where none is named, or the named one was deleted; null where there is none. */
export const baselineOr = ({ baselines }: Plan, id: string | null): Baseline | null =>
  findRow(baselines, id ?? "") ?? baselines.at(-1) ?? null;

/** The latest baseline that holds a project. */
export const latestBaselineOf = ({ baselines }: Plan, projectId: string): Baseline | undefined =>
  baselines.findLast(({ projects }) => projects.some((own) => own.projectId === projectId));

export interface BaselineName {
  id: string;
  name: string;
  takenOn: Day;
  note: string;
  /** The number of projects that it holds. */
  projects: number;
}

/** Every baseline by name, the latest first. */
export const baselineNames = ({ baselines }: Plan): BaselineName[] =>
  baselines
    .map(({ id, name, takenOn, note = "", projects }) => ({ id, name, takenOn: parseDay(takenOn), note, projects: projects.length }))
    .reverse();

// The subjects of options, by name.
import type { Model } from "../model.ts";
import { findRow } from "../plan/rows.ts";
import type { Help, HelpTarget } from "./help.ts";
import { hiredRole } from "./helps.ts";

export interface HelpNames {
  /** The project that begins later, the role that is hired, the person who is lent or trained. */
  name: string;
  /** The task that is lent to, the skill that is trained; else empty. */
  what: string;
}

/** The subject of an option, by name. */
export function helpNames(model: Model, target: HelpTarget, help: Help): HelpNames {
  const { plan } = model;
  switch (help.kind) {
    case "later":
      return { name: findRow(plan.projects, help.projectId)?.name ?? "", what: "" };
    case "hire":
      return { name: plan.roles[hiredRole(model, target)]?.name ?? "", what: "" };
    case "lend": {
      const taskId = findRow(plan.assignments, help.openingId)?.taskId ?? help.openingId;
      return { name: findRow(plan.people, help.personId)?.name ?? "", what: findRow(plan.tasks, taskId)?.name ?? "" };
    }
    case "train":
      return { name: findRow(plan.people, help.personId)?.name ?? "", what: findRow(plan.skills, target.key)?.name ?? "" };
  }
}

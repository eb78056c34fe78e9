// The fields of a task's form, and how they become a task: texts as typed, checked, then turned into values.

import * as z from "zod";
import type { Task } from "../../core/plan/schema.ts";
import { DATE_HINT, isDateText, readDate, writeDate } from "../../ui/dateText.ts";
import { wholeText } from "../../ui/format.ts";
import { skillFieldsSchema, skillRowsOf, skillsOf } from "../planFields/skillFields.tsx";

const date = z.string().refine(isDateText, { error: DATE_HINT });
const number = (most: number) =>
  z.string().refine((text) => text.trim() === "" || (Number(decimal(text)) >= 0 && Number(decimal(text)) <= most), {
    error: `Enter a number from 0 to ${wholeText(most)}.`,
  });

/** A typed number with a point or a comma. */
export function decimal(text: string): string {
  return text.trim().replace(",", ".");
}

export const sizings = [
  { value: "", text: "No dates yet" },
  { value: "duration", text: "By duration" },
  { value: "dates", text: "Pinned to dates" },
  { value: "effort", text: "By effort" },
] as const;

export const taskFields = z
  .object({
    name: z.string().trim().min(1, { error: "Enter a name for the task." }).max(300),
    parentId: z.string(),
    roleId: z.string(),
    sizing: z.enum(["", "duration", "dates", "effort"]),
    start: date,
    finish: date,
    durationDays: number(10_000),
    effortHours: number(1_000_000),
    notBefore: date,
    notAfter: date,
    finishNotBefore: date,
    finishNotAfter: date,
    staggerDays: number(10_000),
    calendarId: z.string(),
    skills: skillFieldsSchema,
    deadline: date,
    actualStart: date,
    actualFinish: date,
    percentComplete: number(100),
    state: z.enum(["notStarted", "underWay", "done"]),
    priority: z.string(),
    atRisk: z.boolean(),
    tags: z.string().max(2_000),
    notes: z.string().max(20_000),
  })
  .superRefine((fields, context) => {
    const need = (key: "start" | "finish" | "durationDays" | "effortHours", message: string) => {
      if (fields[key].trim() === "") context.addIssue({ code: "custom", path: [key], message });
    };
    if (fields.sizing === "dates") {
      need("start", "Enter the start.");
      need("finish", "Enter the finish.");
      const [start, finish] = [readDate(fields.start), readDate(fields.finish)];
      if (start && finish && finish < start)
        context.addIssue({ code: "custom", path: ["finish"], message: "The finish must not be before the start." });
    }
    const [begun, ended] = [readDate(fields.actualStart), readDate(fields.actualFinish)];
    if (begun && ended && ended < begun)
      context.addIssue({ code: "custom", path: ["actualFinish"], message: "The finish must not be before the start." });
    if (fields.sizing === "duration") need("durationDays", "Enter its working days; 0 is a milestone.");
  });

export type TaskFields = z.infer<typeof taskFields>;

/** A task as it is now in the form. */
export function fieldsOf(task: Partial<Task>): TaskFields {
  const text = (value: string | number | undefined) => (value === undefined ? "" : String(value));
  return {
    name: text(task.name),
    parentId: text(task.parentId),
    roleId: text(task.roleId),
    sizing: task.sizing ?? "",
    start: writeDate(task.start),
    finish: writeDate(task.finish),
    durationDays: text(task.durationDays),
    effortHours: text(task.effortHours),
    notBefore: writeDate(task.notBefore),
    notAfter: writeDate(task.notAfter),
    finishNotBefore: writeDate(task.finishNotBefore),
    finishNotAfter: writeDate(task.finishNotAfter),
    staggerDays: text(task.staggerDays),
    calendarId: text(task.calendarId),
    skills: skillRowsOf(task.skills),
    deadline: writeDate(task.deadline),
    actualStart: writeDate(task.actualStart),
    actualFinish: writeDate(task.actualFinish),
    percentComplete: text(task.percentComplete),
    state: task.state ?? "notStarted",
    priority: text(task.priority ?? 3),
    atRisk: task.atRisk ?? false,
    tags: (task.tags ?? []).join(", "),
    notes: text(task.notes),
  };
}

/** Tags between commas, each once; null for none. */
function tagsOf(text: string): string[] | null {
  const tags = [...new Set(text.split(",").map((tag) => tag.trim().slice(0, 60)))].filter(Boolean);
  return tags.length > 0 ? tags : null;
}

/** The keys that the form sets: a value for a filled field, null for one that is empty or does not belong to the sizing. */
export function setOf(fields: TaskFields): { [K in keyof TaskFields]: Task[K & keyof Task] | null } {
  const text = (value: string) => (value.trim() === "" ? null : value);
  const number = (value: string) => (value.trim() === "" ? null : Number(decimal(value)));
  return {
    name: fields.name.trim(),
    parentId: text(fields.parentId),
    roleId: text(fields.roleId),
    sizing: fields.sizing === "" ? null : fields.sizing,
    start: fields.sizing === "dates" ? readDate(fields.start) : null,
    finish: fields.sizing === "dates" ? readDate(fields.finish) : null,
    durationDays: fields.sizing === "duration" ? number(fields.durationDays) : null,
    effortHours: number(fields.effortHours),
    notBefore: readDate(fields.notBefore),
    notAfter: readDate(fields.notAfter),
    finishNotBefore: readDate(fields.finishNotBefore),
    finishNotAfter: readDate(fields.finishNotAfter),
    staggerDays: number(fields.staggerDays),
    calendarId: text(fields.calendarId),
    skills: skillsOf(fields.skills),
    deadline: readDate(fields.deadline),
    actualStart: readDate(fields.actualStart),
    actualFinish: readDate(fields.actualFinish),
    percentComplete: fields.state === "done" ? 100 : number(fields.percentComplete),
    state: fields.state === "notStarted" ? null : fields.state,
    priority: fields.priority === "3" ? null : Number(fields.priority),
    atRisk: fields.atRisk ? true : null,
    tags: tagsOf(fields.tags),
    notes: text(fields.notes),
  };
}

/** A new task as the form states it; what is empty is left out. */
export function newTaskOf(fields: TaskFields): Omit<Task, "id" | "projectId"> {
  const stated = Object.entries(setOf(fields)).filter(([, value]) => value !== null);
  return { ...Object.fromEntries(stated), name: fields.name.trim() };
}

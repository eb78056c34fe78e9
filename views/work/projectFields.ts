// The details of a project as fields of a form, and back.

import * as z from "zod";
import type { Project } from "../../core/plan/schema.ts";
import { objectKeys } from "../../core/values/objectKeys.ts";
import { readAmount } from "../../ui/amount.ts";
import { DATE_HINT, isDateText, readDate, writeDate } from "../../ui/dateText.ts";
import { texts } from "./words.ts";

export const stages: Record<Project["stage"], string> = {
  idea: "Idea",
  pipeline: "In the pipeline",
  approved: "Approved",
  active: "Under way",
  done: "Done",
  cancelled: "Cancelled",
};

/** Where the past of a project comes from. */
export const trackings = { planned: "As planned", recorded: "As recorded" } as const;

/** The billing of a project; without one, nobody is billed. */
export const billings = { internal: "Not billed", timeAndMaterials: "Time and materials", fixedFee: "Fixed fee" } as const;

/** An amount between two bounds, or nothing. */
const amount = (least: number, most: number, error: string) =>
  z.string().refine((text) => text.trim() === "" || readAmount(text, least, most) !== null, { error });
const MOST_MONEY = 1e10;

export const projectFields = z
  .object({
    name: z.string().trim().min(1, { error: texts.enterAName }).max(300),
    code: z.string().trim().max(30),
    clientId: z.string(),
    category: z.string().max(300),
    leadId: z.string(),
    calendarId: z.string().min(1, { error: texts.chooseACalendar }),
    stage: z.enum(["idea", "pipeline", "approved", "active", "done", "cancelled"]),
    tracking: z.enum(["planned", "recorded"]),
    probability: amount(0, 100, "Enter a number from 0 to 100."),
    priority: z.string(),
    start: z.string().refine((text) => readDate(text) !== null, { error: DATE_HINT }),
    deadline: z.string().refine(isDateText, { error: DATE_HINT }),
    description: z.string().max(20_000),
    costTableId: z.string(),
    billTableId: z.string(),
    billing: z.enum(["timeAndMaterials", "fixedFee", "internal"]),
    fee: amount(0, MOST_MONEY, "Enter an amount of 0 or more."),
    budget: amount(0, MOST_MONEY, "Enter an amount of 0 or more."),
    ofLabour: amount(0, MOST_MONEY, "Enter an amount of 0 or more."),
    ofMaterial: amount(0, MOST_MONEY, "Enter an amount of 0 or more."),
    ofFixed: amount(0, MOST_MONEY, "Enter an amount of 0 or more."),
    ofExpense: amount(0, MOST_MONEY, "Enter an amount of 0 or more."),
    marginTarget: amount(-1000, 100, "A percentage up to 100."),
    sourceId: z.string(),
    keepsPeople: z.boolean(),
  })
  .refine(({ start, deadline }) => (readDate(deadline) ?? "9") >= (readDate(start) ?? ""), {
    path: ["deadline"],
    error: texts.theDeadlineMustNot,
  });
export type ProjectFields = z.infer<typeof projectFields>;

/** The keys of a project in the fields; an empty field is null. */
export function projectSet(fields: ProjectFields) {
  const text = (value: string) => (value.trim() === "" ? null : value.trim());
  const number = (value: string) => readAmount(value, -1000, MOST_MONEY)?.value ?? null;
  const isOpen = fields.stage === "idea" || fields.stage === "pipeline";
  const fee = fields.billing === "fixedFee" ? number(fields.fee) : null;
  return {
    name: fields.name.trim(),
    code: text(fields.code),
    clientId: text(fields.clientId),
    category: text(fields.category),
    leadId: text(fields.leadId),
    calendarId: fields.calendarId,
    stage: fields.stage,
    tracking: fields.tracking === "recorded" ? fields.tracking : null,
    probability: isOpen ? number(fields.probability) : null,
    priority: fields.priority === "" ? null : Number(fields.priority),
    start: readDate(fields.start) ?? "",
    deadline: readDate(fields.deadline),
    description: text(fields.description),
    costTableId: text(fields.costTableId),
    billTableId: text(fields.billTableId),
    billing: fields.billing === "internal" ? null : { kind: fields.billing, ...(fee !== null && { fee }) },
    budget: number(fields.budget),
    budgetByKind: budgetByKind(fields, number),
    marginTarget: number(fields.marginTarget),
  };
}

/** Fields of the budgets by kind, with their kinds. */
export const budgetFields = { ofLabour: "labour", ofMaterial: "material", ofFixed: "fixed", ofExpense: "expense" } as const;

function budgetByKind(fields: ProjectFields, number: (text: string) => number | null): NonNullable<Project["budgetByKind"]> | null {
  const stated = objectKeys(budgetFields).flatMap((field) => {
    const amount = number(fields[field]);
    return amount === null ? [] : [[budgetFields[field], amount] as const];
  });
  return stated.length === 0 ? null : Object.fromEntries(stated);
}

/** The fields of a project as it is now. @param usual What a new one begins with. */
export function projectValues(
  project: Partial<Project>,
  usual: Pick<ProjectFields, "calendarId" | "costTableId" | "billTableId">,
): ProjectFields {
  const figure = (value: number | undefined) => (value === undefined ? "" : String(value));
  const isNew = project.id === undefined;
  return {
    name: project.name ?? "",
    code: project.code ?? "",
    clientId: project.clientId ?? "",
    category: project.category ?? "",
    leadId: project.leadId ?? "",
    calendarId: project.calendarId ?? usual.calendarId,
    stage: project.stage ?? "approved",
    tracking: project.tracking ?? "planned",
    probability: figure(project.probability),
    priority: figure(project.priority),
    start: writeDate(project.start),
    deadline: writeDate(project.deadline),
    description: project.description ?? "",
    costTableId: project.costTableId ?? (isNew ? usual.costTableId : ""),
    billTableId: project.billTableId ?? (isNew ? usual.billTableId : ""),
    billing: project.billing?.kind ?? "internal",
    fee: figure(project.billing?.fee),
    budget: figure(project.budget),
    ofLabour: figure(project.budgetByKind?.labour),
    ofMaterial: figure(project.budgetByKind?.material),
    ofFixed: figure(project.budgetByKind?.fixed),
    ofExpense: figure(project.budgetByKind?.expense),
    marginTarget: figure(project.marginTarget),
    sourceId: "",
    keepsPeople: false,
  };
}

// The schema of a plan file: the one definition of every list and key, in Zod.
import * as z from "zod";
import { isCalendarDate } from "../values/calendarDate.ts";
import { isStorable, unstorableAt } from "../values/storable.ts";
import { MOST_EDIT_LETTERS, MOST_ID_LETTERS, MOST_ROWS_OF_LIST, MOST_WITHIN } from "./limits.ts";
import { type ListName, SETTINGS_ID } from "./lists.ts";
import type { Money } from "./moneySides.ts";

/** A calendar date as ISO text, `2027-02-12`. */
export const dateText = z.string().refine(isCalendarDate, { error: "not a date" });
const storable = { error: "holds a character that cannot be stored" };
const id = z.string().min(1).max(MOST_ID_LETTERS).refine(isStorable, storable);
const name = z.string().min(1).max(300).refine(isStorable, storable);
const text = z.string().max(20_000).refine(isStorable, storable);
const hours = z.number().min(0).max(1_000_000);
const hoursOfDay = z.number().min(0).max(24);
const week = z.array(hoursOfDay).length(7);
const percent = z.number().min(0).max(100);
const money = z.number().min(0).max(1e10);
const costAmount = money as z.ZodType<Money<"cost">>;
const billedAmount = money as z.ZodType<Money<"bill">>;
/** Negative for a credit. */
const signedCost = z.number().min(-1e10).max(1e10) as z.ZodType<Money<"cost">>;
/** In tables of either side. */
const rate = z.number().min(0).max(1e8) as z.ZodType<Money<"cost" | "bill">>;
const workingDays = z.number().min(0).max(10_000);

const settings = z.strictObject({
  name,
  currency: z.string().regex(/^[A-Z]{3}$/),
  weekStartsOn: z.int().min(1).max(7).optional(),
  planStart: dateText,
  planEnd: dateText,
  today: dateText.optional(),
  fiscalYearStartMonth: z.int().min(1).max(12).optional(),
  hoursPerFteWeek: z.number().positive().max(168).optional(),
  levelBand: z.strictObject({ low: z.number().min(0).max(10), high: z.number().min(0).max(10) }).optional(),
  marginTarget: z.number().min(-1000).max(100).optional(),
  taxInCost: z.boolean().optional(),
  /** The last day of the closed months: recorded hours of days up to it change no more. */
  closedUntil: dateText.optional(),
  /** True if anyone may send an enquiry through the public form. */
  enquiryForm: z.literal(true).optional(),
  /** The signals that are shown, and their thresholds; all of them if nothing is stated. */
  attention: z
    .array(
      z.strictObject({
        kind: z.string().min(1).max(40).refine(isStorable, storable),
        isOff: z.literal(true).optional(),
        /** Hours, days or percent, by the kind. */
        least: z.number().min(0).max(1_000_000).optional(),
      }),
    )
    .max(40)
    .optional(),
});

const calendar = z.strictObject({
  id,
  name,
  week,
  exceptions: z.array(z.strictObject({ from: dateText, to: dateText, hours: hoursOfDay, name })).max(MOST_WITHIN.days),
});

const named = z.strictObject({ id, name });
const skill = z.strictObject({ id, name, group: name.optional() });
const skillLevel = z.strictObject({ skillId: id, level: z.int().min(1).max(5) });

/** Left as it is when work is evened out. */
const locked = z.literal(true).optional();

const pattern = z.strictObject({ from: dateText, to: dateText.optional(), week });
/** One entry of a person's time off. */
export const timeOffSchema = z.strictObject({
  id,
  from: dateText,
  to: dateText,
  hoursPerDay: hoursOfDay.optional(),
  kind: z.enum(["holiday", "sick", "training", "other"]),
  state: z.enum(["requested", "approved", "declined"]),
  note: text.optional(),
  /** The reason why it was declined, or why other dates are suggested. */
  reason: text.optional(),
  /** Other dates that the manager suggests instead. */
  suggested: z.strictObject({ from: dateText, to: dateText }).optional(),
});
const overtime = z.strictObject({ id, from: dateText, to: dateText, hoursPerDay: hoursOfDay });

const person = z.strictObject({
  id,
  name,
  email: z.string().max(300).refine(isStorable, storable).optional(),
  roleIds: z.array(id).max(MOST_WITHIN.marks),
  skills: z.array(skillLevel).max(MOST_WITHIN.marks).optional(),
  calendarId: id,
  employedFrom: dateText.optional(),
  employedTo: dateText.optional(),
  location: name.optional(),
  kind: z.enum(["employee", "contractor"]).optional(),
  patterns: z.array(pattern).max(MOST_WITHIN.spans).optional(),
  timeOff: z.array(timeOffSchema).max(MOST_WITHIN.spans).optional(),
  overtime: z.array(overtime).max(MOST_WITHIN.spans).optional(),
  /** Gone from lists, and from boards after the end of employment. */
  archived: z.literal(true).optional(),
  locked,
});

const team = z.strictObject({
  id,
  name,
  handle: z.string().min(1).max(60).refine(isStorable, storable),
  parentId: id.optional(),
  memberIds: z.array(id).max(MOST_WITHIN.members),
  projectId: id.optional(),
  description: text.optional(),
});

const material = z.strictObject({ id, name, unit: z.string().min(1).max(30).refine(isStorable, storable) });
const exchangeRate = z.strictObject({
  currency: z.string().regex(/^[A-Z]{3}$/),
  from: dateText,
  rate: z.number().positive().max(1e7),
});

const rateEntry = z.strictObject({
  personId: id.optional(),
  roleId: id.optional(),
  materialId: id.optional(),
  from: dateText.optional(),
  rate,
  overtimeRate: rate.optional(),
  perUse: rate.optional(),
});
const rateTable = z.strictObject({
  id,
  name,
  kind: z.enum(["cost", "bill"]),
  currency: z
    .string()
    .regex(/^[A-Z]{3}$/)
    .optional(),
  entries: z.array(rateEntry).max(MOST_WITHIN.rates),
});

const project = z.strictObject({
  id,
  name,
  code: z.string().min(1).max(30).refine(isStorable, storable).optional(),
  clientId: id.optional(),
  category: name.optional(),
  leadId: id.optional(),
  calendarId: id,
  stage: z.enum(["idea", "pipeline", "approved", "active", "done", "cancelled"]),
  probability: percent.optional(),
  priority: z.int().min(1).max(5).optional(),
  start: dateText,
  deadline: dateText.optional(),
  costTableId: id.optional(),
  billTableId: id.optional(),
  billing: z.strictObject({ kind: z.enum(["timeAndMaterials", "fixedFee", "internal"]), fee: billedAmount.optional() }).optional(),
  budget: costAmount.optional(),
  /** Within the budget as a whole. */
  budgetByKind: z
    .strictObject({
      labour: costAmount.optional(),
      material: costAmount.optional(),
      fixed: costAmount.optional(),
      expense: costAmount.optional(),
    })
    .optional(),
  marginTarget: z.number().min(-1000).max(100).optional(),
  description: text.optional(),
  /** Recorded: its past is what people have recorded. Planned, the default: its past is as planned. */
  tracking: z.enum(["planned", "recorded"]).optional(),
  /** Gone from lists; it is done or cancelled. */
  archived: z.literal(true).optional(),
  locked,
});

const accrual = z.enum(["start", "even", "end"]);

const task = z.strictObject({
  id,
  projectId: id,
  parentId: id.optional(),
  name,
  sizing: z.enum(["dates", "duration", "effort"]).optional(),
  start: dateText.optional(),
  finish: dateText.optional(),
  durationDays: workingDays.optional(),
  effortHours: hours.optional(),
  roleId: id.optional(),
  skills: z.array(skillLevel).max(MOST_WITHIN.marks).optional(),
  calendarId: id.optional(),
  priority: z.int().min(1).max(5).optional(),
  percentComplete: percent.optional(),
  state: z.enum(["notStarted", "underWay", "done"]).optional(),
  atRisk: z.boolean().optional(),
  /** The days on which work began and ended; the end is read once the task is done. */
  actualStart: dateText.optional(),
  actualFinish: dateText.optional(),
  notBefore: dateText.optional(),
  notAfter: dateText.optional(),
  finishNotBefore: dateText.optional(),
  finishNotAfter: dateText.optional(),
  deadline: dateText.optional(),
  staggerDays: workingDays.optional(),
  fixedCost: costAmount.optional(),
  fixedCostAccrual: accrual.optional(),
  tags: z.array(z.string().min(1).max(60).refine(isStorable, storable)).max(MOST_WITHIN.marks).optional(),
  notes: text.optional(),
  /** The review of work marked as done; `reason` says why it was sent back. */
  review: z.strictObject({ state: z.enum(["accepted", "sentBack"]), reason: text.optional() }).optional(),
  locked,
});

const link = z.strictObject({
  id,
  from: id,
  to: id,
  kind: z.enum(["FS", "SS", "FF", "SF"]),
  lagDays: z.number().min(-10_000).max(10_000).optional(),
  elapsed: z.boolean().optional(),
});

const assignment = z.strictObject({
  id,
  taskId: id,
  personId: id.optional(),
  teamId: id.optional(),
  materialId: id.optional(),
  roleId: id.optional(),
  hours: hours.optional(),
  percent: z.number().min(0).max(1000).optional(),
  hoursPerDay: hoursOfDay.optional(),
  hoursPerWeek: z.number().min(0).max(168).optional(),
  custom: z
    .array(z.strictObject({ from: dateText, to: dateText, hours }))
    .max(MOST_WITHIN.periods)
    .optional(),
  /** The day its task began when the hours were typed: they follow it from there. */
  customFrom: dateText.optional(),
  shape: z.enum(["even", "early", "late", "peak"]).optional(),
  from: dateText.optional(),
  to: dateText.optional(),
  firmness: z.enum(["pencilled", "asked", "confirmed"]).optional(),
  /** The hours that are left of labour at the beginning of a day. */
  remaining: z.strictObject({ hours, asOf: dateText }).optional(),
  quantity: z.number().min(0).max(1e9).optional(),
  quantityPerDay: z.number().min(0).max(1e9).optional(),
  wastePercent: z.number().min(0).max(1000).optional(),
  accrual: accrual.optional(),
});

const costType = z.enum(["externalLabour", "software", "hardware", "travel", "material", "other"]);

const expense = z.strictObject({
  id,
  projectId: id,
  taskId: id.optional(),
  name,
  supplier: name.optional(),
  amount: signedCost,
  /** The quantity and price of an amount that was typed as such. */
  quantity: z.number().min(0).max(1e9).optional(),
  unitPrice: signedCost.optional(),
  taxPercent: percent.optional(),
  date: dateText.optional(),
  from: dateText.optional(),
  to: dateText.optional(),
  costType,
  treatment: z.enum(["capital", "operating"]).optional(),
  state: z.enum(["planned", "committed", "paid"]).optional(),
});

const template = z.strictObject({
  id,
  name,
  /** The start that its dates are stated against, and the calendar whose working days carry them to another one. */
  start: dateText,
  calendarId: id,
  tasks: z.array(task.omit({ projectId: true })).max(20_000),
  links: z.array(link).max(50_000),
  assignments: z.array(assignment).max(50_000),
});

const comment = z.strictObject({
  id,
  taskId: id,
  author: name,
  /** When it was written, ISO 8601 in UTC. */
  at: z.iso.datetime(),
  text: text.min(1),
  /** The people and teams mentioned in the text. */
  mentions: z
    .array(z.strictObject({ personId: id.optional(), teamId: id.optional() }))
    .max(100)
    .optional(),
});

/** A way of looking at a screen that was given a name: what is in the address after the `?`. */
const view = z.strictObject({ id, name, screen: z.enum(["balance"]), query: z.string().max(4_000).refine(isStorable, storable) });

/** An overload that is known and left: a person's, on the days from–to. */
const acceptance = z.strictObject({ id, personId: id, from: dateText, to: dateText, reason: text.min(1) });

/** A signal that is hidden until a day. */
const snooze = z.strictObject({ id, signal: text.min(1).max(400), until: dateText, reason: text.min(1) });

/** A signal handed to a colleague, as the message that went out. */
const note = z.strictObject({ id, signal: text.min(1).max(400), personId: id, by: name, at: z.iso.datetime(), text: text.min(1) });

/** Work that a lead asks for, and what has become of it. */
const request = z.strictObject({
  id,
  taskId: id,
  /** The work it asks for, while it is on the plan. */
  assignmentId: id.optional(),
  roleId: id.optional(),
  personId: id.optional(),
  hours,
  state: z.enum(["asked", "offered", "confirmed", "declined"]),
  /** The person whom the manager offers. */
  offeredId: id.optional(),
  note: text.optional(),
  /** Every step, the first one first, and the message that went out with it. */
  history: z
    .array(
      z.strictObject({
        at: z.iso.datetime(),
        by: name,
        to: name,
        step: z.enum(["asked", "offered", "confirmed", "declined"]),
        text: text.optional(),
      }),
    )
    .min(1)
    .max(200),
});

/** Work that a person would like to have done, before it is a project: what they said, and what has become of it. */
const enquiry = z.strictObject({
  id,
  name,
  purpose: text.optional(),
  /** The contact, as entered. */
  contact: z.strictObject({ name, organisation: name.optional(), email: name.optional() }),
  clientId: id.optional(),
  wishedStart: dateText.optional(),
  wishedFinish: dateText.optional(),
  value: billedAmount.optional(),
  /** Its size: the tasks of a template, or hours by role. What these refer to may be gone. */
  templateId: id.optional(),
  hours: z
    .array(z.strictObject({ roleId: id, hours }))
    .max(MOST_WITHIN.marks)
    .optional(),
  state: z.enum(["received", "accepted", "approved", "declined"]),
  /** The project it has become. */
  projectId: id.optional(),
  /** Every step, the first one first, and the message that went out with it. */
  history: z
    .array(
      z.strictObject({
        at: z.iso.datetime(),
        by: name,
        step: z.enum(["received", "accepted", "approved", "declined", "reopened"]),
        text: text.optional(),
      }),
    )
    .min(1)
    .max(200),
});

function isWrittenEdit(edit: Record<string, unknown>): boolean {
  const text = JSON.stringify(edit);
  return typeof edit.kind === "string" && text.length <= MOST_EDIT_LETTERS && unstorableAt(edit) === null;
}

const isShort = (value: unknown): boolean => JSON.stringify(value).length <= MOST_EDIT_LETTERS;

/** An edit as it is recorded and not made: what it says is read when it is looked at. */
const writtenEdit = z.record(z.string(), z.unknown()).refine(isWrittenEdit, { error: "is no edit" });

/** A field as it was when a change of it was recorded; without a value where the row did not state it. */
const seenCell = z.strictObject({
  list: z.string().min(1).max(40).refine(isStorable, storable),
  id,
  field: z.string().min(1).max(400).refine(isStorable, storable),
  value: z.unknown().optional(),
});

/** Changes that are tried out on top of the plan, in their order, without being made. */
const sketch = z.strictObject({
  id,
  name,
  /** The author, and the time of creation. */
  by: name,
  at: z.iso.datetime(),
  edits: z
    .array(
      z.strictObject({
        id,
        words: name,
        edit: writtenEdit,
        /** The fields that it changes, as they were when it was recorded. */
        saw: z.array(seenCell).max(MOST_WITHIN.seen).refine(isShort, { error: "is too long" }).optional(),
      }),
    )
    .max(MOST_WITHIN.edits),
});

/** Hours that a person has worked on a day, on a task or in an activity that belongs to none. */
const timeEntry = z.strictObject({
  id,
  personId: id,
  date: dateText,
  hours: z.number().gt(0).max(24),
  taskId: id.optional(),
  activity: name.optional(),
  state: z.enum(["draft", "submitted", "approved", "returned"]),
  note: text.optional(),
  /** The reason for returning it. */
  reason: text.optional(),
});

/** An amount that accounting has booked. */
const actualCost = z.strictObject({
  id,
  projectId: id,
  taskId: id.optional(),
  expenseId: id.optional(),
  date: dateText,
  amount: signedCost,
  costType,
  supplier: name.optional(),
  reference: name.optional(),
  note: text.optional(),
});

const wholeMinutes = z.int().min(0).max(1e9);
const minorUnits = z.int().min(-1e12).max(1e12) as z.ZodType<Money<"cost">>;

/** The plan as it was on a day: dates, minutes and cost of every leaf by day, and the cost of projects that belongs to no leaf. */
const baseline = z.strictObject({
  id,
  name,
  takenOn: dateText,
  note: text.optional(),
  tasks: z
    .array(
      z.strictObject({
        taskId: id,
        projectId: id,
        name,
        start: dateText.optional(),
        finish: dateText.optional(),
        unplaced: wholeMinutes,
        days: z.array(z.tuple([dateText, wholeMinutes, minorUnits])).max(MOST_WITHIN.days),
      }),
    )
    .max(MOST_ROWS_OF_LIST),
  projects: z
    .array(
      z.strictObject({
        projectId: id,
        start: dateText,
        finish: dateText,
        days: z.array(z.tuple([dateText, minorUnits])).max(MOST_WITHIN.days),
      }),
    )
    .max(MOST_ROWS_OF_LIST),
});

/** The rows of the lists whose rows have an id, by list name. */
export const rowSchemas = {
  calendars: calendar,
  roles: named,
  skills: skill,
  people: person,
  teams: team,
  materials: material,
  rateTables: rateTable,
  clients: named,
  projects: project,
  tasks: task,
  links: link,
  assignments: assignment,
  expenses: expense,
  templates: template,
  comments: comment,
  views: view,
  acceptances: acceptance,
  requests: request,
  snoozes: snooze,
  notes: note,
  enquiries: enquiry,
  sketches: sketch,
  timeEntries: timeEntry,
  actualCosts: actualCost,
  baselines: baseline,
} as const satisfies { [L in ListName]: z.ZodType };

/** The lists that an edit can change: rows of the lists, and the settings and the exchange rates, each as one row. */
export const changedSchemas = {
  ...rowSchemas,
  settings: settings.extend({ id: z.literal(SETTINGS_ID) }),
  exchange: z.strictObject({ id: z.literal(SETTINGS_ID), rates: z.array(exchangeRate).max(MOST_ROWS_OF_LIST) }),
} as const;

const rowList = <S extends z.ZodType>(row: S) => z.array(row).max(MOST_ROWS_OF_LIST);

/** A whole plan file, version 1. Cross references are checked apart, by `checkPlan`. */
export const planSchema = z.strictObject({
  format: z.literal("mindful-roster-plan"),
  version: z.literal(1),
  settings,
  calendars: rowList(calendar),
  roles: rowList(named),
  skills: rowList(skill),
  people: rowList(person),
  teams: rowList(team),
  materials: rowList(material),
  exchangeRates: rowList(exchangeRate),
  rateTables: rowList(rateTable),
  clients: rowList(named),
  projects: rowList(project),
  tasks: rowList(task),
  links: rowList(link),
  assignments: rowList(assignment),
  expenses: rowList(expense),
  templates: rowList(template).default([]),
  comments: rowList(comment).default([]),
  views: rowList(view).default([]),
  acceptances: rowList(acceptance).default([]),
  requests: rowList(request).default([]),
  snoozes: rowList(snooze).default([]),
  notes: rowList(note).default([]),
  enquiries: rowList(enquiry).default([]),
  sketches: rowList(sketch).default([]),
  timeEntries: rowList(timeEntry).default([]),
  actualCosts: rowList(actualCost).default([]),
  baselines: rowList(baseline).default([]),
});

/** Lists that a file may leave out where nothing is in them. */
export const optionalLists = Object.entries(planSchema.shape).flatMap(([list, { type }]) => (type === "default" ? [list] : []));

export type Plan = z.infer<typeof planSchema>;
export type Settings = Plan["settings"];
export type Calendar = z.infer<typeof calendar>;
export type Role = z.infer<typeof named>;
export type Skill = z.infer<typeof skill>;
export type Person = z.infer<typeof person>;
export type TimeOff = z.infer<typeof timeOffSchema>;
export type Team = z.infer<typeof team>;
export type RateTable = z.infer<typeof rateTable>;
export type RateEntry = z.infer<typeof rateEntry>;
export type Project = z.infer<typeof project>;
export type Task = z.infer<typeof task>;
export type Link = z.infer<typeof link>;
export type Assignment = z.infer<typeof assignment>;
export type Expense = z.infer<typeof expense>;
export type TimeEntry = z.infer<typeof timeEntry>;
export type ActualCost = z.infer<typeof actualCost>;
export type Baseline = z.infer<typeof baseline>;
export type Template = z.infer<typeof template>;
export type Comment = z.infer<typeof comment>;
export type Acceptance = z.infer<typeof acceptance>;
export type Snooze = z.infer<typeof snooze>;
export type Note = z.infer<typeof note>;
export type Sketch = z.infer<typeof sketch>;
export type Enquiry = z.infer<typeof enquiry>;
export type WorkRequest = z.infer<typeof request>;

/** A list of the plan, its settings, or its exchange rates. */
export type ChangedList = keyof typeof changedSchemas;
type Rows = { [L in ChangedList]: z.infer<(typeof changedSchemas)[L]> };
export type Row<L extends ChangedList = ListName> = Rows[L];

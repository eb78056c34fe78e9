// A query for every question that screens ask, about rows of a plan.

import type { QueryOf, Question } from "../client/questions.ts";
import { actualBys } from "../core/answers/actuals.ts";
import { effortBys } from "../core/answers/efforts.ts";
import { parseDay } from "../core/calendar/day.ts";
import type { Plan } from "../core/plan/schema.ts";

const range = { start: parseDay("2027-01-25"), stop: parseDay("2027-03-22") };
const weeks = { range, grain: "week" as const };

const ofRole = { by: "role" as const, level: 1 };

/** An id that no row has. */
const NOTHING = "nothing";

/** A query for each question, about rows by their ids; typed so that a new question has to be listed. */
export function queriesFor(ids: Ids): { [Q in Question]: QueryOf<Q>[] } {
  const { personId, assignmentId, openingId, taskId, effortId, projectId, calendarId } = ids;
  const edit = { kind: "reassign" as const, id: assignmentId, personId };
  const copy = { id: "copy", name: "Copy", stage: "approved" as const, start: "2027-05-03", calendarId };
  return {
    board: [
      { ...weeks, open: [personId] },
      { ...weeks, open: [], limit: 3, countsTasks: true },
    ],
    plannedBoard: [{ range, grain: "week", open: [] }],
    cell: [{ personId, range: { start: range.start, stop: range.start + 7 }, counting: { pencilled: true, pipeline: "weighted" } }],
    byRule: [
      { assignmentId, range },
      { assignmentId: "nothing", range },
    ],
    loads: [{ ...weeks, ids: [personId, "nobody"] }],
    recipients: [{ assignmentId }, { assignmentId: "nothing" }],
    ribbon: [{ clock: parseDay("2027-02-01") }],
    today: [{ clock: parseDay("2027-02-01") }],
    evened: [{ lines: [{ edits: [edit] }], window: range }],
    locks: [{}],
    tray: [{}],
    trayItems: [{ kind: "opening", most: 3 }],
    portfolio: [{}],
    outline: [{ projectId }, { projectId: "nothing" }],
    timeLeft: [
      { projectId, from: range.start, until: range.stop },
      { projectId: null, from: range.start, until: range.stop },
    ],
    week: [
      { personId, day: parseDay("2027-02-01"), added: [{ taskId }, { activity: "Meeting" }] },
      { personId: "nobody", day: 0, added: [] },
    ],
    approvals: [{ state: "submitted" }, { state: "approved" }],
    closing: [{}],
    workWeeks: [{ assignmentId }, { assignmentId: "nothing" }],
    drop: [{ taskId, day: range.start }],
    // A copy is asked for of a project that there is.
    projectFrom: projectId === NOTHING ? [] : [{ project: copy, source: { projectId }, keepsPeople: true, idStem: "copy" }],
    staff: [{ taskId: effortId, joins: { id: "joins", taskId: effortId, personId } }],
    beginOnDay: [],
    openings: [{ pipeline: true }, { pipeline: false }],
    candidates: [{ openingId }, { openingId: "nothing" }],
    fill: [{ openingId, shares: [{ personId }], isPencilled: false, idStem: "fill" }],
    freeTeam: [
      { needs: [{ roleId: null, skills: [], minutes: 600 }], from: range.start, until: range.stop - 1 },
      { needs: [], from: range.start, until: range.start },
    ],
    freeWhen: [{ roleId: null, skills: [], minutes: 600, from: range.start, until: range.start + 13 }],
    stretchTask: [{ taskId, startDays: -3, stopDays: 4 }],
    shiftBar: [
      { assignmentId, startDays: 2, stopDays: 2 },
      { assignmentId, startDays: 0, stopDays: 90 },
    ],
    typePeriod: [
      { assignmentId, period: { start: range.start + 14, stop: range.start + 21 }, hours: 7.5, clock: range.start, newId: "rest" },
    ],
    restatement: [{ assignmentId, way: "percent" }],
    untype: [{ assignmentId }],
    requests: [{}],
    outbox: [{}],
    taskOf: [{ taskId }, { taskId: "nothing" }],
    taskPrices: [{ taskId }, { taskId: "nothing" }],
    why: [{ taskId }, { taskId: "nothing" }],
    roster: [weeks],
    personYear: [{ personId, range: { start: parseDay("2027-01-01"), stop: parseDay("2028-01-01") } }],
    leave: [{ range }],
    teams: [weeks],
    skills: [weeks],
    calendar: [
      { calendarId, range, draft: { week: [8, 8, 8, 8, 0, 0, 0] } },
      { calendarId: "nothing", range },
    ],
    importPreview: [{ table: "people", source: "p.csv", rows: [["name"], ["New One"]], options: { dateOrder: "dayFirst", idStem: "i" } }],
    impact: [{ edit }],
    money: [
      { ...weeks, kind: "all", by: "project", measure: "cost", within: [], pipeline: "full" },
      { ...weeks, kind: "labour", by: "role", measure: "margin", within: [{ by: "project", key: projectId }], pipeline: "weighted" },
    ],
    expenses: [{ pipeline: "full" }, { pipeline: "none" }],
    promised: [{ projectId }, { projectId: "nothing" }],
    recordedCell: [
      { personId, range },
      { personId: "nobody", range },
    ],
    actuals: actualBys.map((by) => ({ by, projectId: null, baselineId: null })),
    actualLines: [{ by: "kind", projectId: projectId, baselineId: null, key: "labour" }],
    efforts: effortBys.map((by) => ({ by, projectId: null })),
    bookings: [{}],
    materialNeeds: [{ ...weeks, pipeline: "full" }],
    rateGaps: [{}],
    exchangeRates: [{}],
    rateUses: [{ tableId: "studio-cost" }, { tableId: "none" }],
    earliest: [
      { of: { projectId }, from: 0, tolerance: 60 },
      { of: { enquiry: { enquiryId: "enquiry-mill", today: "2027-02-01" } }, from: range.start, tolerance: 0 },
    ],
    horizon: [
      { ...weeks, ...ofRole, cases: [] },
      { ...weeks, ...ofRole, cases: [{ projectId, outcome: "won", days: 14 }] },
      { ...weeks, by: "skill", level: 3, cases: [], pipeline: "none" },
      { ...weeks, by: "team", level: 1, cases: [] },
      { ...weeks, by: "place", level: 1, cases: [] },
    ],
    horizonHelps: [
      { ...weeks, ...ofRole, cases: [], key: "fabricator" },
      { range: { start: range.start, stop: parseDay("2027-12-01") }, grain: "month", ...ofRole, cases: [], key: "lighting" },
      { range: { start: range.start, stop: parseDay("2027-12-01") }, grain: "month", by: "skill", level: 2, cases: [], key: "neon" },
    ],
    horizonHelp: [
      {
        ...weeks,
        ...ofRole,
        cases: [],
        pipeline: "full",
        key: "lighting",
        help: { kind: "hire", people: 2, from: range.start, to: null, rate: 41.5, learningWeeks: 2 },
      },
    ],
    horizonWork: [{ ...ofRole, key: "fabricator", range, cases: [] }],
    earned: [
      { baselineId: null, by: "project" },
      { baselineId: "none", by: "phase" },
      { baselineId: null, by: "task" },
    ],
    baselineChange: [{ baselineId: "none", laterId: "none", by: "project" }],
    earnedTasks: [{ baselineId: "none", projectId }],
    earnedCurve: [{ baselineId: "none", projectId }],
    margins: [{ pipeline: "full" }, { pipeline: "weighted" }],
    marginPeople: [{ projectId }, { projectId: "none" }],
    sketches: [{}],
    sketchEntries: [{ sketchId: "sketch-spring" }, { sketchId: "none" }],
    sketchMarks: [{ sketchId: "sketch-spring" }],
    compareSketches: [{ ids: ["sketch-spring"], today: range.start }],
    adoption: [
      { sketchId: "sketch-spring", entryIds: ["sketch-spring-2"] },
      { sketchId: "none", entryIds: ["none"] },
    ],
    sketchCopy: [{ sketchId: "sketch-spring", id: "copy", by: "Me", at: "2027-02-01T09:00:00Z" }],
    helpEdit: [
      {
        ...ofRole,
        key: "fabricator",
        help: { kind: "hire", people: 2, from: range.start, to: null, rate: 41.5, learningWeeks: 2 },
        idStem: "hired",
        words: "hire two",
      },
      { ...ofRole, key: "fabricator", help: { kind: "later", projectId, days: 14 }, idStem: "later", words: "later" },
    ],
    enquiries: [{}],
    enquiryEffect: [
      { enquiryId: "enquiry-mill", today: "2027-02-01" },
      { enquiryId: "enquiry-mill", start: "2027-06-07", today: "2027-02-01" },
      { enquiryId: "none", today: "2027-02-01" },
    ],
    sooner: [
      { of: { projectId: "lamps" }, from: parseDay("2027-02-01"), tolerance: 0 },
      { of: { enquiry: { enquiryId: "enquiry-mill", today: "2027-02-01" } }, from: parseDay("2027-02-01"), tolerance: 0 },
      { of: { projectId: NOTHING }, from: range.start, tolerance: 0 },
    ],
    startWith: [
      {
        of: { projectId: "lamps" },
        way: {
          target: { ...ofRole, key: "lighting" },
          help: { kind: "hire", people: 1, from: parseDay("2027-02-01"), to: null, rate: null, learningWeeks: 4 },
        },
        from: parseDay("2027-02-01"),
        tolerance: 0,
      },
    ],
    acceptEnquiry: [
      { enquiryId: "enquiry-mill", probability: 60, today: "2027-02-01", idStem: "made", by: "Me", at: "2027-02-01T09:00:00Z" },
    ],
    approveEnquiry: [{ enquiryId: "enquiry-mill", by: "Me", at: "2027-02-01T09:00:00Z" }],
    budgets: [{ projectId }, { projectId: "none" }],
    moneyLines: [{ ...weeks, kind: "all", by: "project", measure: "cost", within: [], pipeline: "weighted", key: projectId, period: 0 }],
    moneyWhy: [
      { subject: { kind: "labour", projectId, assignmentId: "none" }, range, total: 0 },
      { subject: { kind: "labour", projectId, assignmentId }, range, total: 100_000 },
      { subject: { kind: "revenue", projectId, assignmentId }, range, total: 100_000 },
    ],
    views: [{ screen: "balance" }],
    hours: [
      { of: { projectId }, ...weeks },
      { of: { personId }, ...weeks },
      { of: { projectId: "nothing" }, ...weeks },
    ],
    handOver: [
      { personId, from: range.start },
      { personId: "nobody", from: range.start },
    ],
    handOverEdit: [{ personId, from: range.start, given: [{ assignmentId, personId: null }], idStem: "given" }],
    typeLinks: [
      { taskId, rows: [{ id: taskId, name: "Itself" }], text: "", idStem: "typed" },
      { taskId, rows: [], text: "9", idStem: "typed" },
    ],
    hoursOutside: [{ cells: [{ assignmentId, start: 0, stop: 60_000 }] }],
    typeHours: [{ cells: [{ assignmentId, start: range.start, stop: range.start + 7, hours: 4 }], words: "type hours" }],
    nameList: [{ list: "roles" }, { list: "categories" }],
    settings: [{}],
    rateTables: [{}],
    search: [{ text: "a" }, { text: "" }],
    names: [{}],
    frame: [{}],
  };
}

interface Ids {
  personId: string;
  assignmentId: string;
  openingId: string;
  taskId: string;
  effortId: string;
  projectId: string;
  calendarId: string;
}

/** Ids of rows that there are; ones that there are not, where a list is empty. */
export function idsOf({ people, assignments, projects, tasks, calendars }: Plan): Ids {
  const opening = assignments.find(({ personId, teamId, materialId }) => !personId && !teamId && !materialId);
  return {
    personId: people[0]?.id ?? NOTHING,
    assignmentId: assignments.find(({ personId }) => personId)?.id ?? NOTHING,
    openingId: opening?.id ?? NOTHING,
    taskId: tasks.find(({ sizing }) => sizing === "duration")?.id ?? NOTHING,
    effortId: tasks.find(({ sizing }) => sizing === "effort")?.id ?? NOTHING,
    projectId: projects[0]?.id ?? NOTHING,
    calendarId: calendars[0]?.id ?? NOTHING,
  };
}

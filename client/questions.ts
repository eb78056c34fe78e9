// The questions screens ask of a plan. Server and worker answer them with the same functions.

import { type ActualsQuery, actualLinesOf, actualsOf } from "../core/answers/actuals.ts";
import { type ApprovalState, approvalsOf } from "../core/answers/approvals.ts";
import { type BaselineChangeQuery, baselineChange } from "../core/answers/baselineChange.ts";
import { type BoardQuery, boardOf } from "../core/answers/board.ts";
import { bookingsOf } from "../core/answers/bookings.ts";
import { byRule } from "../core/answers/byRule.ts";
import { calendarYear } from "../core/answers/calendarYear.ts";
import { closingOf } from "../core/answers/closing.ts";
import { earliestAnswer, soonerAnswer, startWithAnswer } from "../core/answers/earliest.ts";
import { type EarnedQuery, earnedCurve, earnedOf, earnedTasks } from "../core/answers/earned.ts";
import { type EffortBy, effortsOf } from "../core/answers/efforts.ts";
import { enquiriesOf, enquiryEffect } from "../core/answers/enquiries.ts";
import { type EvenedQuery, evenedLines } from "../core/answers/evenedLines.ts";
import { expensesOf } from "../core/answers/expenses.ts";
import { explainCell } from "../core/answers/explain.ts";
import { frameOf } from "../core/answers/frame.ts";
import { type FreeQuery, freeWhen } from "../core/answers/freeWhen.ts";
import { type AsIf, type HorizonQuery, helpEdit, horizonAnswer, horizonHelp, horizonHelps, horizonWork } from "../core/answers/horizon.ts";
import { type HoursQuery, hoursGrid } from "../core/answers/hoursGrid.ts";
import { impactOf } from "../core/answers/impact.ts";
import { leaveOf } from "../core/answers/leave.ts";
import { marginPeople, marginsOf } from "../core/answers/margins.ts";
import { materialNeeds } from "../core/answers/materials.ts";
import { moneyOf } from "../core/answers/money.ts";
import { type MoneyLinesQuery, moneyLinesOf, moneyWhy } from "../core/answers/moneyLines.ts";
import { type NameList, nameListOf } from "../core/answers/nameList.ts";
import { candidatesOf, openingRows } from "../core/answers/openings.ts";
import { outlineOf } from "../core/answers/outline.ts";
import { type PeopleLoadsQuery, peopleLoads } from "../core/answers/peopleLoads.ts";
import { personYear } from "../core/answers/personYear.ts";
import { locksOf, savedViews, taskOf } from "../core/answers/planRows.ts";
import { portfolioOf } from "../core/answers/portfolio.ts";
import { promisedOf } from "../core/answers/promised.ts";
import { rateGaps } from "../core/answers/rateGaps.ts";
import { rateUses } from "../core/answers/rateUses.ts";
import { recipientsOf } from "../core/answers/recipients.ts";
import { recordedCell } from "../core/answers/recordedCell.ts";
import { outboxOf, requestsOf } from "../core/answers/requests.ts";
import { ribbonOf } from "../core/answers/ribbon.ts";
import { rosterOf } from "../core/answers/roster.ts";
import { compareSketches, sketchCopy, sketchEntries, sketchesOf, sketchMarks } from "../core/answers/sketches.ts";
import { skillMatrix } from "../core/answers/skillMatrix.ts";
import { type StaffQuery, staffOutcomes } from "../core/answers/staffOutcomes.ts";
import { taskPrices } from "../core/answers/taskPrices.ts";
import { teamBoard } from "../core/answers/teamBoard.ts";
import { timeLeftOf } from "../core/answers/timeLeft.ts";
import { todayAnswer } from "../core/answers/today.ts";
import { trayItems, trayOf } from "../core/answers/tray.ts";
import { type WeekQuery, weekOf } from "../core/answers/week.ts";
import { whyOf } from "../core/answers/why.ts";
import { workWeeks } from "../core/answers/workWeeks.ts";
import type { TrayItem, TrayKind } from "../core/attention/incompleteWork.ts";
import { dropOf } from "../core/bars/drop.ts";
import { type BarDrag, shiftBar } from "../core/bars/shiftBar.ts";
import { stretchTask, type TaskStretch } from "../core/bars/stretchTask.ts";
import { beginOnDay } from "../core/bars/trayDrop.ts";
import type { Day } from "../core/calendar/day.ts";
import type { Range, ReportRange } from "../core/calendar/periods.ts";
import { budgetsOf } from "../core/cost/budget.ts";
import type { MoneySubject } from "../core/cost/lineDetails.ts";
import type { MoneyQuery } from "../core/cost/moneyQuery.ts";
import type { Edit } from "../core/edits/edit.ts";
import type { Help, HelpTarget } from "../core/forecast/help.ts";
import { type Counting, defaultCounting } from "../core/load/counting.ts";
import type { Model } from "../core/model.ts";
import { namesOf } from "../core/plan/names.ts";
import type { Calendar } from "../core/plan/schema.ts";
import { searchPlan } from "../core/plan/search.ts";
import type { Way } from "../core/plan/workStated.ts";
import { type CopyOptions, projectFrom } from "../core/projects/copyProject.ts";
import { acceptEdit, approveEdit } from "../core/projects/enquiryProject.ts";
import { adoptEdit } from "../core/sketch/sketch.ts";
import { type FillQuery, fillEdit } from "../core/staffing/fillOpening.ts";
import { freeTeam, type TeamQuery } from "../core/staffing/freeTeam.ts";
import { type Given, handOverEdit, handOverOf } from "../core/staffing/handOver.ts";
import { type PreviewQuery, previewTable } from "../core/tables/preview.ts";
import { hoursOutside } from "../core/typing/hoursOutside.ts";
import { restatement } from "../core/typing/restate.ts";
import { type TypedCell, typeHours } from "../core/typing/typeHours.ts";
import { type OutlineRow, typeLinks } from "../core/typing/typeLinks.ts";
import { typePeriod, untype } from "../core/typing/typePeriod.ts";
import type { Redacted } from "./seen.ts";

/** How pipeline projects count. */
type CountedQuery = Pick<Counting, "pipeline">;

export const questions = {
  board: (model: Model, query: BoardQuery) => boardOf(model, query),
  /** The same of the plan itself, no matter which sketch is open, with what was asked for. */
  plannedBoard: (model: Model, query: BoardQuery) => ({ of: JSON.stringify(query), board: boardOf(model, query) }),
  cell: (model: Model, { personId, range, counting }: { personId: string; range: Range; counting: Counting }) =>
    explainCell(model, personId, range, counting),
  loads: (model: Model, query: PeopleLoadsQuery) => peopleLoads(model, query),
  recipients: (model: Model, { assignmentId }: { assignmentId: string }) => recipientsOf(model, assignmentId),
  ribbon: (model: Model, { clock }: { clock: number }) => ribbonOf(model, clock),
  today: (model: Model, { clock, isWhole }: { clock: Day; isWhole?: boolean }) => todayAnswer(model, clock, isWhole),
  tray: (model: Model, _query: Record<string, never>) => trayOf(model),
  trayItems: (model: Model, query: { kind: TrayKind; most: number }) => trayItems(model, query),
  portfolio: (model: Model, _query: Record<string, never>) => portfolioOf(model),
  outline: (model: Model, { projectId }: { projectId: string }) => outlineOf(model, projectId),
  timeLeft: (model: Model, { projectId, from, until }: { projectId: string | null; from: number; until: number }) =>
    timeLeftOf(model, projectId, from, until),
  workWeeks: (model: Model, { assignmentId }: { assignmentId: string }) => workWeeks(model, assignmentId),
  drop: (model: Model, { taskId, day }: { taskId: string; day: number }) => dropOf(model, taskId, day),
  projectFrom: (model: Model, options: CopyOptions) => projectFrom(model, options),
  staff: (model: Model, query: StaffQuery) => staffOutcomes(model, query),
  beginOnDay: ({ plan }: Model, { item, day }: { item: TrayItem; day: number }) => beginOnDay(plan, item, day),
  openings: (model: Model, { pipeline }: { pipeline: boolean }) =>
    openingRows(model, { ...defaultCounting, pipeline: pipeline ? "full" : "none" }),
  candidates: (model: Model, { openingId }: { openingId: string }) => candidatesOf(model, openingId),
  fill: (model: Model, query: FillQuery) => fillEdit(model, query),
  freeTeam: (model: Model, query: TeamQuery) => freeTeam(model, query),
  freeWhen: (model: Model, query: FreeQuery) => freeWhen(model, query),
  stretchTask: (model: Model, stretch: TaskStretch) => stretchTask(model, stretch),
  shiftBar: (model: Model, drag: BarDrag) => shiftBar(model, drag),
  typePeriod: (model: Model, query: { assignmentId: string; period: Range; hours: number; clock: Day; newId: string }) =>
    typePeriod(model, query.assignmentId, query.period, query.hours, query),
  restatement: (model: Model, { assignmentId, way }: { assignmentId: string; way: Way }) => restatement(model, assignmentId, way),
  untype: (model: Model, { assignmentId }: { assignmentId: string }) => untype(model, assignmentId),
  byRule: (model: Model, { assignmentId, range }: { assignmentId: string; range: Range }) => byRule(model, assignmentId, range),
  requests: (model: Model, _query: Record<string, never>) => requestsOf(model),
  outbox: (model: Model, _query: Record<string, never>) => outboxOf(model),
  taskOf,
  taskPrices: (model: Model, { taskId }: { taskId: string }) => taskPrices(model, taskId),
  why: (model: Model, { taskId }: { taskId: string }) => whyOf(model, taskId),
  roster: (model: Model, query: ReportRange) => rosterOf(model, query),
  earliest: earliestAnswer,
  horizon: (model: Model, query: HorizonQuery) => horizonAnswer(model, query),
  horizonHelps: (model: Model, query: HorizonQuery & { key: string }) => horizonHelps(model, query),
  horizonHelp: (model: Model, query: HorizonQuery & { key: string; help: Help }) => horizonHelp(model, query),
  horizonWork: (model: Model, query: HelpTarget & AsIf & { range: Range }) => horizonWork(model, query),
  hours: (model: Model, query: HoursQuery) => hoursGrid(model, query),
  typeLinks: ({ plan }: Model, query: { taskId: string; rows: readonly OutlineRow[]; text: string; idStem: string }) =>
    typeLinks(plan, { ...query, newId: (at) => `${query.idStem}-${at}` }),
  hoursOutside: (model: Model, { cells }: { cells: readonly Pick<TypedCell, "assignmentId" | "start" | "stop">[] }) =>
    hoursOutside(model, cells),
  typeHours: (model: Model, { cells, words }: { cells: readonly TypedCell[]; words: string }) => typeHours(model, cells, words),
  personYear: (model: Model, { personId, range }: { personId: string; range: Range }) => personYear(model, personId, range),
  leave: (model: Model, { range }: { range: Range }) => leaveOf(model, range),
  teams: (model: Model, query: ReportRange) => teamBoard(model, query),
  skills: (model: Model, query: ReportRange) => skillMatrix(model, query),
  calendar: (model: Model, { calendarId, range, draft }: { calendarId: string; range: Range; draft?: Partial<Calendar> }) =>
    calendarYear(model, calendarId, range, draft),
  importPreview: ({ plan }: Model, query: PreviewQuery) => previewTable(plan, query),
  handOver: (model: Model, { personId, from }: { personId: string; from: Day }) => handOverOf(model, personId, from),
  handOverEdit: (model: Model, query: { personId: string; from: Day; given: readonly Given[]; idStem: string }) =>
    handOverEdit(model, query.personId, query.from, query.given, query.idStem),
  evened: (model: Model, query: EvenedQuery) => evenedLines(model, query),
  locks: (model: Model, _query: Record<string, never>) => locksOf(model),
  impact: (model: Model, { edit }: { edit: Edit }) => impactOf(model, edit),
  money: (model: Model, query: MoneyQuery) => moneyOf(model, query),
  expenses: (model: Model, query: CountedQuery) => expensesOf(model, query),
  promised: (model: Model, query: { projectId: string }) => promisedOf(model, query),
  recordedCell: (model: Model, query: { personId: string; range: Range }) => recordedCell(model, query),
  actuals: (model: Model, query: ActualsQuery) => actualsOf(model, query),
  actualLines: (model: Model, query: ActualsQuery & { key: string }) => actualLinesOf(model, query),
  efforts: (model: Model, query: { by: EffortBy; projectId: string | null }) => effortsOf(model, query),
  bookings: (model: Model, _query: Record<string, never>) => bookingsOf(model),
  materialNeeds: (model: Model, query: ReportRange & CountedQuery) => materialNeeds(model, query),
  exchangeRates: ({ plan }: Model, _query: Record<string, never>) => plan.exchangeRates,
  rateUses: (model: Model, query: { tableId: string }) => rateUses(model, query),
  rateGaps: (model: Model, _query: Record<string, never>) => rateGaps(model),
  earned: (model: Model, query: EarnedQuery) => earnedOf(model, query),
  baselineChange: (model: Model, query: BaselineChangeQuery) => baselineChange(model, query),
  earnedTasks: (model: Model, query: { baselineId: string; projectId: string }) => earnedTasks(model, query),
  earnedCurve: (model: Model, query: { baselineId: string; projectId: string }) => earnedCurve(model, query),
  margins: (model: Model, query: CountedQuery) => marginsOf(model, query),
  sketches: (model: Model, _query: Record<string, never>) => sketchesOf(model),
  sketchEntries: (model: Model, { sketchId }: { sketchId: string }) => sketchEntries(model, sketchId),
  sketchMarks: (model: Model, { sketchId }: { sketchId: string }) => sketchMarks(model, sketchId),
  compareSketches: (model: Model, query: { ids: readonly string[]; today: number }) => compareSketches(model, query),
  // Two answers in one: an answer does not ask for another.
  adoption: (model: Model, { sketchId, entryIds }: { sketchId: string; entryIds: readonly string[] }) => {
    const adopted = adoptEdit(model.plan, sketchId, new Set(entryIds));
    return adopted && { ...adopted, impact: impactOf(model, adopted.edit) };
  },
  sketchCopy,
  helpEdit,
  enquiries: (model: Model, _query: Record<string, never>) => enquiriesOf(model),
  enquiryEffect,
  sooner: soonerAnswer,
  startWith: startWithAnswer,
  acceptEnquiry: acceptEdit,
  approveEnquiry: approveEdit,
  budgets: (model: Model, { projectId }: { projectId: string }) => budgetsOf(model, projectId),
  marginPeople: (model: Model, { projectId }: { projectId: string }) => marginPeople(model, projectId),
  moneyLines: (model: Model, query: MoneyLinesQuery) => moneyLinesOf(model, query),
  moneyWhy: (model: Model, query: { subject: MoneySubject; range: Range; total: number }) => moneyWhy(model, query),
  week: (model: Model, query: WeekQuery) => weekOf(model, query),
  approvals: (model: Model, { state }: { state: ApprovalState }) => approvalsOf(model, state),
  closing: (model: Model, _query: Record<string, never>) => closingOf(model),
  views: savedViews,
  nameList: ({ plan }: Model, { list }: { list: NameList }) => nameListOf(plan, list),
  settings: ({ plan }: Model, _query: Record<string, never>) => plan.settings,
  rateTables: ({ plan }: Model, _query: Record<string, never>) => plan.rateTables,
  search: ({ plan }: Model, { text }: { text: string }) => searchPlan(plan, text, 8),
  names: ({ plan }: Model, _query: Record<string, never>) => namesOf(plan),
  frame: (model: Model, _query: Record<string, never>) => frameOf(model),
};

export type Question = keyof typeof questions;

/** Questions about the plan itself, no matter which sketch is open: those about sketches, and the board that a sketch is compared with. */
export const ofPlanItself: ReadonlySet<Question> = new Set<Question>([
  "plannedBoard",
  "sketches",
  "sketchEntries",
  "sketchMarks",
  "compareSketches",
  "adoption",
  "sketchCopy",
]);

export type QueryOf<Q extends Question> = Parameters<(typeof questions)[Q]>[1];

/** The answer of the core, before redaction. */
export type WholeAnswerOf<Q extends Question> = ReturnType<(typeof questions)[Q]>;

/** The answer as screens receive it: its figures of money may be hidden. */
export type AnswerOf<Q extends Question> = Redacted<WholeAnswerOf<Q>>;

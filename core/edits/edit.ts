// The one language of edits: every kind there is, and how one is applied.
import * as z from "zod";
import { checkRows } from "../plan/check.ts";
import { type Fault, faultText, placeOf } from "../plan/faults.ts";
import { listWords } from "../plan/listWords.ts";
import { schemaFaults } from "../plan/parse.ts";
import { findRow, rowById, rowsOf } from "../plan/rows.ts";
import { changedSchemas, type Plan } from "../plan/schema.ts";
import { linkCycle } from "../plan/taskGraph.ts";
import { acceptOverload } from "./acceptOverload.ts";
import { addAssignment } from "./addAssignment.ts";
import { addBaseline } from "./addBaseline.ts";
import { addBooking } from "./addBooking.ts";
import { addCalendar } from "./addCalendar.ts";
import { addComment } from "./addComment.ts";
import { addEnquiry } from "./addEnquiry.ts";
import { addExpense } from "./addExpense.ts";
import { addLink } from "./addLink.ts";
import { addNamed } from "./addNamed.ts";
import { addPerson } from "./addPerson.ts";
import { addProject } from "./addProject.ts";
import { addSketch } from "./addSketch.ts";
import { addTask } from "./addTask.ts";
import { addTasks } from "./addTasks.ts";
import { addTeam } from "./addTeam.ts";
import { addTemplate } from "./addTemplate.ts";
import { answerRequest } from "./answerRequest.ts";
import { answerTimeOff } from "./answerTimeOff.ts";
import { askWork } from "./askWork.ts";
import { applyChanges, type Change } from "./change.ts";
import { changeAssignment } from "./changeAssignment.ts";
import { changeBooking } from "./changeBooking.ts";
import { changeCalendar } from "./changeCalendar.ts";
import { changeEnquiry } from "./changeEnquiry.ts";
import { changeExchange } from "./changeExchange.ts";
import { changeExpense } from "./changeExpense.ts";
import { changeLink } from "./changeLink.ts";
import { changeNamed } from "./changeNamed.ts";
import { changePeople } from "./changePeople.ts";
import { changePerson } from "./changePerson.ts";
import { changeProject } from "./changeProject.ts";
import { changeRates } from "./changeRates.ts";
import { changeSettings } from "./changeSettings.ts";
import { changeTask } from "./changeTask.ts";
import { changeTasks } from "./changeTasks.ts";
import { changeTeam } from "./changeTeam.ts";
import { decideHours } from "./decideHours.ts";
import { deleteAcceptance } from "./deleteAcceptance.ts";
import { deleteAssignment } from "./deleteAssignment.ts";
import { deleteBaseline } from "./deleteBaseline.ts";
import { deleteBooking } from "./deleteBooking.ts";
import { deleteCalendar } from "./deleteCalendar.ts";
import { deleteComment } from "./deleteComment.ts";
import { deleteEnquiry } from "./deleteEnquiry.ts";
import { deleteExpense } from "./deleteExpense.ts";
import { deleteLink } from "./deleteLink.ts";
import { deleteNamed } from "./deleteNamed.ts";
import { deletePerson } from "./deletePerson.ts";
import { deleteProject } from "./deleteProject.ts";
import { deleteSketch } from "./deleteSketch.ts";
import { deleteTask } from "./deleteTask.ts";
import { deleteTasks } from "./deleteTasks.ts";
import { deleteTeam } from "./deleteTeam.ts";
import { deleteTemplate } from "./deleteTemplate.ts";
import { deleteTimeOff } from "./deleteTimeOff.ts";
import { deleteView } from "./deleteView.ts";
import { drawInSketch } from "./drawInSketch.ts";
import { eraseFromSketch } from "./eraseFromSketch.ts";
import { importRows } from "./importRows.ts";
import type { EditKind, Made } from "./kind.ts";
import { mergeNamed } from "./mergeNamed.ts";
import { moveTask } from "./moveTask.ts";
import { reassign } from "./reassign.ts";
import { recordHours } from "./recordHours.ts";
import { renameMark } from "./renameMark.ts";
import { renameSketch } from "./renameSketch.ts";
import { reviewTask } from "./reviewTask.ts";
import { saveView } from "./saveView.ts";
import { sendNote } from "./sendNote.ts";
import { setStaff } from "./setStaff.ts";
import { setTimeOff } from "./setTimeOff.ts";
import { snoozeSignal } from "./snoozeSignal.ts";
import { splitAssignment } from "./splitAssignment.ts";
import { staffTasks } from "./staffTasks.ts";
import { stepEnquiry } from "./stepEnquiry.ts";
import { wakeSignal } from "./wakeSignal.ts";

const kinds = {
  changeProject,
  addProject,
  staffTasks,
  moveTask,
  deleteLink,
  changeTasks,
  changeLink,
  addTasks,
  addLink,
  addAssignment,
  addCalendar,
  addNamed,
  changeNamed,
  deleteNamed,
  mergeNamed,
  renameMark,
  addPerson,
  addTask,
  addTeam,
  answerTimeOff,
  changeAssignment,
  changeCalendar,
  changePeople,
  changePerson,
  changeRates,
  changeSettings,
  changeTask,
  changeTeam,
  deleteAssignment,
  deleteCalendar,
  deletePerson,
  deleteProject,
  deleteTask,
  deleteTasks,
  deleteTeam,
  deleteTimeOff,
  importRows,
  addComment,
  addTemplate,
  deleteComment,
  deleteTemplate,
  reviewTask,
  acceptOverload,
  answerRequest,
  askWork,
  deleteAcceptance,
  deleteView,
  saveView,
  reassign,
  setStaff,
  setTimeOff,
  splitAssignment,
  snoozeSignal,
  wakeSignal,
  sendNote,
  addExpense,
  changeExchange,
  changeExpense,
  deleteExpense,
  addBooking,
  changeBooking,
  deleteBooking,
  addEnquiry,
  changeEnquiry,
  deleteEnquiry,
  stepEnquiry,
  addSketch,
  renameSketch,
  deleteSketch,
  drawInSketch,
  eraseFromSketch,
  recordHours,
  decideHours,
  addBaseline,
  deleteBaseline,
} as const;

type Schema = (typeof kinds)[keyof typeof kinds]["schema"];

const [firstSchema, ...otherSchemas]: Schema[] = Object.values(kinds).map(({ schema }) => schema);
const singleSchema = z.discriminatedUnion("kind", [firstSchema, ...otherSchemas]);

/** Several edits that are one to the person who makes them, and one to undo. */
const together = z.strictObject({
  kind: z.literal("together"),
  /** Their description, as a short phrase that fits after "Undo: ". */
  words: z.string().min(1).max(300),
  edits: z.array(singleSchema).min(1).max(2_000),
});

/** An edit as it is sent and kept: a kind, and what that kind states. */
export const editSchema = z.discriminatedUnion("kind", [...singleSchema.options, together]);

/** One edit that is not several. */
export type SingleEdit = z.infer<typeof singleSchema>;

/** An edit of one kind. */
export type EditOf<K extends SingleEdit["kind"]> = Extract<SingleEdit, { kind: K }>;

export type EditTogether = z.infer<typeof together>;

export type Edit = z.infer<typeof editSchema>;

/** The outcome of an edit: the next plan with its changes, or why it cannot be made. */
export type Outcome = { plan: Plan; changes: Change[]; words: string; faults: readonly [] } | { plan: null; faults: Fault[] };

/** Applies an edit to a plan; the plan itself stays as it is. Every row it touches is checked. */
export function applyEdit(plan: Plan, edit: Edit): Outcome {
  const made = edit.kind === "together" ? changesTogether(plan, edit.edits) : kindOf(edit.kind).changes(plan, edit);
  if ("fault" in made) return { plan: null, faults: [{ place: edit.kind, message: made.fault }] };
  made.changes.push(...detached(plan, made.changes));
  const rowFaults = [...faultsOfIds(plan, made.changes), ...made.changes.flatMap(faultsOfRow)];
  if (rowFaults.length > 0) return { plan: null, faults: rowFaults };
  const next = applyChanges(plan, made.changes);
  const faults = faultsAfter(next, made.changes);
  return faults.length > 0
    ? { plan: null, faults }
    : { plan: next, changes: made.changes, words: edit.kind === "together" ? edit.words : kindOf(edit.kind).words(plan, edit), faults: [] };
}

/** The faults that changes have brought into a plan: of the rows they touched, and cycles they closed. */
export function faultsAfter(plan: Plan, changes: readonly Change[]): Fault[] {
  const faults = [...checkRows(plan, touchedRows(plan, changes), changes.some(nestsAnew)), ...closedFaults(plan, changes)];
  return faults.length === 0 && mayCloseCircle(changes) ? circleFaults(plan) : faults;
}

/** Hours of closed months change in no way: neither by an edit nor by undoing one. */
function closedFaults({ settings: { closedUntil } }: Plan, changes: readonly Change[]): Fault[] {
  if (closedUntil === undefined) return [];
  for (const { list, before, after } of changes) {
    if (list !== "timeEntries") continue;
    const date = [before?.date, after?.date].find((own) => own !== undefined && own <= closedUntil);
    if (date !== undefined) return [{ place: "timeEntries", message: faultText.monthClosed(date) }];
  }
  return [];
}

const ways: { [K in SingleEdit["kind"]]: EditKind<EditOf<K>> } = kinds;
const kindOf = <K extends SingleEdit["kind"]>(kind: K): EditKind<EditOf<K>> => ways[kind];

/** Each edit is made on what those before it have left; the rules between rows have to hold at the end alone. */
function changesTogether(plan: Plan, edits: readonly SingleEdit[]): Made {
  const changes: Change[] = [];
  let next = plan;
  for (const edit of edits) {
    const made = kindOf(edit.kind).changes(next, edit);
    if ("fault" in made) return made;
    changes.push(...made.changes);
    next = applyChanges(next, made.changes);
  }
  return { changes };
}

/** Requests whose work an edit removes from the plan no longer point to it. */
function detached(plan: Plan, changes: readonly Change[]): Change[] {
  const gone = new Set(changes.flatMap(({ list, id, after }) => (list === "assignments" && !after ? [id] : [])));
  const touched = new Set(changes.flatMap(({ list, id }) => (list === "requests" ? [id] : [])));
  if (gone.size === 0) return [];
  return plan.requests.flatMap((request): Change[] => {
    const { assignmentId, ...after } = request;
    if (assignmentId === undefined || !gone.has(assignmentId) || touched.has(request.id)) return [];
    return [{ list: "requests", id: request.id, before: request, after }];
  });
}

function nestsAnew({ list, before, after }: Change): boolean {
  return (list === "tasks" || list === "teams") && after?.parentId !== undefined && before?.parentId !== after.parentId;
}

/** Only ends of links, places in the outline, and tasks that begin to have dates can close a cycle. */
function mayCloseCircle(changes: readonly Change[]): boolean {
  return changes.some(({ list, before, after }) => {
    if (after === null) return false;
    if (list === "links") return before?.from !== after.from || before.to !== after.to;
    return list === "tasks" && (before?.parentId !== after.parentId || (before?.sizing === undefined && after.sizing !== undefined));
  });
}

function circleFaults(plan: Plan): Fault[] {
  const circle = linkCycle(plan);
  if (!circle) return [];
  return [{ place: "links", message: faultText.wouldCircle(circle.map((id) => findRow(plan.tasks, id)?.name ?? id)) }];
}

/** A row that is added is new in its list, and one that is changed is there: in the plan, and by what the edit has done so
 * far. */
function faultsOfIds(plan: Plan, changes: readonly Change[]): Fault[] {
  const known = new Map<string, boolean>();
  return changes.flatMap(({ list, id, before, after }): Fault[] => {
    const key = `${list} ${id}`;
    const isThere = known.get(key) ?? rowById(rowsOf(plan, list)).has(id);
    known.set(key, after !== null);
    if (isThere === (before !== null)) return [];
    return [{ place: placeOf([list, id]), message: isThere ? faultText.exists(listWords[list], id) : faultText.gone(listWords[list]) }];
  });
}

function faultsOfRow({ list, id, after }: Change): Fault[] {
  if (!after) return [];
  const result = changedSchemas[list].safeParse(after, { reportInput: true });
  const faults = result.success ? [] : schemaFaults(result.error.issues, after, [list, id]);
  if (after.id !== id) faults.push({ place: placeOf([list, id]), message: faultText.badText(after.id) });
  return faults;
}

/** The rows whose rules a change may break: its own, and the assignments of a task. */
function touchedRows(plan: Plan, changes: readonly Change[]): { list: Change["list"]; id: string }[] {
  const tasks = new Set<string>();
  for (const { list, id, after } of changes) {
    if (list !== "tasks") continue;
    tasks.add(id);
    const parent = after && "parentId" in after ? after.parentId : undefined;
    if (parent !== undefined) tasks.add(parent);
  }
  const related = tasks.size === 0 ? [] : plan.assignments.filter(({ taskId }) => tasks.has(taskId));
  return [
    ...changes.map(({ list, id }) => ({ list, id })),
    ...[...tasks].map((id) => ({ list: "tasks" as const, id })),
    ...related.map(({ id }) => ({ list: "assignments" as const, id })),
  ];
}

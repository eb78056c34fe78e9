// The faults of a plan as data, and their sentences in one place.

/** One thing wrong, where it is in the plan file and what to do about it. */
export interface Fault {
  /** Path in the plan file, such as `tasks[12].roleId`; empty for the file as a whole. */
  place: string;
  message: string;
}

/** Writes a path of keys and positions as it is written in code: `tasks[12].skills[0].level`. */
export function placeOf(path: readonly PropertyKey[]): string {
  let place = "";
  for (const part of path) {
    if (typeof part === "number") place += `[${part}]`;
    else place += place === "" ? String(part) : `.${String(part)}`;
  }
  return place;
}

/** One line: the place, a colon, the sentence. */
export function faultLine(fault: Fault): string {
  return fault.place === "" ? fault.message : `${fault.place}: ${fault.message}`;
}

export const faultText = {
  notJson: (detail: string) => `This file is not JSON (${detail}). Choose a plan file saved by Mindful Roster.`,
  notAPlan: () => 'This file is not a plan: it has no "format": "mindful-roster-plan". Choose a plan file saved by Mindful Roster.',
  wrongVersion: (found: unknown) => `This file has version ${JSON.stringify(found)}; version 1 can be read here.`,
  missing: () => "is missing; add it.",
  unknownKey: (key: string) => `there is no key "${key}" here; remove it or correct its name.`,
  notADate: (found: unknown) => `${show(found)} is not a date; write a real day as YYYY-MM-DD.`,
  notOneOf: (found: unknown, allowed: readonly unknown[]) =>
    `${show(found)} is not known here; write one of ${allowed.map(show).join(", ")}.`,
  wrongType: (found: unknown, expected: string) => `${show(found)} is not ${expected}.`,
  tooSmall: (found: unknown, least: unknown) => `${show(found)} is too small; the least is ${show(least)}.`,
  tooBig: (found: unknown, most: unknown) => `${show(found)} is too large; the most is ${show(most)}.`,
  tooShort: (least: unknown) => `is too short; it needs at least ${show(least)}.`,
  tooLong: (most: unknown) => `is too long; it may have ${show(most)} at most.`,
  notStorable: () => "holds a character that cannot be stored: half of a pair of surrogates, or number 0. Remove it.",
  notAnEdit: () => "is not a change that a sketch can record: it has a kind and at most 400,000 letters. Remove it from the sketch.",
  badText: (found: unknown) => `${show(found)} is not written as expected here.`,
  duplicateId: (id: string) => `the id "${id}" is used twice; ids are unique within a list.`,
  noSuch: (what: string, id: string, near: string | null) =>
    `there is no ${what} "${id}".${near === null ? "" : ` Did you mean "${near}"?`}`,
  endsBeforeStart: (from: string, to: string) => `${to} is before ${from}; the end must not be before the start.`,
  noWorkingWeekday: (name: string) => `the week of calendar "${name}" has no working day; give one day a minute or more.`,
  otherProduct: (product: number) => `the amount is not quantity × unit price, which is ${product}; correct one of the three.`,
  tooFar: (end: string, years: number) => `${end} is more than ${years} years after the plan begins; choose a nearer end.`,
  tooDeep: (levels: number) => `is more than ${levels} levels deep; move it to a higher level.`,
  needs: (what: string) => `needs ${what}.`,
  notHere: (what: string) => `${what} does not belong here; remove it.`,
  onlyOne: (names: readonly string[]) => `states ${names.join(" and ")}; keep one of them.`,
  parentCycle: (ids: readonly string[]) => `is its own ancestor (${ids.join(" → ")}); give it another parent.`,
  otherProject: (id: string) => `"${id}" belongs to another project; a task and its parent are in one project.`,
  notOneRequest: () => "A request and its work must have the same task and hours. Send the request again.",
  answered: () => "This request has been answered already, or its work is no longer on the plan.",
  nobodyNamed: () => "Choose a person.",
  noReason: () => "Enter the reason for declining.",
  notDone: (name: string) => `"${name}" is not marked as done, so it cannot be accepted or sent back.`,
  linkCycle: (ids: readonly string[]) => `links form a cycle through ${ids.map((id) => `"${id}"`).join(" → ")}; remove one of them.`,
  wouldCircle: (names: readonly string[]) =>
    `This would create a cycle: ${names.map((name) => `"${name}"`).join(" → ")}. A task cannot wait for itself.`,
  hasWork: (name: string) => `"${name}" has people assigned. Move its work to a subtask first; a summary task has no work of its own.`,
  notYet: (date: string, today: string) => `${date} is after the status date ${today}; enter a day up to it.`,
  tooLongDay: (date: string, hours: number) => `the entries of ${date} total ${hours} hours; a day has 24.`,
  ofOtherProject: (what: string) => `the ${what} belongs to another project; name one of the booking's own project.`,
  otherTaskOfExpense: () => "the expense belongs to another task; leave the task out or name that one.",
  notInOrder: () => "the days must be in order, each of them once.",
  hoursFixed: (date: string) => `The hours of ${date} are submitted or approved. Withdraw them first, then change them.`,
  monthClosed: (date: string) =>
    `The month of ${date} is closed, so its hours stay as they are. Record a correction today, or open the month under Approval.`,
  hoursDecided: () => "Some of these hours have changed their state meanwhile. The screen shows the current state.",
  noReturnReason: () => "Enter the reason for returning the hours.",
  hoursRecorded: (name: string) => `Hours are recorded on "${name}", so it cannot be deleted. Mark it as done or archive it.`,
  elapsedFraction: () => "an elapsed lag counts whole calendar days; write a whole number.",
  gone: (what: string) => `This ${what} is no longer in the plan. It may have been deleted; the screen shows the current plan.`,
  templateExists: (name: string) => `There is already a template called "${name}"; choose another name.`,
  nameTaken: (what: string, name: string) => `There is already a ${what} called "${name.trim()}"; choose another name, or merge the two.`,
  nameHeld: (name: string, count: number) =>
    `"${name}" is used in ${count === 1 ? "one place" : `${count} places`}. Merge it into another one, or remove it there first.`,
  archivedEmployed: () => "A person can be archived once the end of employment is entered. Enter it first.",
  archivedOpen: () => "A project can be archived once it is done or cancelled. Change its stage first.",
  enquiryAnswered: () => "This enquiry has already been answered. It can be reopened if it was declined.",
  overBudget: () => "The budgets by kind add up to more than the total budget. Raise the total, or lower one of them.",
  tablesDiffer: () => "Rate tables can be merged if both hold cost rates, or both billing rates, in one currency.",
  mergedWithItself: (what: string) => `Choose another ${what} to merge this one into.`,
  exists: (what: string, id: string) => `There is already a ${what} with the id "${id}".`,
  changedMeanwhile: (what: string) =>
    `Someone else has changed this ${what}. The screen now shows their version; make your change again if it still applies.`,
  replacedMeanwhile: () =>
    "Another plan was opened before this change was saved, so it was not saved. The screen shows the new plan; the old one is kept as a file.",
  madeAhead: () => "This change was made on a newer state than the server has. Reload the page to read the plan again.",
  personHeld: (name: string, holds: string) =>
    `${name} has ${holds} and cannot be deleted. Reassign this first, or enter the last day of employment.`,
  calendarHeld: (user: string) => `"${user}" uses this calendar. Choose another calendar for everyone who uses it first.`,
  teamHeld: (name: string, count: number) =>
    `"${name}" has ${count === 1 ? "an assignment" : `${count} assignments`}. Reassign the work first.`,
  notSplit: () => "A task sized by effort cannot be split at a date: its people work until it is done. Reassign part of its hours instead.",
  splitHours: (total: number) => `Enter how many of the ${total} hours move when this is split.`,
  changedSince: (verb: "undo" | "redo", words: string) =>
    `Someone else has changed the same fields since, so “${words}” was not ${verb === "undo" ? "undone" : "redone"}.`,
  stepGone: (verb: "undo" | "redo") =>
    verb === "undo" ? "This step is not yours, or has been undone already." : "This step is not yours, or has been redone already.",
  otherName: () => "You can write comments and answers only in your own name. Nothing was changed.",
  noRoom: (left: number, needed: number) =>
    `The disk that holds the plan has ${left} MB left and needs ${needed} MB to save this: ${needed - left} MB are missing. Nothing was changed; make room on it and try again.`,
  nothingTo: (verb: string) => `There is nothing to ${verb}.`,
} as const;

function show(value: unknown): string {
  if (value === undefined) return "nothing";
  const text = typeof value === "bigint" ? String(value) : (JSON.stringify(value) ?? String(value));
  return text.length > 60 ? `${text.slice(0, 57)}…` : text;
}

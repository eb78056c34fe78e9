// What can be wrong with a plan: faults as data, and their sentences in one place.

/** One thing wrong, where it stands in the plan file and what to do about it. */
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
  notAnEdit: () =>
    "is not a change as a sketch writes it down: it has a kind, and no more than 400,000 letters. Take it out of the sketch.",
  badText: (found: unknown) => `${show(found)} is not written as expected here.`,
  duplicateId: (id: string) => `the id "${id}" stands here twice; ids are unique within a list.`,
  noSuch: (what: string, id: string, near: string | null) =>
    `there is no ${what} "${id}".${near === null ? "" : ` Did you mean "${near}"?`}`,
  endsBeforeStart: (from: string, to: string) => `${to} is before ${from}; the end comes on or after the start.`,
  noWorkingWeekday: (name: string) => `the week of calendar "${name}" has no working day; give one day a minute or more.`,
  otherProduct: (product: number) => `the amount is not quantity × unit price, which is ${product}; correct one of the three.`,
  tooFar: (end: string, years: number) => `${end} is more than ${years} years after the plan begins; choose a nearer end.`,
  tooDeep: (levels: number) => `lies more than ${levels} levels deep; put it higher up.`,
  needs: (what: string) => `needs ${what}.`,
  notHere: (what: string) => `${what} does not belong here; remove it.`,
  onlyOne: (names: readonly string[]) => `states ${names.join(" and ")}; keep one of them.`,
  parentCycle: (ids: readonly string[]) => `is its own ancestor (${ids.join(" → ")}); give it another parent.`,
  otherProject: (id: string) => `"${id}" belongs to another project; a task and its parent are in one project.`,
  notOneRequest: () => "A request and the work it asks for have to be about the same task and hours. Ask again.",
  answered: () => "This request has been answered already, or its work is no longer on the plan.",
  nobodyNamed: () => "Say who it is.",
  noReason: () => "Say why it is turned down.",
  notDone: (name: string) => `"${name}" is not said to be done, so there is nothing to accept or send back.`,
  linkCycle: (ids: readonly string[]) => `links run in a circle through ${ids.map((id) => `"${id}"`).join(" → ")}; remove one of them.`,
  wouldCircle: (names: readonly string[]) =>
    `This would close a circle: ${names.map((name) => `"${name}"`).join(" → ")}. A task cannot wait for itself.`,
  hasWork: (name: string) => `"${name}" has people on it. Give its work to a task below it first; a summary has none of its own.`,
  elapsedFraction: () => "an elapsed lag counts whole calendar days; write a whole number.",
  gone: (what: string) =>
    `This ${what} is no longer in the plan. It may have been deleted meanwhile; the screen shows the plan as it is now.`,
  templateExists: (name: string) => `There is already a template called "${name}"; give this one another name.`,
  nameTaken: (what: string, name: string) => `There is already a ${what} called "${name.trim()}"; choose another name, or merge the two.`,
  nameHeld: (name: string, count: number) =>
    `"${name}" is used in ${count === 1 ? "one place" : `${count} places`}. Merge it into another one, or take it off there first.`,
  archivedEmployed: () => "Somebody can be archived once the end of their employment is stated. State it first.",
  archivedOpen: () => "A project can be archived once it is done or cancelled. Change its stage first.",
  enquiryAnswered: () => "This enquiry has been answered meanwhile. Look at what became of it; it can be taken up again once declined.",
  overBudget: () => "The budgets by kind come to more than the budget as a whole. Raise the whole, or lower one of them.",
  tablesDiffer: () => "Rate tables can be merged where both say what something costs, or both what is billed, in one currency.",
  mergedWithItself: (what: string) => `Choose another ${what} to merge this one into.`,
  exists: (what: string, id: string) => `There is already a ${what} with the id "${id}".`,
  changedMeanwhile: (what: string) =>
    `This ${what} was changed by somebody else meanwhile. The screen now shows their version; make your change again if it still applies.`,
  replacedMeanwhile: () =>
    "Another plan was opened after this change was made, so it was not made there. The screen shows that plan; the old one is kept as a file.",
  madeAhead: () => "This change was made on a newer state than the server has. Reload the page to read the plan again.",
  personHeld: (name: string, holds: string) =>
    `${name} has ${holds} and stays in the plan. Give that to somebody else first, or state the day they leave.`,
  calendarHeld: (user: string) => `"${user}" goes by this calendar. Give everybody who does another one first.`,
  teamHeld: (name: string, count: number) =>
    `"${name}" has ${count === 1 ? "an assignment" : `${count} assignments`}. Give that to somebody else first.`,
  notSplit: () => "A task sized by effort cannot be split at a date: its people work until it is done. Reassign part of its hours instead.",
  splitHours: (total: number) => `Say how many of the ${total} hours go along when this is split.`,
  changedSince: (verb: "undo" | "redo", words: string) =>
    `Somebody else has changed the same since, so “${words}” was not ${verb === "undo" ? "undone" : "redone"}.`,
  stepGone: (verb: "undo" | "redo") =>
    verb === "undo" ? "This step is not yours, or has been undone already." : "This step is not yours, or has been redone already.",
  otherName: () => "Comments and answers are written in one’s own name. Nothing was changed.",
  noRoom: (left: number, needed: number) =>
    `The disk that holds the plan has ${left} MB left and needs ${needed} MB to save this: ${needed - left} MB are missing. Nothing was changed; make room on it and try again.`,
  nothingTo: (verb: string) => `There is nothing to ${verb}.`,
} as const;

function show(value: unknown): string {
  if (value === undefined) return "nothing";
  const text = typeof value === "bigint" ? String(value) : (JSON.stringify(value) ?? String(value));
  return text.length > 60 ? `${text.slice(0, 57)}…` : text;
}

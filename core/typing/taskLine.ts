// Tasks written as lines: "Cases and plinths, 24 h, fabricator, 5 d, Mara, after Order materials + 2 d".
// Parts are between commas or tabs; a name with a comma in it is in quotes. A part that is not understood is reported, and
// kept as a note.

import type { Named } from "../plan/names.ts";
import type { Link } from "../plan/schema.ts";
import { isCalendarDate } from "../values/calendarDate.ts";
import { plainText } from "../values/plainText.ts";
import { readLinkText } from "./linkText.ts";

/** The meaning of a part of a line. */
export type PartMeaning =
  | "name"
  | "hours"
  | "percent"
  | "days"
  | "milestone"
  | "dates"
  | "deadline"
  | "person"
  | "role"
  | "team"
  | "follows"
  | "unknown";

export interface LinePart {
  text: string;
  meaning: PartMeaning;
}

/** The predecessor of a line: a task of the plan by its id, or another line of the same list by its position. */
export interface LineLink extends Pick<Link, "kind" | "lagDays" | "elapsed"> {
  from: { id: string } | { line: number };
}

/** A line as it was understood. */
export interface TaskLine {
  name: string;
  hours?: number;
  percent?: number;
  days?: number;
  start?: string;
  finish?: string;
  deadline?: string;
  personIds: string[];
  roleId?: string;
  teamId?: string;
  follows: LineLink[];
  parts: LinePart[];
}

/** The names that a line may use. */
export interface LineNames {
  people: readonly Named[];
  roles: readonly Named[];
  teams: readonly Named[];
  /** In the order of the outline: they can be called by their number in it. */
  tasks: readonly Named[];
  /** Turns a typed day into a date; null for what is none. */
  readDate: (text: string) => string | null;
}

/** The predecessors above a line: other lines of its list, and before those a task. */
interface Above {
  lines: readonly string[];
  at: number;
  taskId: string | null;
}

/** Reads one line. Hours are `24 h`, working days `5 d`, dates `8 Feb – 12 Feb 2027`, `after` names what it follows.
 * @param aboveId The task that the line goes after, for "after the one above". */
export function readTaskLine(line: string, names: LineNames, aboveId: string | null = null): TaskLine {
  return readLine(line, names, { lines: [], at: 0, taskId: aboveId });
}

/** Reads the lines of a list; they can follow each other by name, or by "above". */
export function readTaskLines(lines: readonly string[], names: LineNames, aboveId: string | null = null): TaskLine[] {
  const called = lines.map((line) => partsOf(line)[0] ?? "");
  return lines.map((line, at) => readLine(line, names, { lines: called, at, taskId: aboveId }));
}

function readLine(line: string, names: LineNames, above: Above): TaskLine {
  const read: TaskLine = { name: "", personIds: [], follows: [], parts: [] };
  partsOf(line).forEach((text, at) => {
    const meaning = at === 0 ? "name" : take(text, read, names, above);
    if (at === 0) read.name = text;
    read.parts.push({ text, meaning });
  });
  return read;
}

/** The parts of a line. A comma within a number, and one within quotes, does not end a part. */
function partsOf(line: string): string[] {
  const parts: string[] = [];
  let part = "";
  let isQuoted = false;
  for (let at = 0; at < line.length; at++) {
    const letter = line[at];
    if (letter === '"' && (isQuoted || part.trim() === "")) isQuoted = !isQuoted;
    else if (letter === "\t" || (letter === "," && !isQuoted && !isDecimal(part, line.slice(at + 1)))) {
      parts.push(part.trim());
      part = "";
    } else part += letter;
  }
  parts.push(part.trim());
  return parts.filter((own) => own !== "");
}

/** True between the digits of "16,5 h", where the part so far is a number, or a lag that ends in one. */
const isDecimal = (before: string, after: string): boolean =>
  /(?:^|[+−–-])\s*\d+$/.test(before.trim()) && /^\d+\s*(?:h|d|%|cd)/i.test(after);

const amountOf = (text: string) => Number(text.replace(",", "."));
const MOST_HOURS = 1_000_000;
const MOST_DAYS = 10_000;

function take(part: string, read: TaskLine, names: LineNames, above: Above): PartMeaning {
  const [, amount, unit] = /^(\d+(?:[.,]\d+)?)\s*(h|hours?|d|days?|%)$/i.exec(part) ?? [];
  if (amount !== undefined) return takeAmount(amountOf(amount), unit[0].toLowerCase(), read);
  if (/^milestone$/i.test(part)) {
    read.days = 0;
    return "milestone";
  }
  const deadline = /^(?:deadline|by|due)\s+(.+)$/i.exec(part);
  const date = deadline && names.readDate(deadline[1]);
  if (date) {
    read.deadline = date;
    return "deadline";
  }
  return takeLink(part, read, names, above) ?? takeDates(part, read, names) ?? takeName(part, read, names);
}

function takeAmount(amount: number, unit: string, read: TaskLine): PartMeaning {
  if (unit === "h" && amount <= MOST_HOURS) {
    read.hours = amount;
    return "hours";
  }
  if (unit === "d" && amount <= MOST_DAYS) {
    read.days = amount;
    return "days";
  }
  if (unit !== "%" || amount > 1000) return "unknown";
  read.percent = amount;
  return "percent";
}

function takeLink(part: string, read: TaskLine, names: LineNames, above: Above): PartMeaning | null {
  if (!/^(?:after|with|starts? with|finish(?:es)? with|until)\s/i.test(part)) return null;
  const said = readLinkText(part, (from) => placeCalled(from, names, above) !== null);
  const from = said && placeCalled(said.from, names, above);
  if (!said || !from) return "unknown";
  const { kind, lagDays, elapsed } = said;
  read.follows.push({ from, kind, ...(lagDays !== undefined && { lagDays }), ...(elapsed && { elapsed }) });
  return "follows";
}

/** The predecessor that a text names: the one above, another line, or a task by name or number. */
function placeCalled(text: string, { tasks }: LineNames, { lines, at, taskId }: Above): LineLink["from"] | null {
  if (/^(?:the )?(?:(?:line|one|task|row) )?above$/i.test(text)) return at > 0 ? { line: at - 1 } : taskId === null ? null : { id: taskId };
  const line = lines.findIndex((name, other) => other !== at && plainText(name) === plainText(text));
  if (line >= 0) return { line };
  const number = /^\d+$/.test(text) ? Number(text) : 0;
  const task = tasks[number - 1] ?? fitting(text, tasks);
  return task ? { id: task.id } : null;
}

function takeDates(part: string, read: TaskLine, { readDate }: LineNames): PartMeaning | null {
  const day = readDate(part);
  const dates = day === null ? datesBetween(part, readDate) : { start: day, finish: day };
  if (!dates) return null;
  Object.assign(read, dates);
  return "dates";
}

/** The two ends of "8 Feb – 12 Feb 2027", which names the year once, or "8-12 Feb", which names the month once. */
function datesBetween(part: string, readDate: LineNames["readDate"]): { start: string; finish: string } | null {
  for (const { index, 0: dash } of part.matchAll(/\s*(?:–|—|-|\bto\b)\s*/gi)) {
    const [from, to] = [part.slice(0, index), part.slice(index + dash.length)];
    const finish = readDate(to);
    if (finish === null) continue;
    const meant = [from, `${from}${to.replace(/^\d+\.?/, "")}`, `${from} ${finish.slice(0, 4)}`].map(readDate);
    const start = meant.find((date) => date !== null && isCalendarDate(date) && date <= finish);
    if (start) return { start, finish };
  }
  return null;
}

function takeName(part: string, read: TaskLine, { people, roles, teams }: LineNames): PartMeaning {
  const role = fitting(part, roles);
  if (role) {
    read.roleId = role.id;
    return "role";
  }
  const team = fitting(part, teams);
  if (team) {
    read.teamId = team.id;
    return "team";
  }
  const person = fitting(part, people);
  if (!person) return "unknown";
  if (!read.personIds.includes(person.id)) read.personIds.push(person.id);
  return "person";
}

/** The one of a list whose name is meant: written in full, or the only one that begins so, or that has a word so. */
export function fitting(text: string, list: readonly Named[]): Named | null {
  const said = plainText(text);
  if (said.length < 2) return null;
  const exact = list.filter(({ name }) => plainText(name) === said);
  if (exact.length > 0) return exact[0];
  const begins = list.filter(({ name }) => plainText(name).startsWith(said));
  if (begins.length === 1) return begins[0];
  const words = list.filter(({ name }) => name.split(/\s+/).some((word) => plainText(word) === said));
  return words.length === 1 ? words[0] : null;
}

/** A line of a list with how deep it is. */
export interface ListLine {
  text: string;
  depth: number;
}

/** Reads a pasted list: each line a task, below the line above it that is less indented. Bullets and numbers before a
 * line are left out; a line never is more than one level below the one before it. */
export function readIndentedList(text: string): ListLine[] {
  const open: number[] = [];
  return text.split(/\r?\n/).flatMap((line): ListLine[] => {
    if (line.trim() === "") return [];
    const lead = /^[\t ]*/.exec(line)?.[0] ?? "";
    const indent = [...lead].reduce((sum, letter) => sum + (letter === "\t" ? 4 : 1), 0);
    while (open.length > 0 && open[open.length - 1] >= indent) open.pop();
    open.push(indent);
    const words = line.trim().replace(/^(?:[-*•–]|\d+[.)])\s+/, "");
    return words === "" ? [] : [{ text: words, depth: open.length - 1 }];
  });
}

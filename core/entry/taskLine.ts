// Tasks written as lines: "Cases and plinths, 24 h, fabricator, 5 d, Mara, after Order materials".
// Parts stand between commas; a part that is not understood stays in the name.

import type { Named } from "../plan/names.ts";
import { isCalendarDate } from "../plan/schema.ts";
import { plainText } from "../tables/cells.ts";

/** What a part of a line was taken for. */
export type PartMeaning = "name" | "hours" | "days" | "milestone" | "dates" | "person" | "role" | "team" | "after";

export interface LinePart {
  text: string;
  meaning: PartMeaning;
}

/** A line as it was understood. */
export interface TaskLine {
  name: string;
  hours?: number;
  days?: number;
  start?: string;
  finish?: string;
  personIds: string[];
  roleId?: string;
  teamId?: string;
  /** Ids of tasks it follows, finish to start. */
  afterIds: string[];
  parts: LinePart[];
}

/** What names in a line may mean. */
export interface LineNames {
  people: readonly Named[];
  roles: readonly Named[];
  teams: readonly Named[];
  tasks: readonly Named[];
  /** Turns a typed day into a date; null for what is none. */
  readDate: (text: string) => string | null;
}

/** Reads one line. Hours are `24 h`, working days `5 d`, dates `8 Feb – 12 Feb 2027`, `after` names a task. */
export function readTaskLine(line: string, names: LineNames): TaskLine {
  const read: TaskLine = { name: "", personIds: [], afterIds: [], parts: [] };
  const nameParts: string[] = [];
  line.split(",").forEach((text, at) => {
    const part = text.trim();
    if (part === "") return;
    const meaning = at === 0 ? "name" : take(part, read, names);
    if (meaning === "name") nameParts.push(part);
    read.parts.push({ text: part, meaning });
  });
  read.name = nameParts.join(", ");
  return read;
}

function take(part: string, read: TaskLine, names: LineNames): PartMeaning {
  const hours = /^(\d+(?:[.]\d+)?) ?(?:h|hours?)$/i.exec(part);
  if (hours) {
    read.hours = Number(hours[1]);
    return "hours";
  }
  const days = /^(\d+(?:[.]\d+)?) ?(?:d|days?)$/i.exec(part);
  if (days) {
    read.days = Number(days[1]);
    return "days";
  }
  if (/^milestone$/i.test(part)) {
    read.days = 0;
    return "milestone";
  }
  const after = /^after (.+)$/i.exec(part);
  const before = after && fitting(after[1], names.tasks);
  if (before) {
    read.afterIds.push(before.id);
    return "after";
  }
  return takeDates(part, read, names) ?? takeName(part, read, names);
}

function takeDates(part: string, read: TaskLine, { readDate }: LineNames): PartMeaning | null {
  const [from, to = from] = part.split(/\s*(?:–|—| to )\s*/);
  const finish = readDate(to);
  // "8 Feb – 12 Feb 2027" names the year once.
  const start = readDate(from) ?? (finish === null ? null : readDate(`${from} ${finish.slice(0, 4)}`));
  if (start === null || finish === null || !isCalendarDate(start) || finish < start) return null;
  read.start = start;
  read.finish = finish;
  return "dates";
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
  if (!person) return "name";
  if (!read.personIds.includes(person.id)) read.personIds.push(person.id);
  return "person";
}

/** The one of a list whose name is meant: written in full, or the only one that begins so, or that has a word so. */
function fitting(text: string, list: readonly Named[]): Named | null {
  const said = plainText(text);
  if (said.length < 2) return null;
  const exact = list.filter(({ name }) => plainText(name) === said);
  if (exact.length > 0) return exact[0];
  const begins = list.filter(({ name }) => plainText(name).startsWith(said));
  if (begins.length === 1) return begins[0];
  const words = list.filter(({ name }) => name.split(/\s+/).some((word) => plainText(word) === said));
  return words.length === 1 ? words[0] : null;
}

/** A line of a list with how deep it stands. */
export interface ListLine {
  text: string;
  depth: number;
}

/** Reads a pasted list: each line a task, below the line above it that is less indented. Bullets and numbers before a
 * line are left out; a line never stands more than one level below the one before it. */
export function readIndentedList(text: string): ListLine[] {
  const open: number[] = [];
  return text.split(/\r?\n/).flatMap((line): ListLine[] => {
    if (line.trim() === "") return [];
    const lead = /^[\t ]*/.exec(line)?.[0] ?? "";
    const indent = [...lead].reduce((sum, letter) => sum + (letter === "\t" ? 4 : 1), 0);
    while (open.length > 0 && (open.at(-1) as number) >= indent) open.pop();
    open.push(indent);
    const words = line.trim().replace(/^(?:[-*•–]|\d+[.)])\s+/, "");
    return words === "" ? [] : [{ text: words, depth: open.length - 1 }];
  });
}

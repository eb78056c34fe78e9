// Further columns of lists of people: hours a week or a share of full time, skills, cost and billing rate.
import { findRow } from "../plan/rows.ts";
import type { Person, RateEntry, RateTable } from "../plan/schema.ts";
import { numberCell, type Read } from "./cells.ts";
import { namedOrMade } from "./namedRow.ts";
import type { RowReading } from "./rowReading.ts";
import type { Draft, ReadOptions, TableColumn } from "./table.ts";

export const extraColumns: readonly TableColumn[] = [
  {
    key: "hoursPerWeek",
    name: "Hours a week",
    isOnlyRead: true,
    aliases: ["hoursperweek", "weeklyhours", "hoursweek", "hweek", "contracthours", "wochenstunden", "horassemana", "heuressemaine"],
  },
  {
    key: "fullTime",
    name: "Share of full time, %",
    isOnlyRead: true,
    aliases: ["fte", "shareoffulltime", "fulltime", "parttime", "workload", "pensum", "beschaftigungsgrad", "stellenanteil"],
  },
  { key: "skills", name: "Skills", isOnlyRead: true, aliases: ["skill", "competences", "fahigkeiten", "kompetenzen", "competencias"] },
  {
    key: "costRate",
    name: "Cost rate",
    isOnlyRead: true,
    aliases: ["costperhour", "hourlycost", "cost", "kostensatz", "internalrate", "payrate"],
  },
  {
    key: "billRate",
    name: "Billing rate",
    isOnlyRead: true,
    aliases: ["billrate", "chargerate", "chargeoutrate", "hourlyrate", "rate", "stundensatz", "dayrate"],
  },
];

export interface Extras {
  person: Person;
  /** Their changes, in words. */
  says: string[];
  /** Rate tables with the person's rates in them. */
  tables: RateTable[];
}

/** Reads the extras of a row into a person; a reason for each that cannot be taken is kept by the reading.
 * @param before The person as known until now; undefined for a person new. */
export function withExtras(reading: RowReading, person: Person, before: Person | undefined, draft: Draft, options: ReadOptions): Extras {
  const weekly = withWeek(reading, person, before, draft);
  const skilled = withSkills(reading, weekly.person, draft, options);
  const rates = (["cost", "bill"] as const).map((kind) => rateOf(reading, kind, person, draft, options));
  return {
    person: skilled.person,
    says: [...weekly.says, ...skilled.says, ...rates.flatMap(({ says }) => says)],
    tables: rates.flatMap(({ table }) => (table ? [table] : [])),
  };
}

interface Changed {
  person: Person;
  says: string[];
}

const sumOf = (week: readonly number[]): number => week.reduce((sum, hours) => sum + hours, 0);

const todayOf = ({ plan: { settings } }: Draft): string => settings.today ?? settings.planStart;

function withWeek(reading: RowReading, person: Person, before: Person | undefined, draft: Draft): Changed {
  const week = draft.find("calendars", person.calendarId)?.week ?? [];
  const share = reading.cell("fullTime", shareCell);
  const hours = reading.cell("hoursPerWeek", numberCell) ?? (share === undefined ? undefined : share * sumOf(week));
  if (hours === undefined) return { person, says: [] };
  if (hours < 0 || hours > 168) {
    reading.reasons.push(`A week has 0 to 168 hours, not ${hours}.`);
    return { person, says: [] };
  }
  const patterns = person.patterns ?? [];
  const from = before ? todayOf(draft) : (person.employedFrom ?? draft.plan.settings.planStart);
  const held = patterns.findLast((own) => own.from <= from && (own.to === undefined || own.to >= from))?.week ?? week;
  if (Math.abs(sumOf(held) - hours) < 0.05) return { person, says: [] };
  const own = { from, week: scaledWeek(week, hours) };
  const others = patterns.filter((pattern) => pattern.from !== from);
  const at = others.findLastIndex((pattern) => pattern.from < from) + 1;
  return {
    person: { ...person, patterns: others.toSpliced(at, 0, own) },
    says: [`hours a week: ${Math.round(sumOf(own.week) * 10) / 10} from ${from}`],
  };
}

/** A share of full time: 0.5, 50 or 50 %. */
function shareCell(cell: string): Read<number> {
  const read = numberCell(cell.replace(/\s*%$/, ""));
  if ("reason" in read) return read;
  const share = cell.includes("%") || read.value > 2 ? read.value / 100 : read.value;
  return share >= 0 && share <= 2 ? { value: share } : { reason: `"${cell.trim()}" is not a share of full time; write 0.5 or 50 %.` };
}

/** A week of so many hours, spread as another is: in tenths of an hour, which add up to the hours. Monday to Friday where the
 * other has no hours. */
function scaledWeek(week: readonly number[], hours: number): number[] {
  const shape = sumOf(week) > 0 ? week : [8, 8, 8, 8, 8, 0, 0];
  const total = sumOf(shape);
  let [before, given] = [0, 0];
  return shape.map((day) => {
    before += day;
    const until = Math.round((before / total) * hours * 10);
    const own = until - given;
    given = until;
    return own / 10;
  });
}

const USUAL_LEVEL = 3;

/** Skills as "CNC routing 4; Welding", each at its level or at 3. */
function withSkills(reading: RowReading, person: Person, draft: Draft, options: ReadOptions): Changed {
  const says: string[] = [];
  const skills = [...(person.skills ?? [])];
  for (const part of (reading.text("skills") ?? "").split(/[;,|\n]/)) {
    const [, name, digit] = /^\s*(.*?)[\s:(]*([1-5])?\)?\s*$/.exec(part) ?? [];
    if (!name) continue;
    const skill = reading.take(namedOrMade(name, "skills", draft, options));
    if (!skill) continue;
    const at = skills.findIndex(({ skillId }) => skillId === skill.id);
    const level = digit === undefined ? (skills[at]?.level ?? USUAL_LEVEL) : Number(digit);
    if (skills[at]?.level === level) continue;
    says.push(at < 0 ? `${skill.name} ${level}` : `${skill.name} ${skills[at].level} → ${level}`);
    skills.splice(at < 0 ? skills.length : at, at < 0 ? 0 : 1, { skillId: skill.id, level });
  }
  return { person: says.length > 0 ? { ...person, skills } : person, says };
}

const rateWords = { cost: "cost rate", bill: "billing rate" } as const;

function rateOf(
  reading: RowReading,
  kind: RateTable["kind"],
  { id }: Person,
  draft: Draft,
  { makesNames, idStem }: ReadOptions,
): { table: RateTable | null; says: string[] } {
  const rate = reading.cell(`${kind}Rate`, amountCell);
  if (rate === undefined) return { table: null, says: [] };
  const known = draft.all("rateTables").find((own) => own.kind === kind);
  if (!known && !makesNames) {
    reading.reasons.push(
      `The plan has no table of ${rateWords[kind]}s yet. Let the import add what is missing, or add a rate table first.`,
    );
    return { table: null, says: [] };
  }
  const table = known ?? { id: `${idStem}-${kind}-rates`, name: kind === "cost" ? "Cost rates" : "Billing rates", kind, entries: [] };
  const own = table.entries.filter(({ personId }) => personId === id);
  const today = todayOf(draft);
  const held = own
    .filter(({ from = "" }) => from <= today)
    .toSorted((a, b) => (a.from ?? "").localeCompare(b.from ?? ""))
    .at(-1);
  if (held?.rate === rate) return { table: null, says: [] };
  const entry: RateEntry = held ? { personId: id, from: today, rate } : { personId: id, rate };
  const others = table.entries.filter((other) => other.personId !== id || (other.from ?? "") !== (entry.from ?? ""));
  const says = [held ? `${rateWords[kind]}: ${held.rate} → ${rate} from ${today}` : `${rateWords[kind]}: ${rate}`];
  return { table: { ...table, entries: [...others, entry] }, says };
}

/** An amount an hour: 45.50, € 45,50, 45 EUR/h. */
function amountCell(cell: string): Read<number> {
  const read = numberCell(cell.replace(/[€$£]|\b[A-Z]{3}\b/g, "").replace(/\s*(\/|per|an)\s*h(our)?\s*$/i, ""));
  if ("reason" in read) return { reason: `"${cell.trim()}" is not an amount an hour.` };
  return read.value >= 0 ? read : { reason: "A rate is 0 or more." };
}

/** Names of rate tables that rows have made necessary. */
export const madeTables = (draft: Draft): string[] =>
  draft.all("rateTables").flatMap(({ id, name }) => (findRow(draft.plan.rateTables, id) ? [] : [name]));

// The explanation of a line of money: the hours of days at a rate, as a sum that can be checked by hand.
import { type Day, parseDay } from "../calendar/day.ts";
import { lineFinder } from "../calendar/lines.ts";
import type { Range } from "../calendar/periods.ts";
import { TICKS_PER_DAY } from "../calendar/workingLine.ts";
import type { Placed } from "../placing/placed.ts";
import type { Money } from "../plan/moneySides.ts";
import { findRow } from "../plan/rows.ts";
import type { RateTable } from "../plan/schema.ts";
import { known } from "../values/lookUp.ts";
import { minorUnits, percentHundredths, quotientHalfUp } from "../values/units.ts";
import type { MoneyLine } from "./costs.ts";
import { expenseCost, taxOf } from "./expense.ts";
import { LABOUR_DENOMINATOR } from "./labour.ts";
import { forAccrualDays, UNITS_DENOMINATOR, unitsOf } from "./material.ts";
import { OvertimeBook } from "./overtime.ts";
import { costRole, type ExchangeStretch, type RateSource, rateBookOf, stretchOn } from "./rateBook.ts";

/** One step of the sum: days in a row that are priced alike. */
export interface MoneyPart {
  what: "hours" | "perUse" | "units" | "share" | "fee" | "noRate" | "noExchange" | "rounding";
  start: Day;
  /** Its last day. */
  last: Day;
  /** Minutes at the rate, and those of overtime. */
  minutes?: number;
  overtime?: number;
  /** Ten-thousandths of the table's currency an hour or unit. */
  rate?: Money;
  overtimeRate?: Money;
  /** Units with their waste, and without it, in ten-thousandths. */
  units?: number;
  plainUnits?: number;
  /** Hundredths of a percent. */
  waste?: number;
  of?: RateSource;
  since?: Day | null;
  /** Millionths of the plan's currency for one of the table's; left out where they are the same. */
  exchange?: number;
  /** The day from which the exchange rate applies. */
  exchangeSince?: Day;
  /** For an amount that is spread over time: the whole amount in minor units, and which part of the working days or minutes falls
   * into the period. */
  whole?: Money;
  part?: { own: number; all: number };
  /** Minor units; together they are the line's. */
  amount: Money;
}

export interface MoneyWhy {
  /** The rate table, where one is asked. */
  tableName: string | null;
  currency: string;
  /** The subject of the rates: the person, the role, the material. */
  names: Partial<Record<RateSource, string>>;
  /** The unit of a rate: an hour, or a unit of the material; null if no rate applies. */
  unit: string | null;
  parts: MoneyPart[];
  total: Money;
}

/** Explains a line over a range, whose amounts in it add up to `total`. */
export function explainMoney(model: Placed, line: Omit<MoneyLine, "amounts">, range: Range, total: number): MoneyWhy {
  const parts = new Parts(range);
  const table = tableOf(model, line);
  addParts(model, line, table, parts);
  return {
    tableName: table?.name ?? null,
    currency: table?.currency ?? model.plan.settings.currency,
    names: namesOf(model, line),
    unit: unitOf(model, line),
    parts: parts.listedWith(total),
    total,
  };
}

function tableOf({ plan }: Placed, { kind, project }: Pick<MoneyLine, "kind" | "project">): RateTable | undefined {
  const { costTableId, billTableId, billing } = plan.projects[project];
  if (kind === "labour" || kind === "material") return findRow(plan.rateTables, costTableId);
  return kind === "revenue" && billing?.kind === "timeAndMaterials" ? findRow(plan.rateTables, billTableId) : undefined;
}

function namesOf({ plan, work }: Placed, { kind, row }: Pick<MoneyLine, "kind" | "row">): MoneyWhy["names"] {
  if (row < 0 || kind === "fixed" || kind === "expense" || kind === "tax") return {};
  const role = findRow(plan.roles, costRole(plan, work.role[row], work.person[row]))?.name;
  const person = plan.people[work.person[row]]?.name;
  const material = findRow(plan.materials, plan.assignments[row]?.materialId)?.name;
  return { ...(role !== undefined && { role }), ...(person !== undefined && { person }), ...(material !== undefined && { material }) };
}

function unitOf({ plan, work }: Placed, { kind, row }: Pick<MoneyLine, "kind" | "row">): string | null {
  if (row < 0 || kind === "fixed" || kind === "expense" || kind === "tax") return null;
  return work.isMaterial[row] === 1 ? (findRow(plan.materials, plan.assignments[row]?.materialId)?.unit ?? null) : "h";
}

function addParts(model: Placed, line: Omit<MoneyLine, "amounts">, table: RateTable | undefined, parts: Parts): void {
  const { plan, work } = model;
  const { kind, row, project, booking } = line;
  if (booking !== undefined) {
    const { date, amount } = plan.actualCosts[booking];
    parts.addShare(parseDay(date), minorUnits(amount), 1, 1);
  } else if (kind === "fixed") {
    const { fixedCost = 0, fixedCostAccrual = "end" } = plan.tasks[row];
    const dates = model.schedule.of(row);
    if (dates)
      forAccrualDays(dates, fixedCostAccrual, (day, own, all) => parts.addShare(day, minorUnits(fixedCost), own, all, TICKS_PER_DAY));
  } else if (kind === "expense" || kind === "tax") addExpenseParts(model, row, kind, project, parts);
  else if (kind === "revenue" && plan.projects[project].billing?.kind === "fixedFee") addFeeParts(model, project, row, parts);
  else if (work.isMaterial[row] === 1) addMaterialParts(model, row, table, kind === "material", parts);
  else addLabourParts(model, row, table, kind === "labour", parts);
}

function addLabourParts(model: Placed, row: number, table: RateTable | undefined, isCost: boolean, parts: Parts): void {
  const { placements, plan, work } = model;
  const book = rateBookOf(plan);
  const stretches = table && book.labour(table, plan.people[work.person[row]]?.id, costRole(plan, work.role[row], work.person[row]));
  const exchange = table ? book.exchange(table) : [];
  const overtimes = isCost ? new OvertimeBook(model).of(row) : undefined;
  let isFirst = true;
  for (let i = 0; i < placements.length[row]; i++) {
    const minutes = placements.buffer.minutes[placements.offset[row] + i];
    if (minutes === 0) continue;
    const day = placements.start[row] + i;
    const entry = stretches && stretchOn(stretches, day).entry;
    if (!entry) parts.addNothing(day, "noRate", { minutes });
    else {
      const traded = stretchOn(exchange, day);
      const { factor } = traded;
      if (factor === null) parts.addNothing(day, "noExchange", { minutes });
      else {
        const overtime = overtimes?.get(day) ?? 0;
        const { rate, overtimeRate, of, since } = entry;
        const exact = (BigInt(minutes - overtime) * BigInt(rate) + BigInt(overtime) * BigInt(overtimeRate)) * factor;
        const fixed = { what: "hours", rate, overtimeRate, of, since, ...exchangeOf(traded) } as const;
        parts.add(day, fixed, { minutes: minutes - overtime, overtime }, exact, LABOUR_DENOMINATOR);
        if (isFirst && isCost && entry.perUse > 0) parts.addPerUse(day, entry.perUse, traded);
      }
    }
    isFirst = false;
  }
}

function addMaterialParts(model: Placed, row: number, table: RateTable | undefined, isCost: boolean, parts: Parts): void {
  const { plan, schedule, work } = model;
  const { materialId = "", accrual = "start" } = plan.assignments[row];
  const dates = schedule.of(work.task[row]);
  if (!dates) return;
  const book = rateBookOf(plan);
  const withWaste = unitsOf(plan.assignments[row], dates);
  const withoutWaste = unitsOf({ ...plan.assignments[row], wastePercent: 0 }, dates);
  const waste = percentHundredths(plan.assignments[row].wastePercent ?? 0);
  let isFirst = true;
  forAccrualDays(dates, accrual, (day, own, all) => {
    const partOf = (units: bigint) => Number(quotientHalfUp(units * BigInt(own) * 10_000n, UNITS_DENOMINATOR * BigInt(all)));
    const units = partOf(withWaste);
    const entry = table && stretchOn(book.material(table, materialId), day).entry;
    const traded = table && stretchOn(book.exchange(table), day);
    const factor = traded?.factor ?? null;
    if (!entry) parts.addNothing(day, "noRate", { units });
    else if (!traded || factor === null) parts.addNothing(day, "noExchange", { units });
    else {
      const { rate, of, since } = entry;
      const denominator = UNITS_DENOMINATOR * 100n * 1_000_000n * BigInt(all);
      const exact = withWaste * BigInt(rate) * factor * BigInt(own);
      const counted = { units, ...(waste > 0 && { plainUnits: partOf(withoutWaste) }) };
      const fixed = { what: "units", rate, of, since, ...(waste > 0 && { waste }), ...exchangeOf(traded) } as const;
      parts.add(day, fixed, counted, exact, denominator);
      if (isFirst && isCost && entry.perUse > 0) parts.addPerUse(day, entry.perUse, traded);
    }
    isFirst = false;
  });
}

function addExpenseParts(model: Placed, row: number, kind: "expense" | "tax", project: number, parts: Parts): void {
  const { plan, lines } = model;
  const expense = plan.expenses[row];
  const { rest, days, booked } = expenseCost(model, expense, lineFinder(plan, lines)(plan.projects[project].calendarId));
  const whole = kind === "tax" ? taxOf(expense, rest) : rest;
  if (kind === "expense") for (const { day, minor } of booked) parts.addShare(day, minor, 1, 1);
  if (whole !== 0) for (const day of days) parts.addShare(day, whole, 1, days.length);
}

function addFeeParts(model: Placed, project: number, row: number, parts: Parts): void {
  const { plan, placements, work, schedule } = model;
  const fee = minorUnits(plan.projects[project].billing?.fee ?? 0);
  if (row < 0) {
    parts.addShare(schedule.projects[project].finish.day, fee, 1, 1);
    return;
  }
  let all = 0;
  for (let own = 0; own < work.rows; own++) if (work.project[own] === project) all += placements.placed[own];
  for (let i = 0; i < placements.length[row]; i++) {
    const minutes = placements.buffer.minutes[placements.offset[row] + i];
    if (minutes === 0) continue;
    const own = { minutes, part: { own: minutes, all } };
    parts.add(placements.start[row] + i, { what: "fee", whole: fee }, own, BigInt(fee) * BigInt(minutes), BigInt(all));
  }
}

const exchangeOf = ({ factor, from }: ExchangeStretch) =>
  factor === null || !Number.isFinite(from) ? {} : { exchange: Number(factor), exchangeSince: from };

type Fixed = Pick<MoneyPart, "what" | "rate" | "overtimeRate" | "of" | "since" | "exchange" | "exchangeSince" | "waste" | "whole">;
type Counted = Pick<MoneyPart, "minutes" | "overtime" | "units" | "plainUnits" | "part">;

/** Parts in the order of their days. Those before the range count into the running total alone. */
class Parts {
  readonly #parts: (MoneyPart & { key: string; exact: bigint; denominator: bigint; isBefore: boolean })[] = [];

  constructor(private readonly range: Range) {}

  add(day: Day, fixed: Fixed, counted: Counted, exact: bigint, denominator: bigint): void {
    if (day >= this.range.stop) return;
    const isBefore = day < this.range.start;
    const key = JSON.stringify([fixed, isBefore, String(denominator)]);
    // A charge per use is between days that are priced alike.
    const last = this.#parts.findLast(({ what }) => what !== "perUse");
    if (last?.key !== key) {
      this.#parts.push({ ...fixed, ...counted, start: day, last: day, amount: 0, key, exact, denominator, isBefore });
      return;
    }
    last.last = day;
    last.exact += exact;
    for (const name of ["minutes", "overtime", "units", "plainUnits"] as const) {
      const more = counted[name];
      if (more !== undefined) last[name] = (last[name] ?? 0) + more;
    }
    if (counted.part && last.part) last.part = { own: last.part.own + counted.part.own, all: counted.part.all };
  }

  /** @param perDay How many of what `own` and `all` count make a working day. */
  addShare(day: Day, whole: number, own: number, all: number, perDay = 1): void {
    const part = all === 1 ? { own, all } : { own: own / perDay, all: all / perDay };
    this.add(day, { what: "share", whole }, { part }, BigInt(whole) * BigInt(own), BigInt(all));
  }

  addPerUse(day: Day, minor: number, traded: ExchangeStretch): void {
    const exact = BigInt(minor) * known(traded.factor, "exchange rate");
    this.add(day, { what: "perUse", whole: minor, ...exchangeOf(traded) }, {}, exact, 1_000_000n);
  }

  addNothing(day: Day, what: "noRate" | "noExchange", counted: Counted): void {
    this.add(day, { what }, counted, 0n, 1n);
  }

  /** The parts in the range, rounded as they run; what is missing to the total is rounding with other lines. */
  listedWith(total: number): MoneyPart[] {
    let cum = { exact: 0n, of: 1n };
    let rounded = 0n;
    const reported = this.#parts.flatMap(({ key: _, exact, denominator, isBefore, ...part }): MoneyPart[] => {
      cum = { exact: cum.exact * denominator + exact * cum.of, of: cum.of * denominator };
      const upTo = quotientHalfUp(cum.exact, cum.of);
      const amount = Number(upTo - rounded);
      rounded = upTo;
      return isBefore ? [] : [{ ...part, amount }];
    });
    const rest = total - reported.reduce((sum, { amount }) => sum + amount, 0);
    const { start, stop } = this.range;
    return rest === 0 ? reported : [...reported, { what: "rounding", start, last: stop - 1, amount: rest }];
  }
}

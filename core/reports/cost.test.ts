// The cost report, against every line calculated exactly, day by day, and rounded only where it is read.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { largePlan } from "../../demo/large.ts";
import { calendarMinutes, nextDate, plainCapacity } from "../../tests/plainCapacity.ts";
import { irregular } from "../../tests/randomPeople.ts";
import { formatDay, parseDay } from "../calendar/day.ts";
import { buildModel, type Model } from "../model.ts";
import type { Calendar, Plan, RateEntry, RateTable, Task } from "../plan/schema.ts";
import { costReport } from "./cost.ts";

/** A decimal as written, in whole units of 10^-places. */
const exactly = (value: number, places: number): bigint => BigInt(Math.round(value * 10 ** places));

/** Amounts in minor units as fractions over one denominator, by date. */
interface Line {
  amounts: [string, bigint][];
  isPriced: boolean;
}

const DENOMINATOR = 10n ** 18n * 480n * 60n;

const rounded = (numerator: bigint): number => Number((2n * numerator + DENOMINATOR) / (2n * DENOMINATOR));

/** The part of a line in a period: the rounded running total at its end less that at its start. */
function within(amounts: Line["amounts"], { start, end }: { start: string; end: string }): number {
  const upTo = (date: string) => rounded(amounts.filter(([own]) => own <= date).reduce((sum, [, amount]) => sum + amount, 0n));
  return upTo(end) - upTo(nextDate(start, -1));
}

class PlainCost {
  readonly #load = new Map<string, number>();

  constructor(readonly model: Model) {
    const { plan, work } = model;
    for (let row = 0; row < work.rows; row++) {
      if (work.person[row] < 0 || plan.projects[work.project[row]].stage === "cancelled") continue;
      for (const [date, minutes] of this.days(row)) this.#load.set(`${work.person[row]} ${date}`, this.#loadOf(row, date) + minutes);
    }
  }

  days(row: number): [string, number][] {
    const { placements } = this.model;
    return Array.from({ length: placements.length[row] }, (_, at): [string, number] => [
      formatDay(placements.start[row] + at),
      placements.buffer.minutes[placements.offset[row] + at],
    ]).filter(([, minutes]) => minutes > 0);
  }

  #loadOf(row: number, date: string): number {
    return this.#load.get(`${this.model.work.person[row]} ${date}`) ?? 0;
  }

  #table(id: string | undefined): RateTable | undefined {
    return this.model.plan.rateTables.find((table) => table.id === id);
  }

  /** The entry in force of the first of these groups that has one. */
  #entry(groups: readonly (readonly RateEntry[])[], date: string): RateEntry | undefined {
    for (const group of groups) {
      const begun = group.filter(({ from }) => from === undefined || from <= date);
      const latest = begun
        .map(({ from = "" }) => from)
        .sort()
        .at(-1);
      const entry = begun.findLast(({ from = "" }) => from === latest);
      if (entry) return entry;
    }
    return undefined;
  }

  #exchange({ currency }: RateTable, date: string): bigint {
    if (currency === undefined || currency === this.model.plan.settings.currency) return 10n ** 6n;
    const rates = this.model.plan.exchangeRates.filter((own) => own.currency === currency && own.from <= date);
    const latest = rates.sort((a, b) => (a.from < b.from ? -1 : 1)).at(-1);
    if (!latest) throw new Error("the made-up plans have every exchange rate");
    return exactly(latest.rate, 6);
  }

  /** Major units in ten-thousandths, times millionths of exchange, as minor units over the denominator. */
  #minor(tenThousandths: bigint, table: RateTable, date: string): bigint {
    return (tenThousandths * this.#exchange(table, date) * DENOMINATOR) / 10n ** 8n;
  }

  /** Overtime of a row on a date: its part of what the person's load is past regular capacity, in assignment order. */
  #overtime(row: number, date: string): number {
    const { plan, work } = this.model;
    const person = plan.people[work.person[row]];
    if (!person) return 0;
    const { regular, overtime } = plainCapacity(plan, person, date);
    const total = this.#loadOf(row, date);
    const minutes = Math.min(overtime, Math.max(0, total - regular));
    if (minutes === 0) return 0;
    let cum = 0;
    for (let other = 0; other < work.rows; other++) {
      if (work.person[other] !== work.person[row] || plan.projects[work.project[other]].stage === "cancelled") continue;
      const own = this.days(other).find(([day]) => day === date)?.[1] ?? 0;
      const share = (sum: number) => Math.floor((minutes * sum) / total + 0.5);
      if (other === row) return share(cum + own) - share(cum);
      cum += own;
    }
    throw new Error("the row is among the person's own");
  }

  labour(row: number, tableId: string | undefined, isCost: boolean): Line {
    const { plan, work } = this.model;
    const days = this.days(row);
    const table = this.#table(tableId);
    if (!table) return { amounts: [], isPriced: days.length === 0 };
    const person = plan.people[work.person[row]];
    const roleId = plan.roles[work.role[row]]?.id ?? person?.roleIds[0];
    const groups = [
      table.entries.filter((entry) => person !== undefined && entry.personId === person.id),
      table.entries.filter((entry) => roleId !== undefined && entry.roleId === roleId),
      table.entries.filter((entry) => !entry.personId && !entry.roleId && !entry.materialId),
    ];
    const line: Line = { amounts: [], isPriced: true };
    days.forEach(([date, minutes], at) => {
      const entry = this.#entry(groups, date);
      if (!entry) {
        line.isPriced = false;
        return;
      }
      const overtime = isCost ? this.#overtime(row, date) : 0;
      const units = BigInt(minutes - overtime) * exactly(entry.rate, 4) + BigInt(overtime) * exactly(entry.overtimeRate ?? entry.rate, 4);
      line.amounts.push([date, this.#minor(units, table, date) / 60n]);
      if (at === 0 && isCost) line.amounts.push([date, this.#minor(exactly(entry.perUse ?? 0, 4), table, date)]);
    });
    return line;
  }

  /** Dates on which something accrues, each with its share of 480 × the number of whole days. */
  #accrual(taskRow: number, accrual: NonNullable<Task["fixedCostAccrual"]>): { date: string; part: bigint; whole: bigint }[] {
    const dates = this.model.schedule.of(taskRow);
    if (!dates) return [];
    const [start, finish] = [formatDay(dates.start.day), formatDay(dates.finish.day)];
    const total = dates.finishAt - dates.startAt;
    if (accrual === "end") return [{ date: finish, part: 1n, whole: 1n }];
    if (accrual === "start" || total === 0 || dates.isIdlePin) return [{ date: start, part: 1n, whole: 1n }];
    const calendar = this.#calendarOf(taskRow);
    const parts: { date: string; part: bigint; whole: bigint }[] = [];
    for (let date = start; date <= finish; date = nextDate(date)) {
      if (calendarMinutes(calendar, date) === 0) continue;
      const part = (date === finish ? dates.finish.tick : 480) - (date === start ? dates.start.tick : 0);
      parts.push({ date, part: BigInt(part), whole: BigInt(total) });
    }
    return parts;
  }

  #calendarOf(taskRow: number): Calendar {
    const { tasks, projects, calendars } = this.model.plan;
    const project = projects.find(({ id }) => id === tasks[taskRow].projectId);
    return calendars.find(({ id }) => id === (tasks[taskRow].calendarId ?? project?.calendarId)) as Calendar;
  }

  material(row: number, tableId: string | undefined, isCost: boolean): Line {
    const { plan, work, schedule } = this.model;
    const { materialId, quantity, quantityPerDay, wastePercent = 0, accrual = "start" } = plan.assignments[row];
    const table = this.#table(tableId);
    const dates = schedule.of(work.task[row]);
    if (!dates || !table) return { amounts: [], isPriced: !dates };
    const worked = dates.isIdlePin ? 0 : dates.finishAt - dates.startAt;
    const used = quantity === undefined ? (exactly(quantityPerDay ?? 0, 4) * BigInt(worked)) / 480n : exactly(quantity, 4);
    const line: Line = { amounts: [], isPriced: true };
    this.#accrual(work.task[row], accrual).forEach(({ date, part, whole }, at) => {
      const entry = this.#entry([table.entries.filter((own) => own.materialId === materialId)], date);
      if (!entry) {
        line.isPriced = false;
        return;
      }
      const price = used * (10_000n + exactly(wastePercent, 2)) * exactly(entry.rate, 4);
      line.amounts.push([date, (this.#minor(price, table, date) * part) / (whole * 10n ** 8n)]);
      if (at === 0 && isCost) line.amounts.push([date, this.#minor(exactly(entry.perUse ?? 0, 4), table, date)]);
    });
    return line;
  }

  fixed(taskRow: number): Line {
    const { fixedCost = 0, fixedCostAccrual = "end" } = this.model.plan.tasks[taskRow];
    const amounts = this.#accrual(taskRow, fixedCostAccrual).map(({ date, part, whole }): [string, bigint] => [
      date,
      (exactly(fixedCost, 2) * DENOMINATOR * part) / whole,
    ]);
    return { amounts, isPriced: true };
  }
}

const whole = { start: "2026-10-01", end: "2028-12-31" };

/** Compares every labour, material and fixed line, and which have no rate. @returns How many lines of each kind had a cost. */
function compare(plan: Plan): Record<string, number> {
  const model = buildModel(plan);
  const range = { start: parseDay(whole.start), stop: parseDay(whole.end) + 1 };
  const report = costReport(model, { range, grain: "year" });
  const plain = new PlainCost(model);
  const seen: Record<string, number> = {};
  const missing = new Set(report.signals.filter(({ kind }) => kind === "missingRate").map(({ subject }) => subject));
  const check = (kind: string, subject: string, expected: Line, found: { total: number } | undefined) => {
    const says = `${kind} of ${subject}`;
    expect(found?.total ?? 0, says).toBe(within(expected.amounts, whole));
    if (kind !== "fixed") expect(missing.has(subject), `${says}: a rate is missing`).toBe(!expected.isPriced);
    if ((found?.total ?? 0) > 0) seen[kind] = (seen[kind] ?? 0) + 1;
  };
  for (let row = 0; row < model.work.rows; row++) {
    const { stage, costTableId } = plan.projects[model.work.project[row]];
    if (stage === "cancelled" || (row >= model.work.assignments && model.placements.asked[row] === 0)) continue;
    const subject = row < model.work.assignments ? plan.assignments[row].id : plan.tasks[model.work.task[row]].id;
    const isMaterial = model.work.isMaterial[row] === 1;
    const kind = isMaterial ? "material" : "labour";
    const found = report.lines.find((line) => line.kind === kind && (line.assignmentId ?? line.taskId) === subject);
    check(kind, subject, isMaterial ? plain.material(row, costTableId, true) : plain.labour(row, costTableId, true), found);
  }
  plan.tasks.forEach((task, row) => {
    const project = plan.projects.find(({ id }) => id === task.projectId);
    if (task.fixedCost === undefined || project?.stage === "cancelled") return;
    const found = report.lines.find((line) => line.kind === "fixed" && line.taskId === task.id);
    check("fixed", task.id, plain.fixed(row), found);
  });
  return seen;
}

test("labour, material and fixed costs of the demo plan are what the rules say, to the cent", () => {
  expect(Object.keys(compare(fernhollow())).sort()).toEqual(["fixed", "labour", "material"]);
});

test.each([1, 2])("and so is labour where overtime, gaps and raises meet (seed %i)", (seed) => {
  const plan = irregular(largePlan({ people: 6, projects: 3, tasks: 24, assignments: 60, links: 12 }, seed), seed);
  expect(compare(plan).labour).toBeGreaterThan(20);
});

test("time and materials are billed at bill rates, without overtime rates and charges per use, in whole periods", () => {
  const plan = fernhollow();
  const model = buildModel(plan);
  const plain = new PlainCost(model);
  const range = { start: parseDay(whole.start), stop: parseDay(whole.end) + 1 };
  const report = costReport(model, { range, grain: "quarter" });
  const billed = plan.projects.filter(({ billing }) => billing?.kind === "timeAndMaterials");
  expect(billed.length).toBeGreaterThan(0);
  for (const { id, billTableId } of billed) {
    const amounts: Line["amounts"] = [];
    for (let row = 0; row < model.work.rows; row++) {
      if (plan.projects[model.work.project[row]].id !== id) continue;
      const { amounts: own } =
        model.work.isMaterial[row] === 1 ? plain.material(row, billTableId, false) : plain.labour(row, billTableId, false);
      amounts.push(...own);
    }
    const found = report.projects.find((project) => project.id === id);
    expect(
      found?.periods.map(({ revenue }) => revenue),
      id,
    ).toEqual(report.periods.map((period) => within(amounts, period)));
    expect(found?.revenue, id).toBeGreaterThan(0);
  }
});

/** Dates of an expense: its own, or the working days of its project's calendar from–to. */
function datesOfExpense({ calendars, projects }: Plan, { date, from, to, projectId }: Plan["expenses"][number]): string[] {
  if (date !== undefined) return [date];
  const project = projects.find(({ id }) => id === projectId);
  const calendar = calendars.find(({ id }) => id === project?.calendarId) as Calendar;
  const dates: string[] = [];
  for (let day = from as string; day <= (to as string); day = nextDate(day)) if (calendarMinutes(calendar, day) > 0) dates.push(day);
  return dates.length > 0 ? dates : [from as string];
}

/** Minor units spread evenly over dates, by period. */
function evenly(minor: number, dates: readonly string[], periods: readonly { start: string; end: string }[]): number[] {
  const amounts = dates.map((date): [string, bigint] => [date, (BigInt(minor) * DENOMINATOR) / BigInt(dates.length)]);
  // The remainder of the division belongs to the last date, so that all of it is there.
  const left = BigInt(minor) * DENOMINATOR - amounts.reduce((sum, [, amount]) => sum + amount, 0n);
  amounts.push([dates.at(-1) as string, left]);
  return periods.map((period) => within(amounts, period));
}

test("expenses fall on their date or evenly on working days, tax next to them, and in the total only where it is wanted", () => {
  const demo = fernhollow();
  const { id: projectId } = demo.projects[0];
  const spread = {
    id: "spread",
    projectId,
    name: "Site rent",
    costType: "other" as const,
    amount: 1000,
    taxPercent: 19,
    from: "2027-02-04",
    to: "2027-04-09",
  };
  const weekend = {
    id: "weekend",
    projectId,
    name: "Sunday opening",
    costType: "other" as const,
    amount: 33.33,
    taxPercent: 7.5,
    from: "2027-02-06",
    to: "2027-02-07",
  };
  const base = { ...demo, expenses: [...demo.expenses, spread, weekend] };
  const range = { start: parseDay("2027-02-01"), stop: parseDay("2027-05-01") };
  for (const taxInCost of [false, true]) {
    const plan: Plan = { ...base, settings: { ...base.settings, taxInCost } };
    const report = costReport(buildModel(plan), { range, grain: "month" });
    for (const { id, periods, tax, expense } of report.projects) {
      const own = plan.expenses.filter((row) => row.projectId === id);
      const sumOf = (minorOf: (row: (typeof own)[number]) => number) =>
        own
          .map((row) => evenly(minorOf(row), datesOfExpense(plan, row), report.periods))
          .reduce(
            (sum, parts) => sum.map((minor, p) => minor + parts[p]),
            report.periods.map(() => 0),
          );
      const wanted = sumOf(({ amount }) => Number(exactly(amount, 2)));
      const taxes = sumOf(({ amount, taxPercent = 0 }) =>
        Math.floor((Number(exactly(amount, 2)) * Number(exactly(taxPercent, 2))) / 10_000 + 0.5),
      );
      expect(
        periods.map((period) => period.expense),
        id,
      ).toEqual(wanted);
      expect(expense, id).toBe(wanted.reduce((sum, minor) => sum + minor, 0));
      expect(tax, id).toBe(taxes.reduce((sum, minor) => sum + minor, 0));
      periods.forEach((period, p) => {
        const cost = period.labour + period.material + period.fixed + period.expense;
        expect(period.total, `${id} ${p}`).toBe(cost + (taxInCost ? taxes[p] : 0));
      });
    }
  }
});

test("a fixed fee is earned with the minutes placed, all of it at the finish where there are none", () => {
  const plan = fernhollow();
  const model = buildModel(plan);
  const plain = new PlainCost(model);
  const range = { start: parseDay(whole.start), stop: parseDay(whole.end) + 1 };
  const report = costReport(model, { range, grain: "month" });
  const fees = plan.projects.filter(({ billing, stage }) => billing?.kind === "fixedFee" && stage !== "cancelled");
  expect(fees.length).toBeGreaterThan(0);
  for (const { id, billing } of fees) {
    const fee = exactly(billing?.fee ?? 0, 2);
    const days: [string, number][] = [];
    for (let row = 0; row < model.work.rows; row++) if (plan.projects[model.work.project[row]].id === id) days.push(...plain.days(row));
    const total = BigInt(days.reduce((sum, [, minutes]) => sum + minutes, 0));
    const amounts = days.map(([date, minutes]): [string, bigint] => [date, (fee * BigInt(minutes) * DENOMINATOR) / total]);
    const found = report.projects.find((project) => project.id === id);
    expect(
      found?.periods.map(({ revenue }) => revenue),
      id,
    ).toEqual(report.periods.map((period) => within(amounts, period)));
    expect(found?.revenue, id).toBe(Number(fee));
  }
  const idle: Plan = {
    ...plan,
    assignments: [],
    tasks: plan.tasks.map(({ effortHours: _, ...task }) => ({ ...task, sizing: task.sizing === "effort" ? undefined : task.sizing })),
  };
  const bare = costReport(buildModel(idle), { range, grain: "day" });
  const [{ id, billing }] = fees;
  const earned = bare.projects
    .find((project) => project.id === id)
    ?.periods.flatMap(({ revenue }, p) => (revenue === 0 ? [] : [[bare.periods[p].start, revenue]]));
  const finish = formatDay(buildModel(idle).schedule.projects[idle.projects.findIndex((project) => project.id === id)].finish.day);
  expect(earned).toEqual([[finish, Number(exactly(billing?.fee ?? 0, 2))]]);
});

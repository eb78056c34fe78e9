import fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { tangledPlan } from "../../tests/randomPlan.ts";
import { shiftBar } from "../bars/shiftBar.ts";
import { type BoardFilters, type BoardView, boardRowKinds, noBoardFilters, usualView } from "../board/view.ts";
import { parseDay } from "../calendar/day.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { barsOf } from "../load/bars.ts";
import { countedShares, defaultCounting } from "../load/counting.ts";
import { buildModel } from "../model.ts";
import { placedIn } from "../placing/placements.ts";
import { loadReport } from "../reports/load.ts";
import { movesOf } from "../schedule/moves.ts";
import { typePeriod } from "../typing/typePeriod.ts";
import { updateModel } from "../update/update.ts";
import { boardOf } from "./board.ts";
import { explainCell } from "./explain.ts";
import { impactOf } from "./impact.ts";
import { peopleLoads } from "./peopleLoads.ts";
import { recipientsOf } from "./recipients.ts";
import { ribbonOf } from "./ribbon.ts";
import { trayOf } from "./tray.ts";

const model = buildModel(fernhollow());
const range = { start: parseDay("2027-01-25"), stop: parseDay("2027-03-22") };
const asked = { range, grain: "week" as const };
const board = boardOf(model, { ...asked, open: ["ines"] });
const count = board.periods.length;

test("the board says of each person what the load report says", () => {
  const report = loadReport(model, asked, defaultCounting);
  for (const [at, row] of board.rows.entries()) {
    if (row.kind !== "person") continue;
    const person = report.people.find(({ id }) => id === row.id);
    expect([...board.load.slice(at * count, (at + 1) * count)]).toEqual(person?.load);
    expect([...board.capacity.slice(at * count, (at + 1) * count)]).toEqual(person?.capacity);
    expect([...board.peakOver.slice(at * count, (at + 1) * count)]).toEqual(person?.peakOver);
  }
  expect(board.assignedPercent).toBe(report.totals.assignedPercent);
  expect(board.usedPercent).toBe(report.totals.utilizationPercent);
});

test("a role adds up its people, and the heads add up everyone", () => {
  const sums = new Map<string, number[]>();
  board.rows.forEach((row, at) => {
    if (row.kind !== "person") return;
    const known = sums.get(row.roleName) ?? new Array<number>(count).fill(0);
    sums.set(
      row.roleName,
      known.map((sum, p) => sum + board.load[at * count + p]),
    );
  });
  board.rows.forEach((row, at) => {
    if (row.kind === "group") expect([...board.load.slice(at * count, (at + 1) * count)]).toEqual(sums.get(row.name));
  });
  expect([...board.all.load]).toEqual(Array.from({ length: count }, (_, p) => [...sums.values()].reduce((sum, own) => sum + own[p], 0)));
});

test("with a limit only the first rows have figures, and all rows have names", () => {
  const cut = boardOf(model, { ...asked, open: [], limit: 4 });
  expect(cut.rows).toEqual(board.rows);
  expect(cut.load).toEqual(board.load.slice(0, 4 * count));
  expect([cut.assignedPercent, cut.usedPercent, cut.all]).toEqual([board.assignedPercent, board.usedPercent, board.all]);
});

test("an open person's bars add up to their load, period by period", () => {
  const at = board.rows.findIndex(({ id }) => id === "ines");
  const sums = board.periods.map((_, p) => board.bars.ines.reduce((sum, { periods }) => sum + periods[p], 0));
  expect(sums).toEqual([...board.load.slice(at * count, (at + 1) * count)]);
});

test("the lines of a cell add up to its capacity and load, for everyone and every week of the horizon", () => {
  for (const { id } of model.plan.people) {
    for (let start = parseDay("2026-10-05"); start < parseDay("2027-07-05"); start += 7) {
      const cell = explainCell(model, id, { start, stop: start + 7 });
      if (!cell) throw new Error(`${id} is in the plan`);
      expect(
        cell.capacityLines.reduce((sum, { minutes }) => sum + minutes, 0),
        `${id} ${start}`,
      ).toBe(cell.capacity);
      expect(
        cell.bars.reduce((sum, { minutes }) => sum + minutes, 0),
        `${id} ${start}`,
      ).toBe(cell.load);
      expect(cell.room - cell.over).toBe(cell.capacity - cell.load);
    }
  }
});

test("a week with training says so, in words and minutes", () => {
  const cell = explainCell(model, "ines", { start: parseDay("2027-02-08"), stop: parseDay("2027-02-15") });
  expect(cell?.capacityLines).toEqual([
    { kind: "week", isPattern: true, days: 4, minutes: 1_920 },
    { kind: "timeOff", name: "training", note: "Dimmer certificate", days: 1, minutes: -480 },
  ]);
});

test("nobody is explained who is not in the plan", () => {
  expect(explainCell(model, "nobody", range)).toBeNull();
  expect(barsOf(model, "nobody", range, [range], countedShares(model, defaultCounting))).toEqual([]);
  expect(recipientsOf(model, "nothing")).toBeNull();
});

test("the ribbon's weeks add up to the report of the whole horizon", () => {
  const ribbon = ribbonOf(model, 0);
  const report = loadReport(model, { range: ribbon.horizon, grain: "year" }, defaultCounting);
  const sum = (figures: readonly number[]) => figures.reduce((all, own) => all + own, 0);
  expect(sum(ribbon.load)).toBe(sum(report.people.flatMap(({ load }) => load)));
  expect(ribbon.today).toBe(parseDay("2027-02-01"));
});

test("who could take work: those with the role first, nobody covers more than is needed, not the one who has it", () => {
  const recipients = recipientsOf(model, "rockpools-mara");
  expect(recipients?.people.some(({ personId }) => personId === "mara")).toBe(false);
  const hasRole = recipients?.people.map((recipient) => recipient.hasRole) ?? [];
  expect(hasRole.lastIndexOf(true)).toBeLessThan(hasRole.indexOf(false));
  expect(recipients?.people.every(({ cover }) => cover >= 0 && cover <= (recipients?.need ?? 0))).toBe(true);
  expect(recipients?.people[0].name).toMatch(/Kaspar|Rui/);
});

test("the tray holds what has nobody, no dates, no estimate, and hours before a person joins", () => {
  const { items: tray, counts } = trayOf(model);
  const tasks = (kind: string) => tray.filter((item) => item.kind === kind).map(({ taskId }) => taskId);
  expect(tasks("noDates")).toEqual(["tidepool-braille", "slowlight-guide"]);
  expect(counts.noDates).toBe(2);
  expect(tasks("noEstimate")).toContain("thunder-press");
  expect(tray.find(({ assignmentId }) => assignmentId === "rockpools-yara")).toMatchObject({
    kind: "unplaced",
    who: "Yara Lindqvist",
    minutes: 960,
  });
  expect(tray.find(({ assignmentId }) => assignmentId === "tank-open")).toMatchObject({ kind: "opening", minutes: 2_400 });
});

const view = (set: Partial<BoardView>): BoardView => ({ ...usualView, ...set });
const sumOf = (minutes: ArrayLike<number>) => Array.from(minutes).reduce((sum, own) => sum + own, 0);

test("always: with any rows, they add up to the same load, and the heads to everyone shown", () => {
  for (const rows of boardRowKinds) {
    const seen = boardOf(model, { ...asked, open: [], view: view({ rows }) });
    expect([...seen.all.load], rows).toEqual([...board.all.load]);
    const kind = rows === "projects" || rows === "peopleProjects" ? "part" : rows === "roles" || rows === "teams" ? "group" : "person";
    const load = seen.rows.reduce(
      (sum, row, at) => (row.kind === kind ? sum + sumOf(seen.load.slice(at * count, (at + 1) * count)) : sum),
      0,
    );
    // A person in two teams is under both.
    if (rows === "team" || rows === "teams") expect(load, rows).toBeGreaterThanOrEqual(sumOf(board.all.load));
    else expect(load, rows).toBe(sumOf(board.all.load));
    expect(new Set(seen.rows.map(({ key }) => key)).size, rows).toBe(seen.rows.length);
  }
});

test("filters leave people by what they are and by what they are on", () => {
  const names = (filters: Partial<BoardFilters>) =>
    boardOf(model, { ...asked, open: [], view: view({ rows: "none", filters: { ...noBoardFilters, ...filters } }) }).rows.map(
      ({ id }) => id,
    );
  const neon = names({ skill: "neon" });
  expect(neon).toContain("ines");
  expect(neon.length).toBeLessThan(names({}).length);
  const onRivers = names({ project: "rivers" });
  const report = new Set(model.plan.assignments.filter(({ taskId }) => taskId.startsWith("rivers-")).map(({ personId }) => personId));
  expect(onRivers.length).toBeGreaterThan(0);
  expect(onRivers.every((id) => report.has(id))).toBe(true);
  expect(names({ project: "rivers", role: "fabricator" }).every((id) => onRivers.includes(id))).toBe(true);
});

test("always: only those over, or with room, in some period are left, and the heads add up them alone", () => {
  const view = { ...usualView, rows: "none" as const };
  const all = boardOf(model, { range, grain: "week", open: [], view });
  const statesOfRow = (board: typeof all, row: number) => [
    ...board.state.slice(row * board.periods.length, (row + 1) * board.periods.length),
  ];
  for (const [only, state] of [
    ["over", 2],
    ["room", 0],
  ] as const) {
    const some = boardOf(model, { range, grain: "week", open: [], view: { ...view, only } });
    const meant = all.rows.filter((_, row) => statesOfRow(all, row).includes(state)).map(({ id }) => id);
    if (only === "over") expect(some.rows.map(({ id }) => id)).toEqual(meant);
    for (const row of some.rows.keys()) expect(statesOfRow(some, row)).toContain(state);
    expect(some.rows.length).toBeGreaterThan(0);
    expect(some.all.load[0]).toBe(some.rows.reduce((sum, _, row) => sum + some.load[row * some.periods.length], 0));
  }
});

test("the pipeline counts when asked, by its probability or in full; the worst are first", () => {
  const all = (pipeline: "none" | "weighted" | "full") => {
    const seen = boardOf(model, { ...asked, open: [], view: view({ rows: "roles", counting: { pencilled: true, pipeline } }) });
    return sumOf(seen.open) + sumOf(seen.all.load);
  };
  expect(all("none")).toBeLessThan(all("weighted"));
  expect(all("weighted")).toBeLessThan(all("full"));
  const worst = boardOf(model, { ...asked, open: [], view: view({ rows: "none", sort: "worst" }) });
  const over = worst.rows.map((_, at) =>
    worst.periods.reduce((sum, __, p) => sum + Math.max(0, worst.load[at * count + p] - worst.capacity[at * count + p]), 0),
  );
  expect(over[0]).toBeGreaterThan(0);
  expect(over).toEqual([...over].sort((a, b) => b - a));
});

test("an accepted overload is shown and leaves the list of troubles, while the load stays", () => {
  const at = board.rows.findIndex(
    ({ id }, row) => id !== "" && board.rows[row].kind === "person" && board.load[row * count + 2] > board.capacity[row * count + 2],
  );
  const personId = board.rows[at].id;
  const outcome = applyEdit(model.plan, {
    kind: "acceptOverload",
    acceptance: { id: "x", personId, from: "2027-02-08", to: "2027-02-14", reason: "The opening is worth it." },
  });
  if (!outcome.plan) throw new Error("the edit fits the plan");
  const next = boardOf(buildModel(outcome.plan), { ...asked, open: [] });
  expect(next.accepted[at * count + 2]).toBe(1);
  expect(sumOf(next.accepted)).toBe(1);
  expect(next.load).toEqual(board.load);
  expect(board.overMinutes - next.overMinutes).toBe(board.load[at * count + 2] - board.capacity[at * count + 2]);
});

test("of a load, what is pencilled, asked for or not won yet is kept apart, and never more than all of it", () => {
  const counting = { pencilled: true, pipeline: "full" } as const;
  const shown = boardOf(model, { ...asked, open: [], view: { ...usualView, rows: "none", counting } });
  const shares = countedShares(model, counting);
  const { work, placements } = model;
  shown.rows.forEach(({ id }, at) => {
    shown.periods.forEach(({ start, stop }, p) => {
      let minutes = 0;
      for (let row = 0; row < work.assignments; row++) {
        const { personId, firmness } = model.plan.assignments[row];
        const stage = model.plan.projects[work.project[row]].stage;
        const isFirm = (firmness === undefined || firmness === "confirmed") && stage !== "idea" && stage !== "pipeline";
        if (personId === id && !isFirm && shares[row] > 0) minutes += placedIn(placements, row, shares[row], start, stop);
      }
      const slot = at * shown.periods.length + p;
      expect(shown.tentative[slot], `${id} ${p}`).toBe(minutes);
      expect(shown.tentative[slot]).toBeLessThanOrEqual(shown.load[slot]);
    });
  });
  expect(shown.tentative.some((minutes) => minutes > 0)).toBe(true);
  const firm = boardOf(model, { ...asked, open: [], view: { ...usualView, counting: { pencilled: false, pipeline: "none" } } });
  expect(firm.tentative.every((own) => own === 0)).toBe(true);
});

test("always: what a drop, a drag along time and typed hours are said to do before is what the whole plan says after", () => {
  const range = { start: parseDay("2027-01-04"), stop: parseDay("2027-05-31") };
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1e6 }), fc.nat(), fc.integer({ min: -20, max: 20 }), (seed, pick, days) => {
      const before = buildModel(tangledPlan(seed));
      const { assignments, people } = before.plan;
      if (assignments.length === 0 || people.length === 0) return;
      const { id } = assignments[pick % assignments.length];
      const week = { start: range.start + (pick % 15) * 7, stop: range.start + (pick % 15) * 7 + 7 };
      const shift = shiftBar(before, { assignmentId: id, startDays: days, stopDays: days });
      const typed = typePeriod(before, id, week, pick % 30, { clock: range.start, newId: "rest" });
      const edits: Edit[] = [
        { kind: "reassign", id, personId: people[pick % people.length].id },
        ...("fault" in shift ? [] : shift.as === "own" ? [shift.edit] : shift.options.map(({ edit }) => edit)),
        ...("fault" in typed ? [] : Object.values(typed.edits)),
      ];
      const ids = people.map((own) => own.id);
      for (const edit of edits) {
        const outcome = applyEdit(before.plan, edit);
        if (!outcome.plan) continue;
        const said = updateModel(before, outcome.plan, outcome.changes);
        const is = buildModel(outcome.plan);
        expect(peopleLoads(said, { range, grain: "week", ids })).toEqual(peopleLoads(is, { range, grain: "week", ids }));
        expect(boardOf(said, { range, grain: "week", open: ids })).toEqual(boardOf(is, { range, grain: "week", open: ids }));
        const moved = impactOf(before, edit).finishes.map(({ kind, id: own, after }) => `${kind} ${own} ${after}`);
        expect(moved).toEqual(
          movesOf(before, is)
            .tasks.filter((move) => move.before.finish !== move.after.finish)
            .map((move) => `task ${move.taskId} ${move.after.finish}`)
            .concat(movesOf(before, is).projects.map(({ projectId, after }) => `project ${projectId} ${after}`)),
        );
      }
    }),
    { numRuns: 10 },
  );
});

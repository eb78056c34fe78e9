// The board, its file and its printed page against the reports, on plans and settings that are anything but usual.
import { renderToStaticMarkup } from "react-dom/server";
import { expect, test } from "vitest";
import { type Board, boardOf } from "../../core/answers/board.ts";
import { trayOf } from "../../core/answers/tray.ts";
import { type BoardFilters, type BoardRowKind, noBoardFilters } from "../../core/board/view.ts";
import { formatDay } from "../../core/calendar/day.ts";
import { horizonOf, periodSettingsOf } from "../../core/calendar/horizon.ts";
import type { Grain } from "../../core/calendar/periods.ts";
import { type Counting, defaultCounting } from "../../core/load/counting.ts";
import { periodStates } from "../../core/load/periodSums.ts";
import { buildModel, type Model } from "../../core/model.ts";
import { checkPlan } from "../../core/plan/check.ts";
import type { Plan } from "../../core/plan/schema.ts";
import { loadReport } from "../../core/reports/load.ts";
import { hourTenths } from "../../core/values/units.ts";
import { fernhollow } from "../../demo/fernhollow.ts";
import { randomFrom } from "../../demo/random.ts";
import { irregular } from "../../tests/randomPeople.ts";
import { tangledPlan } from "../../tests/randomPlan.ts";
import { withTeams } from "../../tests/randomTeams.ts";
import { BoardPage } from "./boardPage.tsx";
import { boardTable } from "./boardTable.ts";
import { overloadLines } from "./overloadPage.tsx";

interface Fixture {
  model: Model;
  plan: Plan;
  asked: { range: { start: number; stop: number }; grain: Grain };
  counting: Counting;
  report: ReturnType<typeof loadReport>;
}

function overloadCase(seed: number): Fixture {
  const random = randomFrom(seed);
  const plan = withTeams(irregular(seed % 4 === 0 ? fernhollow() : tangledPlan(seed), seed), seed);
  expect(checkPlan(plan)).toEqual([]);
  const model = buildModel(plan);
  const horizon = horizonOf(plan);
  const start = horizon.start + random.below(60);
  const asked = {
    range: { start, stop: start + 20 + random.below(200) },
    grain: random.pick(["day", "week", "month", "quarter", "year"] as const),
  };
  const counting: Counting = { pencilled: random.below(2) === 0, pipeline: random.pick(["none", "weighted", "full"] as const) };
  return { model, plan, asked, counting, report: loadReport(model, asked, counting) };
}

function boardOfRows({ model, asked, counting }: Fixture, rows: BoardRowKind, filters: Partial<BoardFilters> = {}): Board {
  return boardOf(model, {
    ...asked,
    open: [],
    view: { rows, counting, only: "all", sort: "plan", filters: { ...noBoardFilters, ...filters } },
  });
}

const figuresOf = (board: Board, at: number) => {
  const count = board.periods.length;
  const cut = (minutes: ArrayLike<number>) => Array.from(minutes).slice(at * count, (at + 1) * count);
  const [capacity, load, peakOver, open, state] = [board.capacity, board.load, board.peakOver, board.open, board.state].map(cut);
  return { capacity, load, peakOver, open, state: state.map((index) => periodStates[index]) };
};

const seeds = Array.from({ length: 16 }, (_, at) => 200 + at);

test.each(seeds)("people, teams and roles say what the report says, regardless of the settings (seed %i)", (seed) => {
  const fixture = overloadCase(seed);
  const { report } = fixture;
  const people = boardOfRows(fixture, "none");
  expect(people.rows.map(({ id }) => id)).toEqual(report.people.map(({ id }) => id));
  report.people.forEach(({ id, capacity, load, peakOver, state }, at) => {
    expect(figuresOf(people, at), id).toMatchObject({ capacity, load, peakOver, state });
  });
  for (const rows of ["team", "teams"] as const) {
    const teams = boardOfRows(fixture, rows);
    for (const { id, capacity, load, state } of report.teams) {
      const at = teams.rows.findIndex((row) => row.kind === "group" && row.id === id);
      if (at < 0)
        expect(
          [...capacity, ...load].every((minutes) => minutes === 0),
          id,
        ).toBe(true);
      else expect(figuresOf(teams, at), id).toMatchObject({ capacity, load, state });
    }
  }
  const roles = boardOfRows(fixture, "roles");
  for (const { id, capacity, load, openings } of report.roles) {
    const at = roles.rows.findIndex((row) => row.id === id);
    if (at >= 0) expect(figuresOf(roles, at), id).toMatchObject({ capacity, load, open: openings });
  }
  expect(people.assignedPercent).toBe(report.totals.assignedPercent);
  expect(people.usedPercent).toBe(report.totals.utilizationPercent);
});

test.each(seeds)("projects add up to what people do, and filters change who is shown, not what they have (seed %i)", (seed) => {
  const fixture = overloadCase(seed);
  const { report, plan, model, asked, counting } = fixture;
  const sumOf = (board: Board, isWanted: (kind: string) => boolean) =>
    board.periods.map((_, p) =>
      board.rows.reduce((sum, { kind }, at) => sum + (isWanted(kind) ? board.load[at * board.periods.length + p] : 0), 0),
    );
  const all = report.periods.map((_, p) => report.people.reduce((sum, { load }) => sum + load[p], 0));
  for (const rows of ["projects", "peopleProjects"] as const)
    expect(sumOf(boardOfRows(fixture, rows), (kind) => kind === (rows === "projects" ? "group" : "part"))).toEqual(all);
  const [role] = plan.people[seed % plan.people.length].roleIds;
  const project = plan.projects[seed % plan.projects.length];
  for (const filters of [{ role }, { team: "team0" }, { project: project.id }, { stage: "pipeline" }]) {
    const board = boardOfRows(fixture, "none", filters);
    board.rows.forEach(({ id }, at) => {
      const { capacity, load, state } = report.people.find((own) => own.id === id) as (typeof report.people)[number];
      expect(figuresOf(board, at), id).toMatchObject({ capacity, load, state });
    });
  }
  const alone = buildModel({ ...plan, projects: plan.projects.map((own) => (own === project ? own : { ...own, stage: "cancelled" })) });
  expect(boardOfRows(fixture, "none", { project: project.id }).assignedPercent).toBe(
    loadReport(alone, asked, counting).totals.assignedPercent,
  );
  expect(model.plan).toBe(plan);
});

test.each(seeds)("the file and the printed page say it too, and the tray names every opening (seed %i)", (seed) => {
  const fixture = overloadCase(seed);
  const { report, asked, model, plan } = fixture;
  const board = boardOfRows(fixture, "none");
  const hours = boardTable(board, "load")
    .slice(1)
    .map((row) => row.slice(3, -1).map(Number));
  expect(hours).toEqual(report.people.map(({ load }) => load.map((minutes) => hourTenths(minutes) / 10)));
  const room = boardTable(board, "room").slice(1);
  report.people.forEach(({ capacity, load }, at) => {
    const reported = room[at].slice(3, -1).map((text) => Math.abs(Number(text)));
    expect(reported).toEqual(capacity.map((minutes, p) => Math.abs(hourTenths(load[p] - minutes)) / 10));
  });
  const page = renderToStaticMarkup(
    <BoardPage board={board} measure="load" grain={asked.grain} studio="Studio" settings={periodSettingsOf(plan)} />,
  );
  const classes = [...page.matchAll(/<td class="(\w+)">/g)].map(([, own]) => own);
  expect(classes).toEqual(
    report.people.flatMap(({ state, capacity, load }) => state.map((own, p) => (capacity[p] === 0 && load[p] === 0 ? "away" : own))),
  );
  const over = report.people.flatMap(({ id, state, load, capacity }) =>
    state.flatMap((own, p) => (own === "over" ? [`${id} ${report.periods[p].start} ${load[p] - capacity[p]}`] : [])),
  );
  const dayOf = (key: string) => formatDay(Number(key.split(" ").at(-1)));
  const lines = overloadLines(board).map(({ key, load, capacity }) => `${key.replace(/ \S+$/, "")} ${dayOf(key)} ${load - capacity}`);
  expect(lines).toEqual(over);
  const usual = loadReport(model, asked, defaultCounting);
  const tray = trayOf(model);
  expect(tray.counts.opening).toBe(usual.openings.length);
  const named = new Set(tray.items.filter(({ kind }) => kind === "opening").map(({ taskId, minutes }) => `${taskId} ${minutes}`));
  for (const { taskId, minutes } of usual.openings.slice(0, 60)) expect(named).toContain(`${taskId} ${minutes}`);
  const isOpen = new Set(usual.openings.map(({ assignmentId }) => assignmentId));
  const lost = usual.assignments.filter(({ id, unplaced }) => unplaced > 0 && !isOpen.has(id)).length;
  expect(tray.counts.unplaced).toBe(lost);
});

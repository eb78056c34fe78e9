// Tasks, links and assignments of a file: every reason for which a row is refused, and what a row that is taken says.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { applyEdit } from "../edits/edit.ts";
import type { Plan } from "../plan/schema.ts";
import { previewTable } from "./preview.ts";
import type { TableName } from "./table.ts";

const plan = fernhollow();

function preview(table: TableName, head: string[], ...rows: string[][]) {
  return previewTable(plan, { table, source: "file.csv", rows: [head, ...rows], options: { dateOrder: "dayFirst", idStem: "in" } });
}

/** The outcome of each row: the reason for refusal, or its changes. */
function reported(made: ReturnType<typeof preview>): string[] {
  expect(made.faults).toEqual([]);
  return made.rows.map((row) => (row.outcome === "refuses" ? row.reasons.join(" ") : `${row.outcome} ${row.says.join(" · ")}`));
}

function after({ edit }: ReturnType<typeof preview>): Plan {
  const outcome = edit && applyEdit(plan, edit);
  if (!outcome?.plan) throw new Error(JSON.stringify(outcome?.faults ?? "nothing to bring in"));
  return outcome.plan;
}

test("a task is refused with the reason that a person can mend", () => {
  const head = ["id", "project", "task", "below", "sized by", "start", "finish", "working days", "effort hours", "role", "done %"];
  const row = (cells: Partial<Record<string, string>>) => head.map((name) => cells[name] ?? "");
  const reasons = reported(
    preview(
      "tasks",
      head,
      row({ project: "Tidepool Hall", task: "" }),
      row({ project: "Tidepol Hall", task: "A" }),
      row({ id: "tidepool-cases", project: "Slow Light", task: "Cases" }),
      row({ project: "Tidepool Hall", task: "B", "sized by": "dates", start: "1.3.2027" }),
      row({ project: "Tidepool Hall", task: "C", "sized by": "duration" }),
      row({ project: "Tidepool Hall", task: "D", start: "5.3.2027", finish: "1.3.2027" }),
      row({ project: "Tidepool Hall", task: "E", below: "Cases and plinths" }),
      row({ project: "Tidepool Hall", task: "F", "sized by": "moon" }),
      row({ project: "Tidepool Hall", task: "G", "working days": "-3" }),
      row({ project: "Tidepool Hall", task: "H", "done %": "120" }),
      row({ project: "Tidepool Hall", task: "I", role: "Fabricatr" }),
      row({ project: "Tidepool Hall", task: "J", start: "31.2.2027", finish: "soon" }),
    ),
  );
  expect(reasons[0]).toBe("The task has no name.");
  expect(reasons[1]).toMatch(/There is no project "Tidepol Hall"\. Did you mean "Tidepool Hall"\?/);
  expect(reasons[2]).toBe("A task with this id belongs to another project.");
  expect(reasons[3]).toBe("Pinned to dates, it needs a start and a finish.");
  expect(reasons[4]).toBe("Sized by duration, it needs its working days; 0 is a milestone.");
  expect(reasons[5]).toBe("The finish must not be before the start.");
  expect(reasons[6]).toBe('"Cases and plinths" has people assigned and cannot have subtasks.');
  expect(reasons[7]).toMatch(/"moon" is not known/);
  expect(reasons[8]).toMatch(/0 or more|at least 0|-3/);
  expect(reasons[9]).toMatch(/100/);
  expect(reasons[10]).toMatch(/There is no role "Fabricatr"\. Did you mean "Fabricator"\?/);
  expect(reasons[11]).toMatch(/"31\.2\.2027" is not a date.*"soon" is not a date/);
});

test("a task says how it is sized where its row does not, and later rows may be below earlier ones", () => {
  const made = preview(
    "tasks",
    ["Projekt", "Aufgabe", "Phase", "Beginn", "Ende", "Dauer", "Aufwand", "Rolle"],
    ["Tidepool Hall", "Mock-up", "", "", "", "", "", ""],
    ["Tidepool Hall", "Cut", "Mock-up", "1.3.2027", "5.3.2027", "", "", ""],
    ["Tidepool Hall", "Glue", "Mock-up", "", "", "3", "16", "Fabricator"],
    ["Tidepool Hall", "Cases and plinths", "", "", "", "", "", ""],
  );
  expect(reported(made).map((text) => text.split(" ")[0])).toEqual(["adds", "adds", "adds", "adds"]);
  const tasks = after(made).tasks.filter(({ id }) => id.startsWith("in-"));
  expect(tasks.map(({ name, sizing, parentId }) => [name, sizing, parentId])).toEqual([
    ["Mock-up", undefined, undefined],
    ["Cut", "dates", "in-2"],
    ["Glue", "duration", "in-2"],
    ["Cases and plinths", undefined, undefined],
  ]);
  expect(tasks[2]).toMatchObject({ durationDays: 3, effortHours: 16, roleId: "fabricator" });
});

test("a link is refused where it leads nowhere, to itself, or counts what it cannot", () => {
  const head = ["id", "from task", "to task", "link kind", "lag days", "elapsed"];
  const [cases, order] = ["tidepool-cases", "tidepool-order"];
  const reasons = reported(
    preview(
      "links",
      head,
      ["", cases, cases, "", "", ""],
      ["", cases, "nowhere", "", "", ""],
      ["", cases, "slowlight-scenic", "sideways", "", ""],
      ["", cases, "slowlight-scenic", "SS", "much", ""],
      ["", cases, "slowlight-scenic", "SS", "10001", ""],
      ["", cases, "slowlight-scenic", "SS", "1,5", "ja"],
      ["", cases, "slowlight-scenic", "start to start", "1,5", "nein"],
      ["", order, cases, "FS", "5", "yes"],
      ["", order, cases, "FS", "7", "yes"],
    ),
  );
  expect(reasons[0]).toBe("A task cannot follow itself.");
  expect(reasons[1]).toMatch(/There is no task "nowhere"/);
  expect(reasons[2]).toMatch(/"sideways" is not known/);
  expect(reasons[3]).toMatch(/"much" is not a number/);
  expect(reasons[4]).toBe("A lag is 10,000 days at most.");
  expect(reasons[5]).toBe("An elapsed lag counts whole calendar days.");
  expect(reasons[6]).toBe("adds SS 1.5 days");
  expect(reasons[7]).toBe("leaves ");
  expect(reasons[8]).toBe("changes FS 5 calendar days → FS 7 calendar days");
});

test("links that would close a cycle are refused when the file is brought in, and nothing of it is kept", () => {
  const { edit } = preview("links", ["from task", "to task"], ["tidepool-cases", "tidepool-order"]);
  if (!edit) throw new Error("the rows themselves are sound");
  const outcome = applyEdit(plan, edit);
  expect(outcome.plan).toBeNull();
  expect(outcome.faults.map(({ message }) => message).join(" ")).toMatch(/cycle.*Order materials/s);
});

test("an assignment names who and how much, in one way, and fits how its task is sized", () => {
  const head = ["id", "task", "person", "team", "role", "hours", "% of time", "hours a day", "from", "until", "firmness"];
  const row = (cells: Partial<Record<string, string>>) => head.map((name) => cells[name] ?? "");
  const cases = { task: "tidepool-cases" };
  const survey = { task: "ravenholt-survey" };
  const made = preview(
    "assignments",
    head,
    row({ ...cases, hours: "8" }),
    row({ ...cases, person: "Rui Monteverde", team: "Workshop", hours: "8" }),
    row({ ...cases, person: "Rui Monteverde" }),
    row({ ...cases, person: "Rui Monteverde", hours: "8", "% of time": "50" }),
    row({ ...cases, person: "Rui Monteverde", hours: "8", from: "5.3.2027", until: "1.3.2027" }),
    row({ ...survey, person: "Rui Monteverde", "hours a day": "2" }),
    row({ ...survey, person: "Rui Monteverde", hours: "8", from: "1.3.2027" }),
    row({ ...cases, person: "Rui Montverde", hours: "8" }),
    row({ ...cases, person: "Rui Monteverde", hours: "-8" }),
    row({ ...cases, person: "Rui Monteverde", hours: "8", firmness: "perhaps" }),
    row({ task: "nothing", person: "Rui Monteverde", hours: "8" }),
    row({ ...cases, person: "Rui Monteverde", hours: "8,5", firmness: "vorläufig" }),
    row({ id: "tidepool-cases-mara", ...cases, person: "Mara Ellingsen", hours: "30" }),
  );
  const reasons = reported(made);
  expect(reasons[0]).toBe("Name a person, a team, or the role that is needed.");
  expect(reasons[1]).toBe("Name a person or a team, not both.");
  expect(reasons[2]).toBe("State how much: hours, a share of time, hours a day or a week, or typed hours.");
  expect(reasons[3]).toBe("States hours and percent; keep one of them.");
  expect(reasons[4]).toBe("The last day must be on or after the first day.");
  expect(reasons[5]).toBe("A task sized by effort needs hours.");
  expect(reasons[6]).toBe("Work on a task sized by effort has no dates of its own.");
  expect(reasons[7]).toMatch(/Did you mean "Rui Monteverde"\?/);
  expect(reasons[8]).toMatch(/0 or more|at least 0|-8/);
  expect(reasons[9]).toMatch(/"perhaps" is not known/);
  expect(reasons[10]).toMatch(/There is no task "nothing"/);
  expect(reasons[11]).toBe("adds hours 8.5, pencilled, rui");
  expect(reasons[12]).toBe("changes hours 27, confirmed, mara → hours 30, confirmed, mara");
  expect(made.counts).toMatchObject({ adds: 1, changes: 1, leaves: 0, refuses: 11 });
  const next = after(made);
  expect(next.assignments.find(({ id }) => id === "tidepool-cases-mara")?.hours).toBe(30);
  expect(next.assignments.at(-1)).toMatchObject({ taskId: "tidepool-cases", personId: "rui", hours: 8.5, firmness: "pencilled" });
});

test("projects come in with clients that are made where that is asked for, and are known by their code", () => {
  const head = ["Projekt", "Code", "Kunde", "Leitung", "Status", "Beginn", "Frist"];
  const rows = [
    ["Harbour Walk", "HW", "Port of Ravenholt", "Nora Okafor", "Anfrage", "3.5.2027", "30.9.2027"],
    ["Tidepool Hall", "TP", "", "", "", "30.11.2026", ""],
    ["No day", "", "", "", "", "", ""],
  ];
  expect(reported(preview("projects", head, ...rows))[0]).toMatch(/There is no client "Port of Ravenholt"/);
  const made = previewTable(plan, {
    table: "projects",
    source: "projects.csv",
    rows: [head, ["Harbour Walk", "HW", "Port of Ravenholt", "", "Anfrage", "3.5.2027", "30.9.2027"]],
    options: { dateOrder: "dayFirst", idStem: "in", makesNames: true },
  });
  expect(made.makes).toEqual(["client Port of Ravenholt"]);
  const next = after(made);
  const client = next.clients.find(({ name }) => name === "Port of Ravenholt")?.id;
  expect(next.projects.at(-1)).toMatchObject({
    name: "Harbour Walk",
    code: "HW",
    clientId: client,
    stage: "pipeline",
    start: "2027-05-03",
  });
  expect(reported(preview("projects", head, rows[2]))[0]).toBe("The project has no start.");
});

test("a task whose name others have too is meant by its project and phase", () => {
  const twice = plan.tasks.filter(({ parentId, projectId }) => parentId !== undefined && projectId === "tidepool");
  const [first] = twice;
  const phase = plan.tasks.find(({ id }) => id === first.parentId);
  const other = twice.find(({ parentId }) => parentId !== first.parentId);
  if (!phase || !other) throw new Error("the project has two phases");
  const tasks = plan.tasks.map((own) => (own.id === other.id ? { ...own, name: first.name } : own));
  const preview = (task: string) =>
    previewTable(
      { ...plan, tasks },
      {
        table: "assignments",
        source: "file.csv",
        rows: [
          ["task", "person", "hours"],
          [task, "Mara Ellingsen", "3"],
        ],
        options: { dateOrder: "dayFirst", idStem: "in" },
      },
    );
  expect(reported(preview(`Tidepool Hall / ${first.name}`))[0]).toMatch(/write the id, or "project \/ phase \/ task"\.$/);
  const row = preview(`Tidepool Hall / ${phase.name} / ${first.name}`).edit?.rows[0].row as { taskId?: string } | undefined;
  expect(row?.taskId).toBe(first.id);
});

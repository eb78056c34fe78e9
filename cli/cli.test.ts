import { spawnSync } from "node:child_process";
import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "vitest";
import { goldenCases } from "../tests/golden.ts";
import { runCommand } from "./command.ts";

const folder = mkdtempSync(join(tmpdir(), "roster-cli-"));
const sound = join(folder, "sound.json");
writeFileSync(sound, goldenCases()[0].plan);

const root = join(import.meta.dirname, "..");

/** The command as people call it. */
function npxRoster(...args: string[]) {
  const { status, stdout, stderr } = spawnSync("npx", ["--no", "roster", ...args], { encoding: "utf8", cwd: root });
  return { status, stdout, stderr: stderr.replaceAll(/^npm warn.*\n/gm, "") };
}

/** The same bundle without npx, which takes a second to find it. */
function program(...args: string[]) {
  const { status, stdout, stderr } = spawnSync(process.execPath, [join(root, "dist/roster.mjs"), ...args], { encoding: "utf8" });
  return { status, stdout, stderr };
}

/** The output and exit status of the program, computed in this process. */
const roster = (...args: string[]) => runCommand(args);

test("a report is JSON on standard output, with status 0 and nothing on standard error", () => {
  const { status, stdout, stderr } = npxRoster("load", sound, "--from", "2027-02-04", "--to", "2027-02-10", "--by", "day");
  expect({ status, stderr }).toEqual({ status: 0, stderr: "" });
  expect(JSON.parse(stdout).people[0].load).toEqual([0, 152, 0, 0, 203, 203, 102]);
});

test("check lists signals of a sound plan", () => {
  const { status, stdout } = roster("check", sound);
  expect(status).toBe(0);
  expect(JSON.parse(stdout).errors).toEqual([]);
});

test("an invalid plan ends with status 1, each fault on a line with its place", () => {
  const plan = JSON.parse(goldenCases()[0].plan);
  plan.tasks[0].roleId = "weldr";
  plan.assignments[0].hours = -3;
  const file = join(folder, "faulty.json");
  writeFileSync(file, JSON.stringify(plan));
  const { status, stderr } = program("capacity", file);
  expect(status).toBe(1);
  expect(stderr.trimEnd().split("\n")).toEqual([
    "assignments[0].hours: -3 is too small; the least is 0.",
    expect.stringMatching(/^tasks\[0\]\.roleId: there is no role "weldr"\./),
  ]);
});

test("check prints the faults of an invalid plan as JSON too", () => {
  const file = join(folder, "text.json");
  writeFileSync(file, "{");
  const { status, stdout } = roster("check", file);
  expect(status).toBe(1);
  expect(JSON.parse(stdout).errors[0]).toMatch(/not JSON/);
});

test.each([
  [["gantt", sound], /There is no report "gantt"/],
  [["load"], /Name the plan file/],
  [["load", join(folder, "none.json")], /cannot be read \(ENOENT\)/],
  [["load", sound, "--by", "fortnight"], /--by: "fortnight" is not one of/],
  [["load", sound, "--from", "2027-02-30"], /not a date/],
  [["load", sound, "--from", "2027-03-01", "--to", "2027-02-01"], /--to must not be before/],
  [["capacity", sound, "--pencilled", "no"], /capacity has no option "--pencilled"/],
])("wrong usage %j ends with status 2 and says what is wrong", (args, says) => {
  const { status, stdout, stderr } = roster(...args);
  expect(status).toBe(2);
  expect(stdout).toBe("");
  expect(stderr).toMatch(says);
});

test("a program that is called in a wrong way says so and ends with status 2", () => {
  const called = program("load", sound, "--by", "fortnight");
  expect(called).toEqual(roster("load", sound, "--by", "fortnight"));
  expect(called.status).toBe(2);
});

test("no input ends in a trace of the program, and brackets are refused at once", () => {
  const file = join(folder, "any.json");
  const inputs: [string, string | Buffer, RegExp][] = [
    ["brackets", "[".repeat(20_000_000), /brackets are nested more than 40 deep/],
    ["nothing", "", /not JSON/],
    ["bytes", Buffer.from([0, 255, 254, 1, 2]), /not JSON/],
    ["another value", "17", /not a plan/],
    ["lists of nothing", '{"format":"mindful-roster-plan","version":1,"tasks":[null,7,[]]}', /tasks\[0\]/],
  ];
  for (const [name, content, says] of inputs) {
    writeFileSync(file, content);
    const { status, stderr } = roster("load", file);
    expect(status, name).toBe(1);
    expect(stderr, name).toMatch(says);
    expect(stderr, name).not.toMatch(/^\s+at /m);
  }
  expect(roster("load", folder)).toMatchObject({ status: 2, stderr: expect.stringMatching(/cannot be read \(EISDIR\)/) });
});

test("a plan file with a mark of its encoding is read; a closed pipe is no failure, a full disk is one that is said", () => {
  const file = join(folder, "any.json");
  writeFileSync(file, `\uFEFF${goldenCases()[0].plan}`);
  expect(roster("schedule", file).status).toBe(0);
  const command = `${process.execPath} ${join(root, "dist/roster.mjs")} schedule ${file}`;
  const piped = spawnSync("bash", ["-o", "pipefail", "-c", `${command} | head -c 1 > ${join(folder, "out")}`], { encoding: "utf8" });
  expect(piped).toMatchObject({ status: 0, stderr: "" });
  const full = spawnSync("bash", ["-c", `${command} > /dev/full`], { encoding: "utf8" });
  expect(full).toMatchObject({ status: 3, stderr: "The report could not be written: the disk is full.\n" });
});

/** A plan written to a file of its own. */
function planFile(name: string, change: (plan: Record<string, unknown>) => object): string {
  const golden = goldenCases().find((own) => own.name.startsWith("35"));
  const file = join(folder, `${name}.json`);
  writeFileSync(file, JSON.stringify(change(JSON.parse(golden?.plan ?? ""))));
  return file;
}

test("the plan after a remedy that is taken is a plan file with the effect that was printed", () => {
  const file = planFile("remedies", (plan) => plan);
  const out = join(folder, "after.json");
  const asked = ["remedies", file, "--person", "anneli", "--from", "2027-03-01", "--to", "2027-03-07"];
  const { status, stdout } = roster(...asked, "--take", "4", "--out", out);
  expect(status).toBe(0);
  const taken = JSON.parse(stdout).remedies[3];
  expect([taken.kind, taken.effect.cost]).toEqual(["give", 10_000]);
  const after = JSON.parse(roster("load", out, "--from", "2027-03-01", "--to", "2027-03-07").stdout);
  expect(after.people.map(({ load }: { load: number[] }) => load[0])).toEqual([2400, 600]);
  expect(roster(...asked, "--take", "99", "--out", out)).toMatchObject({
    status: 2,
    stderr: expect.stringMatching(/there are \d+ remedies, so no number 99/),
  });
  expect(roster(...asked, "--take", "1")).toMatchObject({ status: 2, stderr: expect.stringMatching(/go together/) });
  expect(roster("remedies", file, "--person", "nobody")).toMatchObject({
    status: 2,
    stderr: expect.stringMatching(/there is no person "nobody"/),
  });
});

test("evening out prints the same bytes for the same plan and steps, and writes the plan that it leads to", () => {
  const file = planFile("even", (plan) => plan);
  const out = join(folder, "even-after.json");
  const first = roster("even-out", file, "--steps", "500", "--kinds", "give", "--out", out);
  expect(first.status).toBe(0);
  const { before, after, edits } = JSON.parse(first.stdout);
  expect([before.peakOver, before.window, after.peakOver, after.window]).toEqual([600, 600, 0, 0]);
  expect(edits).toEqual([
    {
      kind: "give",
      edits: [{ kind: "reassign", id: "anneli-small", personId: "berto" }],
      effect: expect.objectContaining({ peakOver: -600 }),
    },
  ]);
  expect(roster("even-out", file, "--steps", "500", "--kinds", "give").stdout).toBe(first.stdout);
  const load = JSON.parse(roster("load", out, "--from", "2027-03-01", "--to", "2027-03-07").stdout);
  expect(load.people.map(({ peakOver }: { peakOver: number[] }) => peakOver[0])).toEqual([0, 0]);
  expect(roster("even-out", file, "--seconds", "1").status).toBe(0);
  for (const [args, says] of [
    [["--kinds", "pray"], /"pray" is not one of give, handOver, share, delay, postpone/],
    [["--steps", "0"], /whole number from 1 on/],
    [["--steps", "5", "--seconds", "5"], /not both/],
    [["--role", "welder"], /there is no role "welder"/],
  ] as const)
    expect(roster("even-out", file, ...args)).toMatchObject({ status: 2, stderr: expect.stringMatching(says) });
});

test("nothing over, everything over, one person, no tasks, and days outside the horizon are reported plainly", () => {
  const week = ["--from", "2027-03-01", "--to", "2027-03-07"];
  const hours = (each: number) => (plan: Record<string, unknown>) => ({
    ...plan,
    assignments: (plan.assignments as object[]).map((row) => ({ ...row, hours: each })),
  });
  const both = (file: string, ...range: string[]) => {
    const remedies = JSON.parse(roster("remedies", file, "--person", "anneli", ...range).stdout);
    const even = JSON.parse(roster("even-out", file, "--steps", "2000", ...range).stdout);
    return { remedies: remedies.remedies.length, lines: even.edits.length, before: even.before.window, after: even.after.window };
  };
  expect(both(planFile("idle", hours(5)), ...week)).toEqual({ remedies: 0, lines: 0, before: 0, after: 0 });
  const full = both(planFile("full", hours(100)), ...week);
  expect([full.before, full.after <= full.before, full.remedies > 0]).toEqual([200 * 60 - 40 * 60, true, true]);
  const alone = planFile("alone", (plan) => ({
    ...plan,
    people: (plan.people as object[]).slice(0, 1),
    rateTables: [{ id: "cost", name: "Cost", kind: "cost", entries: [{ rate: 30 }] }],
  }));
  expect(both(alone, ...week).before).toBe(600);
  expect(
    both(
      planFile("bare", (plan) => ({ ...plan, tasks: [], assignments: [] })),
      ...week,
    ),
  ).toEqual({ remedies: 0, lines: 0, before: 0, after: 0 });
  expect(
    both(
      planFile("far", (plan) => plan),
      "--from",
      "2031-03-01",
      "--to",
      "2031-03-07",
    ),
  ).toEqual({ remedies: 0, lines: 0, before: 0, after: 0 });
});

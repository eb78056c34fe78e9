import { spawnSync } from "node:child_process";
import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "vitest";
import { goldenCases } from "../tests/golden.ts";

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
function roster(...args: string[]) {
  const { status, stdout, stderr } = spawnSync(process.execPath, [join(root, "dist/roster.mjs"), ...args], { encoding: "utf8" });
  return { status, stdout, stderr };
}

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
  const { status, stderr } = roster("capacity", file);
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
  [["load", sound, "--from", "2027-03-01", "--to", "2027-02-01"], /--to comes on or after/],
  [["capacity", sound, "--pencilled", "no"], /capacity has no option "--pencilled"/],
])("wrong usage %j ends with status 2 and says what is wrong", (args, says) => {
  const { status, stdout, stderr } = roster(...args);
  expect(status).toBe(2);
  expect(stdout).toBe("");
  expect(stderr).toMatch(says);
});

test("no input ends in a trace of the program, and brackets are refused at once", () => {
  const file = join(folder, "any.json");
  const inputs: [string, string | Buffer, RegExp][] = [
    ["brackets", "[".repeat(20_000_000), /brackets lie more than 40 deep/],
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

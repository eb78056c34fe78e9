// Edits and plan files by HTTP: what is refused, in which words, and that nothing changes by it.
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { goldenCases } from "../tests/golden.ts";
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { giveRockpools, planOf, postJson } from "./planRoute.ts";
import { postTo } from "./server.ts";

const people = ["rui", "kaspar", "mara", "jonas", "sade", "pia"];

test("edits that are not fit are answered with a sentence, and change nothing", async ({ server }) => {
  const before = await planOf(server);
  const base = before.revision;
  const edit = (own: object) => ({ base, request: { kind: "edit", edit: own } });
  const cases: [string | object, number, RegExp][] = [
    ["{", 400, /not JSON/],
    [{ base }, 400, /missing/],
    [edit({ kind: "explode" }), 400, /./],
    [edit({ kind: "reassign", id: "rockpools-mara", personId: "nobody" }), 409, /no longer in the plan/],
    [edit({ kind: "changeTask", id: "gone", set: { name: "x" } }), 409, /task is no longer in the plan/],
    [edit({ kind: "changeTask", id: "tidepool-cases", set: { durationDays: -3 } }), 400, /too small/],
    [edit({ kind: "changeTask", id: "tidepool-cases", set: { deadline: "2027-02-30" } }), 400, /not a date/],
    [edit({ kind: "changeTask", id: "tidepool-cases", set: { colour: "red" } }), 400, /no key "colour"/],
    ["x".repeat(17_000_000), 413, /larger than 16 MB/],
  ];
  for (const [body, status, says] of cases) {
    const answer = await postJson(server, "/api/edits", body);
    expect(answer.status, JSON.stringify(body).slice(0, 80)).toBe(status);
    expect(answer.json.faults.map(({ message }: { message: string }) => message).join(" ")).toMatch(says);
  }
  expect(await planOf(server)).toEqual(before);
});

test("a row that someone else changed is not overwritten unseen", async ({ server }) => {
  const { revision } = await planOf(server);
  expect((await postJson(server, "/api/edits", giveRockpools(revision, "rui"))).status).toBe(200);
  const late = await postJson(server, "/api/edits", giveRockpools(revision, "kaspar"));
  expect(late.status).toBe(409);
  expect((late.json.faults as { message: string }[])[0].message).toMatch(/Someone else has changed/);
  expect((await planOf(server)).plan.assignments.find(({ id }) => id === "rockpools-mara")?.personId).toBe("rui");
});

test("many edits at once are each settled once, in an order", async ({ server }) => {
  const { revision } = await planOf(server);
  const answers = await Promise.all(
    Array.from({ length: 12 }, (_, at) =>
      postJson(server, "/api/edits", {
        base: revision,
        request: {
          kind: "edit",
          edit: { kind: "reassign", id: ["rockpools-mara", "rockpools-jonas", "demo-ines", "neon-ines"][at % 4], personId: people[at % 6] },
        },
      }),
    ),
  );
  const settled = answers.filter(({ status }) => status === 200);
  expect(settled).toHaveLength(4);
  expect((await planOf(server)).revision).toBe(revision + 4);
});

test("a plan file is checked first, replaces the plan after, and the old plan is kept as a file", async ({ server }) => {
  const { revision } = await planOf(server);
  const old = await (await fetch(`${server.url}/api/plan/file`)).text();
  const other = goldenCases()[0].plan;
  const checked = (await postJson(server, "/api/plan/file", other)) as unknown as {
    status: number;
    json: { holds: { name: string; people: number } };
  };
  expect(checked.json.holds).toMatchObject({ name: "Fernhollow Exhibit Works", people: 1 });
  expect((await planOf(server)).plan.tasks.length).toBeGreaterThan(200);
  const replaced = (await postJson(server, "/api/plan/file?replace=yes", other)) as unknown as { json: { backup: string } };
  expect((await planOf(server)).plan.tasks).toHaveLength(1);
  expect(replaced.json.backup).toMatch(new RegExp(`^copies/plan-.*-revision-${revision}-[0-9a-f]{8}\\.json$`));
  expect(JSON.parse(readFileSync(join(server.folder, replaced.json.backup), "utf8"))).toEqual(JSON.parse(old));
});

test("the file that was checked replaces the plan without being sent again, says how far it is, and is held once", async ({ server }) => {
  const { revision } = await planOf(server);
  const { held } = await (await postTo(server, "/api/plan/file", goldenCases()[0].plan)).json();
  const answer = await postTo(server, `/api/plan/file?held=${held}`, "");
  const lines = (await answer.text())
    .trim()
    .split("\n")
    .map((line) => JSON.parse(line));
  const parts = lines.slice(0, -1).map(({ part }) => part);
  expect(parts).toEqual([...parts].sort((a, b) => a - b));
  expect(parts.at(-1)).toBe(1);
  expect(lines.at(-1)).toMatchObject({ faults: [], revision: revision + 1, holds: { people: 1 } });
  expect((await planOf(server)).plan.tasks).toHaveLength(1);
  const again = await postTo(server, `/api/plan/file?held=${held}`, "");
  expect([again.status, await again.json()]).toEqual([410, { faults: [expect.stringMatching(/no longer kept/)] }]);
});

test("files that are no plan are refused with the place of each fault, and the plan stays", async ({ server }) => {
  const before = await planOf(server);
  const faulty = JSON.parse(goldenCases()[0].plan);
  faulty.tasks[0].roleId = "weldr";
  const cases: [string, number, RegExp][] = [
    ["not json", 422, /This file is not JSON/],
    ["[1, 2]", 422, /not a plan/],
    ['{"format":"mindful-roster-plan","version":9}', 422, /version: This file has version 9/],
    [JSON.stringify(faulty), 422, /tasks\[0\]\.roleId: there is no role "weldr"/],
    ["x".repeat(80_000_000), 413, /larger than 48 MB/],
  ];
  for (const [body, status, says] of cases) {
    const answer = (await postJson(server, "/api/plan/file?replace=yes", body)) as unknown as {
      status: number;
      json: { faults: string[] };
    };
    expect(answer.status).toBe(status);
    expect(answer.json.faults.join(" ")).toMatch(says);
  }
  expect(await planOf(server)).toEqual(before);
});

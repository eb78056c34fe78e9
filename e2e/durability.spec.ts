// Nothing is lost: bad input, a stopped server, a killed server, a second process.
import { readdirSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { expect, type Page, test } from "@playwright/test";
import { goldenCases } from "../tests/golden.ts";
import { goTo, rateOf, typeRate, untilSaved } from "./pages.ts";
import { demoServer, emptyServer, freePort, postTo, putAway, type Server, spawnServer, startServer } from "./server.ts";

let server: Server;
test.afterEach(() => putAway(server));

interface Settled {
  revision: number;
  faults: { place: string; message: string }[];
}

const people = ["rui", "kaspar", "mara", "jonas", "sade", "pia"];

async function post(path: string, body: string | object): Promise<{ status: number; json: Settled & { faults: never[] } }> {
  const response = await postTo(server, path, typeof body === "string" ? body : JSON.stringify(body));
  return { status: response.status, json: await response.json() };
}

const give = (base: number, personId: string) => ({
  base,
  request: { kind: "edit", edit: { kind: "reassign", id: "rockpools-mara", personId } },
});

async function plan(): Promise<{
  revision: number;
  plan: { settings: { name: string }; assignments: { id: string; personId?: string }[]; tasks: { id: string; name: string }[] };
}> {
  return (await fetch(`${server.url}/api/plan`)).json();
}

test("killed between edits, the server finds every answered edit again", async () => {
  server = await demoServer();
  let { revision } = await plan();
  for (let round = 0; round < 4; round++) {
    const names: string[] = [];
    for (let at = 0; at < 8; at++) {
      const name = `Round ${round}, edit ${at}`;
      const { status, json } = await post("/api/edits", {
        base: revision,
        request: { kind: "edit", edit: { kind: "changeTask", id: "tidepool-cases", set: { name } } },
      });
      expect(status).toBe(200);
      revision = json.revision;
      names.push(name);
    }
    // One more is on its way when the process ends: it may or may not be there, but whole.
    const last = post("/api/edits", {
      base: revision,
      request: { kind: "edit", edit: { kind: "changeTask", id: "tidepool-cases", set: { name: "On its way" } } },
    }).catch(() => null);
    await server.kill();
    const answered = (await last) !== null;
    server = await startServer(server.folder);
    const found = await plan();
    const name = found.plan.tasks.find(({ id }) => id === "tidepool-cases")?.name;
    if (answered) expect(name).toBe("On its way");
    else expect([names.at(-1), "On its way"]).toContain(name);
    expect(found.revision).toBeGreaterThanOrEqual(revision);
    revision = found.revision;
  }
});

test("told to stop, the server settles and answers what it has taken, gives the folder back and ends with status 0", async () => {
  server = await demoServer();
  const { revision } = await plan();
  const edits = Array.from({ length: 30 }, (_, at) =>
    post("/api/edits", {
      base: revision,
      request: {
        kind: "edit",
        edit: { kind: "addTask", task: { id: `stop-${at}`, projectId: "tidepool", name: `At the stop ${at}` }, next: null },
      },
    }).catch(() => null),
  );
  await Promise.race(edits);
  expect(await server.stop()).toBe(0);
  const answered = (await Promise.all(edits))
    .map((answer, at) => (answer?.status === 200 ? `stop-${at}` : null))
    .filter((id) => id !== null);
  expect(answered.length).toBeGreaterThan(0);
  expect(readdirSync(server.folder)).not.toContain("lock");
  server = await startServer(server.folder);
  expect(server.said()).not.toContain("made again");
  const ids = new Set((await plan()).plan.tasks.map(({ id }) => id));
  expect(answered.filter((id) => !ids.has(id))).toEqual([]);
});

test("a server whose database is gone after a power cut serves everything that was answered, and says what it did", async () => {
  server = await demoServer();
  const { revision } = await plan();
  expect((await post("/api/edits", give(revision, "rui"))).status).toBe(200);
  const before = await plan();
  await server.kill();
  rmSync(join(server.folder, "pglite"), { recursive: true });
  server = await startServer(server.folder);
  expect(await plan()).toEqual(before);
  expect(server.said()).toMatch(/The database was gone or could not be read; it was made again/);
});

test("whoever asks without end is told to wait, and is answered again after a moment; edits go on beside many pages", async () => {
  server = await demoServer();
  const { revision } = await plan();
  const pages = Array.from({ length: 60 }, () => fetch(`${server.url}/balance`).then((page) => page.text().then(() => "page")));
  // The edit is answered while most of the pages still wait for their turn.
  const edit = post("/api/edits", give(revision, "rui")).then(() => "edit");
  const order: string[] = [];
  await Promise.all([...pages, edit].map((answer) => answer.then((what) => order.push(what))));
  expect(order.indexOf("edit")).toBeLessThan(30);
  let refused = 0;
  for (let round = 0; round < 40 && refused === 0; round++) {
    const answers = await Promise.all(Array.from({ length: 100 }, () => fetch(`${server.url}/%`)));
    refused = answers.filter(({ status }) => status === 429).length;
  }
  expect(refused).toBeGreaterThan(0);
  await expect.poll(async () => (await fetch(`${server.url}/api/plan`)).status, { timeout: 15_000 }).toBe(200);
});

test("a second server on the same folder is told who holds it, and ends", async () => {
  server = await demoServer();
  const second = spawnServer(server.folder, await freePort());
  let said = "";
  second.stderr?.on("data", (chunk) => {
    said += chunk;
  });
  const status = await new Promise((resolve) => second.once("exit", resolve));
  expect(status).toBe(1);
  expect(said).toMatch(/is in use by process \d+ on .*Stop that process, or set ROSTER_DATA/);
});

test("edits that are not fit are answered with a sentence, and change nothing", async () => {
  server = await demoServer();
  const before = await plan();
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
    const answer = await post("/api/edits", body);
    expect(answer.status, JSON.stringify(body).slice(0, 80)).toBe(status);
    expect(answer.json.faults.map(({ message }: { message: string }) => message).join(" ")).toMatch(says);
  }
  expect(await plan()).toEqual(before);
});

test("a row that somebody else changed is not overwritten unseen", async () => {
  server = await demoServer();
  const { revision } = await plan();
  expect((await post("/api/edits", give(revision, "rui"))).status).toBe(200);
  const late = await post("/api/edits", give(revision, "kaspar"));
  expect(late.status).toBe(409);
  expect((late.json.faults as { message: string }[])[0].message).toMatch(/changed by somebody else meanwhile/);
  expect((await plan()).plan.assignments.find(({ id }) => id === "rockpools-mara")?.personId).toBe("rui");
});

test("many edits at once are each settled once, in an order", async () => {
  server = await demoServer();
  const { revision } = await plan();
  const answers = await Promise.all(
    Array.from({ length: 12 }, (_, at) =>
      post("/api/edits", {
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
  expect((await plan()).revision).toBe(revision + 4);
});

test("a plan file is checked first, replaces the plan after, and the old plan is kept as a file", async () => {
  server = await demoServer();
  const old = await (await fetch(`${server.url}/api/plan/file`)).text();
  const other = goldenCases()[0].plan;
  const checked = (await post("/api/plan/file", other)) as unknown as { status: number; json: { holds: { name: string; people: number } } };
  expect(checked.json.holds).toMatchObject({ name: "Fernhollow Exhibit Works", people: 1 });
  expect((await plan()).plan.tasks.length).toBeGreaterThan(200);
  const replaced = (await post("/api/plan/file?replace=yes", other)) as unknown as { json: { backup: string } };
  expect((await plan()).plan.tasks).toHaveLength(1);
  expect(replaced.json.backup).toMatch(/^copies\/plan-.*-revision-1-[0-9a-f]{8}\.json$/);
  expect(JSON.parse(readFileSync(join(server.folder, replaced.json.backup), "utf8"))).toEqual(JSON.parse(old));
});

test("the file that was checked replaces the plan without being sent again, says how far it is, and is held once", async () => {
  server = await demoServer();
  const { held } = await (await postTo(server, "/api/plan/file", goldenCases()[0].plan)).json();
  const answer = await postTo(server, `/api/plan/file?held=${held}`, "");
  const lines = (await answer.text())
    .trim()
    .split("\n")
    .map((line) => JSON.parse(line));
  const parts = lines.slice(0, -1).map(({ part }) => part);
  expect(parts).toEqual([...parts].sort((a, b) => a - b));
  expect(parts.at(-1)).toBe(1);
  expect(lines.at(-1)).toMatchObject({ faults: [], revision: 2, holds: { people: 1 } });
  expect((await plan()).plan.tasks).toHaveLength(1);
  const again = await postTo(server, `/api/plan/file?held=${held}`, "");
  expect([again.status, await again.json()]).toEqual([410, { faults: [expect.stringMatching(/not held any longer/)] }]);
});

test("files that are no plan are told what is wrong and where, and the plan stays", async () => {
  server = await demoServer();
  const before = await plan();
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
    const answer = (await post("/api/plan/file?replace=yes", body)) as unknown as { status: number; json: { faults: string[] } };
    expect(answer.status).toBe(status);
    expect(answer.json.faults.join(" ")).toMatch(says);
  }
  expect(await plan()).toEqual(before);
});

test("a change made while the server is stopped is kept, and saved when it is back", async ({ page }) => {
  server = await demoServer();
  await goTo(page, server, "/rates");
  const { url, folder } = server;
  await server.kill();
  await typeRate(page, "Mara Ellingsen", "52.5");
  await expect(page.getByText(/The server cannot be reached\. Your changes are kept in this browser/)).toBeVisible();
  await expect(page.getByText("1 unsaved")).toBeVisible();
  await expect(await rateOf(page, "Mara Ellingsen")).toHaveText("52.50");
  // A link leads nowhere now: the screen stays, with what was typed.
  await page.getByRole("link", { name: "Money" }).click();
  await expect(page.getByText("The server cannot be reached, so this screen stays.")).toBeVisible();
  await expect(page).toHaveURL(/\/rates/);
  await expect(await rateOf(page, "Mara Ellingsen")).toHaveText("52.50");
  server = await startServer(folder, Number(new URL(url).port));
  await expect(page.getByText("The server answers again; your changes are saved.")).toBeVisible({ timeout: 30_000 });
  await page.reload();
  await expect(await rateOf(page, "Mara Ellingsen")).toHaveText("52.50");
});

test("an answer that is not the application's own, such as a proxy's 429, is no answer: the change is kept and sent again", async ({
  page,
}) => {
  server = await demoServer();
  await goTo(page, server, "/rates");
  let refused = 0;
  await page.route("**/api/edits", (route) =>
    refused++ < 2 ? route.fulfill({ status: 429, body: "Too many requests" }) : route.continue(),
  );
  await typeRate(page, "Mara Ellingsen", "52.5");
  await expect(
    page.getByText(/The server does not take changes now \(it answered 429\)\. Your changes are kept in this browser/),
  ).toBeVisible();
  await expect(page.getByText("The server answers again; your changes are saved.")).toBeVisible({ timeout: 30_000 });
  await page.reload();
  await expect(await rateOf(page, "Mara Ellingsen")).toHaveText("52.50");
});

test("a server that hangs is noticed, and what was sent to it is sent again and made once", async ({ page }) => {
  server = await demoServer();
  await goTo(page, server, "/rates");
  let hangs = true;
  await page.route("**/api/edits", (route) => (hangs ? undefined : route.continue()));
  await typeRate(page, "Mara Ellingsen", "52.5");
  await expect(page.getByText("1 unsaved")).toBeVisible({ timeout: 20_000 });
  hangs = false;
  await expect(page.getByText("The server answers again; your changes are saved.")).toBeVisible({ timeout: 30_000 });
  expect((await plan()).revision).toBe(2);
});

test("planning that ends in the middle is started again: nothing is lost, and that is said", async ({ page }) => {
  server = await demoServer();
  await goTo(page, server, "/rates");
  let isOut = true;
  await page.route("**/api/edits", (route) => (isOut ? route.abort() : route.continue()));
  await typeRate(page, "Mara Ellingsen", "52.5");
  await expect(page.getByText("1 unsaved")).toBeVisible();
  await page.workers()[0].evaluate(() => self.close());
  await expect(page.getByText(/was interrupted and has been started again; nothing was lost/)).toBeVisible();
  isOut = false;
  await untilSaved(page);
  await expect(await rateOf(page, "Mara Ellingsen")).toHaveText("52.50");
  await typeRate(page, "Ines Valtonen", "39");
  await untilSaved(page);
  await page.reload();
  await expect(await rateOf(page, "Mara Ellingsen")).toHaveText("52.50");
  await expect(await rateOf(page, "Ines Valtonen")).toHaveText("39.00");
});

test("a plan that the server does not give at first is asked for until it does", async ({ page }) => {
  server = await demoServer();
  let isOut = true;
  await page.route("**/api/plan?*", (route) => (isOut ? route.abort() : route.continue()));
  await page.goto(`${server.url}/rates`);
  await expect(page.getByText(/^The plan could not be read .* It is tried again every few seconds\.$/)).toBeVisible();
  isOut = false;
  await typeRate(page, "Mara Ellingsen", "52.5");
  await untilSaved(page);
  expect((await plan()).revision).toBe(2);
});

test("what was asked of planning that ends meanwhile is answered all the same", async ({ page }) => {
  server = await demoServer();
  await goTo(page, server, "/openings");
  await expect(page.getByRole("button", { name: "Propose for all" })).toBeEnabled();
  // It hears the question, and is gone before it has an answer.
  await page.workers()[0].evaluate(() => self.addEventListener("message", () => self.close()));
  await page.getByRole("button", { name: "Propose for all" }).click();
  await expect(page.getByText(/was interrupted and has been started again; nothing was lost/)).toBeVisible();
  await expect(page.getByText(/^Covers [\d.]+ of 76 h/)).toBeVisible({ timeout: 30_000 });
});

test("a browser whose storage is full says so at once, and saves all the same", async ({ page }) => {
  server = await demoServer();
  await goTo(page, server, "/rates");
  const session = await page.context().newCDPSession(page);
  await session.send("Storage.overrideQuotaForOrigin", { origin: server.url, quotaSize: 1 });
  await typeRate(page, "Mara Ellingsen", "52.5");
  await expect(page.getByText(/This browser keeps nothing: its storage is full or blocked/)).toBeVisible();
  await untilSaved(page);
  expect((await plan()).revision).toBe(2);
});

/** Types Mara's rate and goes to another address with nothing in between, as when somebody types and closes the window. */
async function leaveWhileTyping(page: Page, rate: string): Promise<void> {
  await page.evaluate(
    ([url, typed]) => {
      const field = document.querySelector<HTMLInputElement>('input[aria-label="Mara Ellingsen, rate"]');
      if (!field) throw new Error("the rate is on the page");
      field.focus();
      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value")?.set?.call(field, typed);
      field.dispatchEvent(new Event("input", { bubbles: true }));
      field.blur();
      location.href = `${url}/rates?left=yes`;
    },
    [server.url, rate],
  );
  await page.waitForURL(/left=yes/);
}

test("what was pressed in the very moment the page is left is saved by the next page", async ({ page }) => {
  server = await demoServer();
  await goTo(page, server, "/rates");
  await (await rateOf(page, "Mara Ellingsen")).dblclick();
  await leaveWhileTyping(page, "52.5");
  await expect(await rateOf(page, "Mara Ellingsen")).toHaveText("52.50");
  await untilSaved(page);
  await page.reload();
  await expect(await rateOf(page, "Mara Ellingsen")).toHaveText("52.50");
  const { plan } = await (await fetch(`${server.url}/api/plan`)).json();
  expect(JSON.stringify(plan.rateTables)).toContain('"personId":"mara","rate":52.5,');
});

test("what was pressed on top of an edit whose answer never came is not held to be against it", async ({ page }) => {
  server = await demoServer();
  await goTo(page, server, "/rates");
  // The server makes it, and the page is left before it hears of that.
  let isHeard = false;
  await page.route("**/api/edits", async (route) => {
    if (isHeard) return route.continue();
    await route.fetch();
  });
  await typeRate(page, "Mara Ellingsen", "47");
  await expect.poll(async () => (await plan()).revision).toBe(2);
  isHeard = true;
  await (await rateOf(page, "Mara Ellingsen")).dblclick();
  await leaveWhileTyping(page, "52.5");
  await expect(await rateOf(page, "Mara Ellingsen")).toHaveText("52.50");
  await untilSaved(page);
  expect((await plan()).revision).toBe(3);
  await expect(page.getByRole("alertdialog", { name: "Changed by two" })).toHaveCount(0);
  await expect(await rateOf(page, "Mara Ellingsen")).toHaveText("52.50");
});

test("an empty folder says what belongs on each screen, and a plan file opens from there", async ({ page }) => {
  server = await emptyServer();
  await page.goto(`${server.url}/`);
  await expect(page.getByText("Nobody is on the roster yet")).toBeVisible();
  await page.getByRole("link", { name: "Money" }).click();
  await expect(page.getByText("No projects yet")).toBeVisible();
  await page.getByRole("button", { name: "Plan" }).click();
  await page.getByRole("menuitem", { name: "Open a plan file…" }).click();
  const sheet = page.getByRole("complementary", { name: "Open a plan file" });
  await sheet.getByLabel("Plan file").setInputFiles({ name: "broken.json", mimeType: "application/json", buffer: Buffer.from("{") });
  await expect(sheet.getByText("broken.json cannot be opened; nothing was changed")).toBeVisible();
  await sheet
    .getByLabel("Plan file")
    .setInputFiles({ name: "plan.json", mimeType: "application/json", buffer: Buffer.from(goldenCases()[0].plan) });
  await expect(sheet).toContainText("1 person, 1 project, 1 task, 1 assignment");
  await sheet.getByRole("button", { name: "Replace the plan" }).click();
  await expect(page.getByRole("button", { name: /^Wren/ })).toBeVisible();
});

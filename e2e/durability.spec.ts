// Nothing is lost: a stopped server, a killed server, a second process, a folder that was empty.
import { readdirSync, rmSync } from "node:fs";
import { join } from "node:path";
import { test } from "@playwright/test";
import { goldenCases } from "../tests/golden.ts";
import { abandonedFile, dropped, halfSent, hostilePlan, pipelined, unread } from "./attacks.ts";
import { expect } from "./expect.ts";
import { goTo, rateOf, typeRate, untilSaved } from "./pages.ts";
import { giveRockpools, planOf, postJson } from "./planRoute.ts";
import { demoServer, emptyServer, freePort, postTo, putAway, type Server, spawnServer, startServer } from "./server.ts";

let server: Server;
test.afterEach(() => putAway(server));

test("killed between edits, and with its database gone, the server finds every answered edit again, and says what it did", async () => {
  server = await demoServer();
  let { revision } = await planOf(server);
  for (let round = 0; round < 3; round++) {
    const names: string[] = [];
    for (let at = 0; at < 8; at++) {
      const name = `Round ${round}, edit ${at}`;
      const { status, json } = await postJson(server, "/api/edits", {
        base: revision,
        request: { kind: "edit", edit: { kind: "changeTask", id: "tidepool-cases", set: { name } } },
      });
      expect(status).toBe(200);
      revision = json.revision;
      names.push(name);
    }
    // One more is on its way when the process ends: it may or may not be there, but whole.
    const last = postJson(server, "/api/edits", {
      base: revision,
      request: { kind: "edit", edit: { kind: "changeTask", id: "tidepool-cases", set: { name: "On its way" } } },
    }).catch(() => null);
    await server.kill();
    const answered = (await last) !== null;
    const isGone = round === 2;
    if (isGone) rmSync(join(server.folder, "pglite"), { recursive: true });
    server = await startServer(server.folder);
    if (isGone) expect(server.said()).toMatch(/The database was gone or could not be read; it was made again/);
    const found = await planOf(server);
    const name = found.plan.tasks.find(({ id }) => id === "tidepool-cases")?.name;
    if (answered) expect(name).toBe("On its way");
    else expect([names.at(-1), "On its way"]).toContain(name);
    expect(found.revision).toBeGreaterThanOrEqual(revision);
    revision = found.revision;
  }
});

test("asked to stop, the server settles and answers what it has taken, gives the folder back and ends with status 0", async () => {
  server = await demoServer();
  const { revision } = await planOf(server);
  const edits = Array.from({ length: 30 }, (_, at) =>
    postJson(server, "/api/edits", {
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
  const ids = new Set((await planOf(server)).plan.tasks.map(({ id }) => id));
  expect(answered.filter((id) => !ids.has(id))).toEqual([]);
});

test("a client that asks without end is asked to wait, and is answered again after a moment; edits go on next to many pages", async () => {
  // As few as a slow machine can overrun too.
  server = await demoServer({ ROSTER_MOST_REQUESTS: "120" });
  const { revision } = await planOf(server);
  const pages = Array.from({ length: 30 }, () => fetch(`${server.url}/balance`).then((page) => page.text().then(() => "page")));
  // The edit is answered while most of the pages still wait for their turn.
  const edit = postJson(server, "/api/edits", giveRockpools(revision, "rui")).then(() => "edit");
  const order: string[] = [];
  await Promise.all([...pages, edit].map((answer) => answer.then((what) => order.push(what))));
  expect(order.indexOf("edit")).toBeLessThan(15);
  let refused = 0;
  for (let round = 0; round < 40 && refused === 0; round++) {
    const answers = await Promise.all(Array.from({ length: 60 }, () => fetch(`${server.url}/%`)));
    refused = answers.filter(({ status }) => status === 429).length;
  }
  expect(refused).toBeGreaterThan(0);
  await expect.poll(async () => (await fetch(`${server.url}/api/plan`)).status, { timeout: 15_000 }).toBe(200);
});

test("a second server on the same folder names the owner, and ends", async () => {
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
  await expect(page.getByText("The server cannot be reached, so this screen stays open.")).toBeVisible();
  await expect(page).toHaveURL(/\/rates/);
  await expect(await rateOf(page, "Mara Ellingsen")).toHaveText("52.50");
  server = await startServer(folder, Number(new URL(url).port));
  await expect(page.getByText("The server answers again; your changes are saved.")).toBeVisible({ timeout: 30_000 });
  await page.reload();
  await expect(await rateOf(page, "Mara Ellingsen")).toHaveText("52.50");
});

test("what is typed while the server is being stopped is kept, and all of it is there after the next start", async ({ page }) => {
  server = await demoServer();
  await goTo(page, server, "/work/tidepool");
  const { url, folder } = server;
  const names = Array.from({ length: 24 }, (_, at) => `Typed at the stop ${at}`);
  const entry = page.getByLabel("Add a task");
  let stopped: Promise<number | null> | null = null;
  for (const [at, name] of names.entries()) {
    await entry.fill(`${name}, 2 h`);
    await page.keyboard.press("Enter");
    await expect(entry).toHaveValue("");
    if (at === 6) stopped = server.stop();
  }
  expect(await stopped).toBe(0);
  server = await startServer(folder, Number(new URL(url).port));
  await untilSaved(page);
  const { plan } = await planOf(server);
  expect(plan.tasks.map(({ name }) => name).filter((name) => name.startsWith("Typed at the stop"))).toEqual(names);
});

test("pages and edits are answered as before after thousands of dropped, pipelined, half-sent and unread requests", async () => {
  test.setTimeout(180_000);
  server = await demoServer();
  const { revision } = await planOf(server);
  await Promise.all(Array.from({ length: 20 }, () => pipelined(server, "/today", 50)));
  await dropped(server, "/enquire", 100, 16, 90);
  await dropped(server, "/today", 400, 40, 30);
  const endHalf = await halfSent(server, "/today", 300);
  const endUnread = await unread(server, "/balance", 20);
  const edit = await postJson(server, "/api/edits", giveRockpools(revision, "rui"));
  expect(edit.status).toBe(200);
  for (const path of ["/today", "/enquire", "/balance"])
    await expect.poll(async () => (await fetch(`${server.url}${path}`)).status, { timeout: 60_000 }).toBeLessThan(500);
  endHalf();
  endUnread();
  expect(server.said()).not.toMatch(/Error|at .*\.js/);
});

test("asked to stop while hostile files are read, the server ends, and its edits are there", async () => {
  server = await demoServer();
  const { revision } = await planOf(server);
  const files = Array.from({ length: 6 }, () => abandonedFile(server, hostilePlan(60_000), 400));
  expect((await postJson(server, "/api/edits", giveRockpools(revision, "rui"))).status).toBe(200);
  await Promise.all(files);
  const reading = postTo(server, "/api/plan/file", hostilePlan(60_000)).catch(() => null);
  expect(await server.stop()).toBe(0);
  await reading;
  server = await startServer(server.folder);
  expect((await planOf(server)).plan.assignments.find(({ id }) => id === "rockpools-mara")?.personId).toBe("rui");
});

test("two people check plan files at the same time, and a client that leaves while one replaces the plan changes nothing of that", async () => {
  server = await demoServer();
  const { plan } = await planOf(server);
  const check = async (name: string) => (await postJson(server, "/api/plan/file", { ...plan, settings: { ...plan.settings, name } })).json;
  const [one, two] = [await check("One"), await check("Two")];
  const leaving = new AbortController();
  const left = postTo(server, `/api/plan/file?held=${one.held}`, "", {}, leaving.signal).catch(() => null);
  setTimeout(() => leaving.abort(), 30);
  await left;
  await expect.poll(async () => (await planOf(server)).plan.settings.name).toMatch(/One|Fernhollow/);
  expect((await postTo(server, `/api/plan/file?held=${two.held}`, "")).status).toBe(200);
  await expect.poll(async () => (await planOf(server)).plan.settings.name).toBe("Two");
  expect(server.said()).not.toMatch(/\n\s+at /);
  expect(readdirSync(join(server.folder, "copies")).filter((name) => name.endsWith(".announced"))).toEqual([]);
});

test("an edit with text that cannot be stored is refused with its place", async () => {
  server = await demoServer();
  const { revision } = await planOf(server);
  const body = `{"base":${revision},"request":{"kind":"edit","edit":{"kind":"changeTask","id":"tidepool-cases","set":{"name":"half \\ud83d"}}}}`;
  const { status, json } = await postJson(server, "/api/edits", body);
  expect(status).toBe(400);
  expect(json.faults).toEqual([
    {
      place: "request.edit.set.name",
      message: "holds a character that cannot be stored: half of a pair of surrogates, or number 0. Remove it.",
    },
  ]);
});

test("an empty folder says what belongs on each screen, and a plan file opens from there", async ({ page }) => {
  server = await emptyServer();
  await page.goto(`${server.url}/`);
  await expect(page.getByText("Start with the people")).toBeVisible();
  await page.getByRole("link", { name: "Money" }).click();
  await expect(page.getByText("No figures yet", { exact: true })).toBeVisible();
  // The page is before its buttons can be used.
  await expect(page.locator("[data-ready=yes]")).toBeAttached();
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

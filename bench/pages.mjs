// Pages of the large plan in Chromium: how long until one can be used, until another screen is, until a sheet opens.
// `node bench/pages.mjs ../former` measures the built application of another folder next to this one, turn by turn.
import { chromium } from "@playwright/test";
import { CHROMIUM } from "../scripts/install.mjs";
import { planServer } from "./planServer.mjs";

const ROUNDS = 3;
/** Aim for a screen that is visited for the first time, ms. */
const FIRST_VISIT = 150;
const pages = ["/balance", "/work", "/openings", "/people", "/rates", "/money", "/today"];
const screens = ["Work", "Openings", "People", "Rates", "Money", "Today", "Balance"];

const folders = [process.cwd(), ...process.argv.slice(2)];
const servers = [];
for (const [at, folder] of folders.entries()) servers.push(await planServer(folder, 3191 + at));
let isMissed = false;
const browser = await chromium.launch({ executablePath: CHROMIUM });
try {
  console.log(`\nPages of the large plan in Chromium, ms, best of ${ROUNDS}${folders.length > 1 ? `: ${folders.join(" | ")}` : ""}`);
  for (const path of pages) print(`${path}, ready to use`, await best((url) => opened(url, path)));
  const project = (await firstProject(servers[0].url)) ?? "/work";
  print(`${project}, ready to use`, await best((url) => opened(url, project)));
  for (const name of screens) print(`to ${name}, for the first time`, await best((url) => changed(url, name, false)), FIRST_VISIT);
  for (const name of screens) print(`to ${name}, again`, await best((url) => changed(url, name, true)));
  for (const [name, isTask] of Object.entries({ "a task’s sheet": true, "the project’s own sheet": false }))
    for (const [when, restMs] of Object.entries({ "right after": 500, "at rest": 2_500 }))
      print(`${name}, ${when}`, await best((url) => sheet(url, project, isTask, restMs)));
} finally {
  await browser.close();
  for (const server of servers) await server.stop();
}
process.exit(isMissed ? 1 : 0);

/** The least of some rounds for each server, which take turns. */
async function best(measure) {
  const least = servers.map(() => Number.POSITIVE_INFINITY);
  for (let round = 0; round < ROUNDS; round++)
    for (const [at, { url }] of servers.entries()) least[at] = Math.min(least[at], await measure(url));
  return least;
}

async function newPage() {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  // The page notes itself when it can be used: asking it again and again takes part of the time that is measured.
  await context.addInitScript(() => {
    globalThis.usableAt = new Promise((resolve) => {
      const observer = new MutationObserver(([{ target }]) => {
        if (target instanceof HTMLElement && target.dataset.ready === "yes") resolve(performance.now());
      });
      observer.observe(document, { subtree: true, attributes: true, attributeFilter: ["data-ready"] });
    });
  });
  return context.newPage();
}

/** Goes to a page. @returns How long it took until it could be used, from when it was asked for. */
async function usable(page, address) {
  await page.goto(address, { waitUntil: "commit" });
  return page.evaluate(() => globalThis.usableAt);
}

async function opened(url, path) {
  const page = await newPage();
  const took = await usable(page, `${url}${path}`);
  await page.context().close();
  return took;
}

/** From a press in the rail to the frame in which the other screen's title is: the first time in a page that was just
 * opened, with the scripts of that screen, or another time in one that has settled. */
async function changed(url, name, isAgain) {
  const from = name === "Balance" ? "Work" : "Balance";
  const page = await newPage();
  await usable(page, `${url}/${from.toLowerCase()}`);
  let took = await pressed(page, name);
  for (const screen of isAgain ? [from, name, from, name] : []) {
    await page.waitForTimeout(700);
    took = await pressed(page, screen);
  }
  await page.context().close();
  return took;
}

function pressed(page, name) {
  return page.evaluate(async (screen) => {
    const link = [...document.querySelectorAll("nav a")].find((own) => own.textContent?.trim().startsWith(screen));
    const start = performance.now();
    link?.click();
    while (!document.querySelector("main h1")?.textContent?.startsWith(screen)) await new Promise(requestAnimationFrame);
    return performance.now() - start;
  }, name);
}

/** From a press to the frame that the sheet's form is in. */
async function sheet(url, project, isTask, restMs) {
  const page = await newPage();
  await usable(page, `${url}${project}`);
  await page.waitForTimeout(restMs);
  const took = await page.evaluate(async (ofTask) => {
    const row = document.querySelectorAll("[data-task]")[3];
    const cell = row?.querySelector("[data-column=task]") ?? row?.querySelector("button") ?? row;
    const details = [...document.querySelectorAll("button")].find((own) => own.textContent === "Details");
    const start = performance.now();
    (ofTask ? cell : details)?.click();
    while (!document.querySelector("aside form, [role=complementary] form")) await new Promise(requestAnimationFrame);
    return performance.now() - start;
  }, isTask);
  await page.context().close();
  return took;
}

async function firstProject(url) {
  const { plan } = await (await fetch(`${url}/api/plan`)).json();
  return `/work/${encodeURIComponent(plan.projects[0].id)}`;
}

/** @param aim Of the first folder, which fails when it is missed by half. */
function print(name, figures, aim) {
  const missed = aim !== undefined && !(figures[0] <= aim * 1.5);
  isMissed ||= missed;
  const aimText = aim === undefined ? "" : `  (aim ${aim}${missed ? ": MISSED" : ""})`;
  console.log(`  ${name.padEnd(44)} ${figures.map((figure) => figure.toFixed(0).padStart(7)).join(" ")}${aimText}`);
}

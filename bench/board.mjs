// The board with the large plan in Chromium: how long frames take while it scrolls, and how long after a drop the result
// is painted. `node bench/board.mjs ../former` measures the built application of another folder next to this one, turn by turn.
import { chromium } from "@playwright/test";
import { CHROMIUM } from "../scripts/install.mjs";
import { planServer } from "./planServer.mjs";

const DROPS = 7;
const PRESSES = 3;

const folders = [process.cwd(), ...process.argv.slice(2)];
const servers = [];
for (const [at, folder] of folders.entries()) servers.push(await planServer(folder, 3191 + at));
const browser = await chromium.launch({ executablePath: CHROMIUM });
let isMissed = false;
try {
  const beside = folders.length > 1 ? `, ${folders.join(" | ")}` : "";
  console.log(`\nBalance, 2,000 people, in Chromium, ms${beside}`);
  await measureFrames();
  await measureDrops();
  await measurePresses();
} finally {
  await browser.close();
  for (const server of servers) await server.stop();
}
process.exit(isMissed ? 1 : 0);

/** Median and 95th percentile of frames while the board scrolls over 104 weeks. */
async function measureFrames() {
  const ways = [
    ["frames while nothing moves: what this machine draws at best", 0, 0],
    ["frames, one row each", 0, 46],
    ["frames, one column each", 69, 0],
    ["frames, both ways at once", 69, 46, 20],
  ];
  const pages = [];
  for (const { url } of servers) pages.push(await boardOn(url, "from=2027-01-04&to=2028-12-31&rows=none"));
  for (const [name, dx, dy, aim] of ways) {
    const taken = [];
    for (const page of pages) {
      await page.bringToFront();
      taken.push(await frames(page, dx, dy));
    }
    print(
      name,
      taken.map(([median]) => median),
      aim,
      taken.map(([median, most]) => `${median.toFixed(1)} (95%: ${most.toFixed(1)})`),
    );
  }
  for (const page of pages) await page.close();
}

/** From letting a bar go to the frame that shows it with its new holder; the folders take turns. */
async function measureDrops() {
  const pages = [];
  for (const { url } of servers) pages.push(await boardOn(url, "from=2027-01-04&to=2027-12-31&by=month&rows=none&open=p0,p1,p2,p3"));
  const times = pages.map(() => []);
  for (let round = 0; round < DROPS; round++)
    for (const [at, page] of pages.entries()) {
      await page.bringToFront();
      times[at].push(await dropOn(page, "p4"));
    }
  const medians = times.map((own) => own.toSorted((a, b) => a - b)[Math.floor(own.length / 2)]);
  print(
    "from drop to painted result, median",
    medians,
    40,
    times.map((own) => own.map((time) => time.toFixed(0)).join(" ")),
  );
  for (const page of pages) await page.close();
}

/** From a press on an overloaded cell to its sum in the sheet, and to the first remedy; every press in a page of its own. */
async function measurePresses() {
  const taken = servers.map(() => ({ cell: [], remedy: [] }));
  for (let round = 0; round < PRESSES; round++)
    for (const [at, { url }] of servers.entries()) {
      const page = await boardOn(url, "from=2027-01-04&to=2027-12-31&by=month&rows=none&sort=worst");
      const { cell, remedy } = await pressOn(page);
      taken[at].cell.push(cell);
      taken[at].remedy.push(remedy);
      await page.close();
    }
  for (const [name, key, aim] of [
    ["from a press on a cell to its sum, best", "cell", 100],
    ["from a press on a cell to the first remedy, best", "remedy", 600],
  ])
    print(
      name,
      taken.map((own) => Math.min(...own[key])),
      aim,
      taken.map((own) => own[key].map((time) => time.toFixed(0)).join(" ")),
    );
}

function pressOn(page) {
  return page.evaluate(async () => {
    const cell = [...document.querySelectorAll("[role=gridcell]")].find((own) => /over by/.test(own.getAttribute("aria-label") ?? ""));
    const start = performance.now();
    cell.click();
    const until = async (isThere) => {
      for (let frame = 0; frame < 1_200 && !isThere(); frame++) await new Promise(requestAnimationFrame);
      return isThere() ? performance.now() - start : Number.NaN;
    };
    const sheet = () => document.querySelector("aside.sheet, aside, [role=complementary]");
    return {
      cell: await until(() => /\d h/.test(sheet()?.textContent ?? "")),
      remedy: await until(() => [...(sheet()?.querySelectorAll("button") ?? [])].some((own) => own.textContent === "Apply")),
    };
  });
}

async function boardOn(url, query) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${url}/balance?${query}`);
  await page.locator("[data-ready=yes]").waitFor({ state: "attached", timeout: 60_000 });
  await page.waitForTimeout(3_000);
  return page;
}

/** Scrolls the board by a step each frame; gives the median and the 95th percentile of what a frame takes. */
function frames(page, left, top) {
  return page.evaluate(
    async ([dx, dy]) => {
      const grid = document.querySelector("[role=grid]").parentElement;
      grid.scrollTo(0, 0);
      const times = [];
      let last = performance.now();
      for (let at = 0; at < 150; at++) {
        await new Promise(requestAnimationFrame);
        grid.scrollBy(dx, dy);
        const now = performance.now();
        times.push(now - last);
        last = now;
      }
      grid.scrollTo(0, 0);
      times.sort((a, b) => a - b);
      return [times[75], times[142]];
    },
    [left, top],
  );
}

/** Drags the first bar in sight onto a person; gives the time from letting go to the frame that shows it. */
async function dropOn(page, target) {
  const bar = await page
    .locator("[data-person] button[aria-label*='Drag onto']")
    .evaluateAll((bars) =>
      bars.map((own) => own.getBoundingClientRect().toJSON()).find(({ x, y, width }) => x > 330 && x + width < 1260 && y > 150 && y < 620),
    );
  const row = await page.locator(`[data-person=${target}]`).boundingBox({ timeout: 5_000 });
  if (!bar || !row) return Number.NaN;
  await page.mouse.move(bar.x + 8, bar.y + 10);
  await page.mouse.down();
  await page.mouse.move(row.x + 420, row.y + 20, { steps: 8 });
  await page.waitForTimeout(800);
  await page.evaluate(() => {
    const count = () => document.querySelectorAll("[data-person] button[aria-label*='Drag onto']").length;
    const before = count();
    window.painted = undefined;
    const drop = () => {
      const start = performance.now();
      const look = () => {
        if (count() === before) requestAnimationFrame(look);
        else window.painted = performance.now() - start;
      };
      requestAnimationFrame(look);
    };
    window.addEventListener("pointerup", drop, { once: true, capture: true });
  });
  await page.mouse.up();
  for (let attempt = 0; attempt < 20; attempt++) {
    await page.waitForTimeout(250);
    const painted = await page.evaluate(() => window.painted);
    if (painted !== undefined) return painted;
  }
  return Number.NaN;
}

/** @param aim Of the first folder, which fails when it is missed by half. @param details Of each folder. */
function print(name, figures, aim, details) {
  const missed = aim !== undefined && !(figures[0] <= aim * 1.5);
  isMissed ||= missed;
  const aimText = aim === undefined ? "" : `  (aim ${aim}${missed ? ": MISSED" : ""})`;
  console.log(`  ${name.padEnd(62)} ${details.join(" | ")}${aimText}`);
}

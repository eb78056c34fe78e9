// The board with the large plan in Chromium: how long frames take while it scrolls, and how long after a drop the result
// is painted. Needs the built application and Chromium.
import { chromium } from "@playwright/test";
import { CHROMIUM } from "../scripts/install.mjs";
import { planServer } from "./planServer.mjs";

const { url, stop } = await planServer();
try {
  const browser = await chromium.launch({ executablePath: CHROMIUM });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${url}/balance?from=2027-01-04&to=2028-12-31&rows=none`);
  await page.locator("[data-ready=yes]").waitFor({ state: "attached", timeout: 60_000 });
  await page.waitForTimeout(2_000);
  const still = await frames(page, 0, 0);
  console.log("\nBalance, 2,000 people × 104 weeks, in Chromium: median and 95th percentile of frames, ms");
  print("nothing moves (what this machine draws at best)", still);
  print("one row a frame", await frames(page, 0, 46));
  print("one column a frame", await frames(page, 69, 0));
  print("both ways at once", await frames(page, 69, 46));
  await page.goto(`${url}/balance?from=2027-01-04&to=2027-12-31&by=month&rows=none&open=p0,p1,p2,p3`);
  await page.locator("[data-ready=yes]").waitFor({ state: "attached", timeout: 60_000 });
  await page.waitForTimeout(2_000);
  const times = [];
  for (const target of ["p4", "p4", "p4", "p4"]) times.push(await dropOn(page, target));
  console.log(`from drop to painted result: ${times.map((time) => `${time.toFixed(0)} ms`).join(", ")}`);
  await browser.close();
} finally {
  await stop();
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

function print(name, [median, most]) {
  console.log(`  ${name.padEnd(52)} ${median.toFixed(1).padStart(6)} ${most.toFixed(1).padStart(6)}`);
}

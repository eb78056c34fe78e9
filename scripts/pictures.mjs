// npm run pictures: takes docs/screenshots from the built application on a fresh copy of the demo plan.
import { spawn } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { chromium, expect } from "@playwright/test";
import { run } from "./commands.mjs";
import { CHROMIUM, installChromium, installPackages } from "./install.mjs";

const PORT = process.env.PORT ?? "3190";
const views = [
  { name: "today", path: "/today" },
  { name: "even-out", path: "/balance?even=all", press: "Even out", awaits: "Proposed moves" },
  { name: "balance", path: "/balance?open=ines&cell=ines@2027-02-22_2027-02-28" },
  { name: "sketches", path: "/sketches?beside=sketch-spring&open=sketch-spring" },
  { name: "openings", path: "/openings?opening=tank-open" },
  { name: "enquiries", path: "/enquiries?enquiry=enquiry-mill" },
  { name: "work", path: "/work" },
  { name: "project", path: "/work/tidepool?task=tidepool-cases&from=2027-01-25&to=2027-05-23" },
  { name: "hours", path: "/people/person/mara/hours?from=2027-02-01&to=2027-03-28" },
  { name: "week", path: "/week?person=mara&week=2027-01-25", press: "As planned", region: "main" },
  { name: "people", path: "/people?person=tomas" },
  { name: "person", path: "/people/person/eha?part=off:eha-1" },
  { name: "leave", path: "/people/leave?request=bo:bo-1" },
  { name: "rates", path: "/rates" },
  { name: "money", path: "/money" },
  { name: "cash-flow", path: "/money/cash-flow?of=project:tidepool&span=plan" },
  { name: "margin", path: "/money/margin?project=slowlight" },
  { name: "horizon", path: "/horizon" },
  // Last: it takes a baseline.
  {
    name: "earned-value",
    path: "/money/earned?sheet=take&row=tidepool",
    theme: "dark",
    press: "Take the baseline",
    awaits: "Tasks, the largest delay first",
  },
];

await installPackages();
await installChromium();
const folder = mkdtempSync(join(tmpdir(), "roster-pictures-"));
await run(process.execPath, ["--import", "tsx", "demo/load.ts"], { ROSTER_DATA: folder });
const server = spawn(process.execPath, ["dist/server.mjs", "start"], {
  stdio: ["ignore", "ignore", "inherit"],
  env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1", NODE_ENV: "production", HOST: "127.0.0.1", PORT, ROSTER_DATA: folder },
});
try {
  await answers(`http://127.0.0.1:${PORT}/api/plan`);
  const browser = await chromium.launch({ executablePath: CHROMIUM });
  for (const { name, path, theme, press, region = "complementary", awaits } of views) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    await context.addCookies([{ name: "theme", value: theme ?? "light", url: `http://127.0.0.1:${PORT}` }]);
    const page = await context.newPage();
    await page.goto(`http://127.0.0.1:${PORT}${path}`);
    await page.locator("[data-ready=yes]").waitFor({ state: "attached" });
    if (press) await page.getByRole(region).getByRole("button", { name: press }).click();
    if (awaits) await page.getByRole("list", { name: awaits }).waitFor();
    await page.waitForTimeout(500);
    // A picture is taken once all calculations are done.
    await expect(page.getByText(/^Calculating…|tried so far…$/)).toHaveCount(0, { timeout: 30_000 });
    await page.screenshot({ path: `docs/screenshots/${name}.png` });
    await context.close();
  }
  await browser.close();
} finally {
  server.kill("SIGTERM");
  await new Promise((resolve) => server.once("exit", resolve));
  rmSync(folder, { recursive: true, force: true });
}

async function answers(url) {
  for (let attempt = 0; attempt < 150; attempt++) {
    const isUp = await fetch(url).then(
      ({ ok }) => ok,
      () => false,
    );
    if (isUp) return;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  throw new Error("the server did not answer; is the application built (npm run build)?");
}

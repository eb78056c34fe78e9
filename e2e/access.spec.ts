// Every screen in both themes, held against WCAG 2.2 AA by axe, and nothing cut off at 1280 × 800.
import type { Page } from "@playwright/test";
import axe from "axe-core";
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { goTo } from "./pages.ts";

test.use({ onlyLooks: true });

const screens = [
  "/today",
  "/today?sheet=kinds",
  "/balance?even=all",
  "/balance",
  "/balance?rows=projects&show=load",
  "/balance?open=ines&cell=ines@2027-02-22_2027-02-28",
  "/work?add=true",
  "/work/tidepool?task=tidepool-cases&tray=true",
  "/work/tidepool?task=time-left",
  "/work/tidepool?task=page&columns=who,hours,slack,progress",
  "/work/ravenholt?task=ravenholt-survey",
  "/openings?beside=kaspar,jonas",
  "/openings?sheet=free",
  "/openings/requests?request=request-film",
  "/openings/outbox",
  "/people?person=tomas",
  "/people/person/tomas?part=week:0",
  "/people/leave?request=eha:eha-1",
  "/people/teams?team=workshop",
  "/people/calendars?part=holidays",
  "/people/skills",
  "/people/import",
  "/rates",
  "/horizon",
  "/enquiries?enquiry=enquiry-mill",
  "/sketches?beside=sketch-spring&open=sketch-spring",
  "/balance?sketch=sketch-spring",
  "/money?cost=all",
  "/money/cash-flow?of=project:tidepool",
  "/money/margin?project=slowlight",
  "/money/earned?sheet=take",
];

for (const path of screens)
  test(`${path} in both themes`, async ({ page, server }) => {
    await goTo(page, server, path);
    const html = page.locator("html");
    const wear = (theme: string) => html.evaluate((element, to) => element.setAttribute("data-theme", to), theme);
    await wear("dark");
    // The dark theme has the same elements in other colours: only what colours decide is looked at twice.
    expect(await against(page, { type: "rule", values: ["color-contrast"] })).toEqual([]);
    await wear("light");
    expect(await against(page, { type: "tag", values: ["wcag2a", "wcag2aa", "wcag21aa", "wcag22aa"] })).toEqual([]);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(1280);
  });

/** The violations of some rules on a page, each with its first places. */
async function against(page: Page, runOnly: axe.RunOnly): Promise<string[]> {
  // The page stays from screen to screen, and what has been loaded into it.
  if (!(await page.evaluate(() => "axe" in window))) await page.evaluate(axe.source);
  // Only what is wrong has to be reported: all else takes longer to say than to find.
  const options: axe.RunOptions = { runOnly, resultTypes: ["violations"] };
  const { violations } = await page.evaluate<axe.AxeResults>(`axe.run(document, ${JSON.stringify(options)})`);
  return violations.map(
    ({ id, nodes }) =>
      `${id}: ${nodes
        .slice(0, 3)
        .map(({ target, failureSummary }) => `${target} ${failureSummary}`)
        .join(" | ")}`,
  );
}

// Every screen in both themes, held against WCAG 2.2 AA by axe, and nothing cut off at 1280 × 800.
import AxeBuilder from "@axe-core/playwright";
import { expect, test } from "@playwright/test";
import { goTo } from "./pages.ts";
import { demoServer, putAway, type Server } from "./server.ts";

let server: Server;
test.beforeAll(async () => {
  server = await demoServer();
});
test.afterAll(() => putAway(server));

const screens = [
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
  "/money?cost=all",
];

for (const theme of ["light", "dark"]) {
  for (const path of screens) {
    test(`${path} in the ${theme} theme`, async ({ page, context }) => {
      await context.addCookies([{ name: "theme", value: theme, url: server.url }]);
      await goTo(page, server, path);
      await expect(page.locator("html")).toHaveAttribute("data-theme", theme);
      const axe = new AxeBuilder({ page });
      // The dark theme has the same elements in other colours: only what colours decide is looked at again.
      const rules = theme === "light" ? axe.withTags(["wcag2a", "wcag2aa", "wcag21aa", "wcag22aa"]) : axe.withRules(["color-contrast"]);
      const { violations } = await rules.analyze();
      expect(
        violations.map(
          ({ id, nodes }) =>
            `${id}: ${nodes
              .slice(0, 3)
              .map(({ target, failureSummary }) => `${target} ${failureSummary}`)
              .join(" | ")}`,
        ),
      ).toEqual([]);
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(1280);
    });
  }
}

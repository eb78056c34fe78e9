// On a small window, 1024 × 768, where things move: every sheet can be closed, nothing needed lies off the screen.
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { goTo, sheetOf } from "./pages.ts";

const withSheet = [
  "/balance?cell=mara@2027-02-15_2027-02-21",
  "/work?add=true",
  "/work/tidepool?task=tidepool-scenic",
  "/work/tidepool?task=project",
  "/people?person=tomas",
  "/people/person/mara?part=handOver",
  "/people/teams?team=workshop",
  "/people/leave?request=eha:eha-1",
  "/settings/roles?name=designer",
  "/today?sheet=kinds",
  "/openings?sheet=free",
  "/enquiries?enquiry=enquiry-mill",
];

test.describe("1024 × 768", () => {
  test.use({ viewport: { width: 1024, height: 768 }, contextOptions: { reducedMotion: "no-preference" } });

  test("every sheet is closed by its own button, and the tools of the frame are on the screen", async ({ page, server }) => {
    for (const path of withSheet) {
      await goTo(page, server, path);
      for (const name of ["Plan", "Find /", "Keyboard shortcuts (?)"])
        await expect(page.getByRole("button", { name, exact: true }), path).toBeInViewport({ ratio: 1 });
      const close = sheetOf(page).getByRole("button", { name: "Close (Esc)" });
      await expect(close, path).toBeInViewport({ ratio: 1 });
      await close.click();
      await expect(sheetOf(page), path).toHaveCount(0);
      expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(1024);
    }
  });
});

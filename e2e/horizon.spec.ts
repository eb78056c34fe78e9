// Horizon in the browser: a role's figures open into its work and people, and the pipeline is looked at in other ways.
import { readFile } from "node:fs/promises";
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { choose, goTo, holdPrinter, printed, sheetOf } from "./pages.ts";

const hoursOf = (text: string): number => Number(text.replace(/[^\d.−]/g, "").replace("−", "-"));

test("a pipeline project looked at as lost, or later, changes its roles at once; any figure opens into what it is made of", async ({
  page,
  server,
}) => {
  await goTo(page, server, "/horizon");
  await expect(page.getByRole("figure")).toHaveCount(8);
  const table = page.getByRole("region", { name: "Figures by role" });
  await choose(table.getByRole("combobox"), "Needed, 95% confidence");
  const april = table.getByRole("button", { name: /^Exhibit designer, April 2027/ });
  const before = hoursOf((await april.textContent()) ?? "");
  await april.click();
  const sheet = sheetOf(page);
  await expect(sheet.getByRole("heading", { name: "Exhibit designer" })).toBeVisible();
  await expect(sheet.getByText("Amadou Sissoko").first()).toBeVisible();
  const together = await sheet
    .locator("section", { has: page.getByRole("heading", { name: "Assigned", exact: true }) })
    .getByText(/ h$/)
    .allTextContents();
  const hours = together.map(hoursOf);
  expect(Math.abs(hours.slice(0, -1).reduce((sum, own) => sum + own, 0) - (hours.at(-1) ?? 0))).toBeLessThan(1);
  await page.getByRole("button", { name: /^Pipeline, 3/ }).click();
  const seeds = sheet.locator("section", { hasText: "Seed Vault" });
  await seeds.getByRole("radio", { name: "Lost" }).click();
  await expect(page.getByText("the pipeline differs from the plan")).toBeVisible();
  await expect.poll(async () => hoursOf((await april.textContent()) ?? "")).toBeLessThan(before);
  await seeds.getByRole("radio", { name: "Weighted" }).click();
  await expect.poll(async () => hoursOf((await april.textContent()) ?? "")).toBe(before);
  await seeds.getByLabel("Weeks later, Seed Vault").fill("30");
  await seeds.getByLabel("Weeks later, Seed Vault").press("Enter");
  await expect.poll(async () => hoursOf((await april.textContent()) ?? "")).toBeLessThan(before);
  await sheet.getByRole("button", { name: "Reset to the plan" }).click();
  await expect.poll(async () => hoursOf((await april.textContent()) ?? "")).toBe(before);
  // Dragged along its strip, the table follows while it is held; put back by Esc, it is as it was.
  const bar = seeds.getByRole("slider", { name: "Start of Seed Vault" });
  const box = await bar.boundingBox();
  if (!box) throw new Error("the bar is on the screen");
  await page.mouse.move(box.x + 4, box.y + 5);
  await page.mouse.down();
  await page.mouse.move(box.x + 104, box.y + 5, { steps: 5 });
  await expect.poll(async () => hoursOf((await april.textContent()) ?? "")).toBeLessThan(before);
  await page.keyboard.press("Escape");
  await page.mouse.up();
  await expect.poll(async () => hoursOf((await april.textContent()) ?? "")).toBe(before);
  await bar.press("ArrowRight");
  await bar.press("ArrowRight");
  await expect(seeds.getByLabel("Weeks later, Seed Vault")).toHaveValue("2");
});

test("what would help a short role is measured, and a project begun later is shown", async ({ page, server }) => {
  await goTo(page, server, "/horizon");
  await page.getByRole("button", { name: /^Lighting technician, May 2027/ }).click();
  const help = sheetOf(page).getByRole("list", { name: "Options" }).getByRole("listitem");
  await expect(help.filter({ hasText: /Hire 1 more person as lighting technician/ })).toContainText("h left");
  const later = help.filter({ hasText: /^Start Harbour of Lamps 4 weeks later|^Start Seed Vault \d+ weeks later/ }).first();
  const left = hoursOf(((await later.textContent()) ?? "").replace(/^.*later/, "").replace(/ h left.*$/, ""));
  await later.getByRole("button", { name: "show it" }).click();
  await expect(page.getByText("the pipeline differs from the plan")).toBeVisible();
  await expect(sheetOf(page)).toContainText(`now ${left} h`);
});

test("what would help is taken into a sketch, which has the people in it and the plan has not", async ({ page, server }) => {
  await goTo(page, server, "/horizon");
  const table = page.getByRole("table").first();
  await expect(table).toBeVisible();
  await page.getByRole("button", { name: /^Lighting technician, May 2027/ }).click();
  const hire = sheetOf(page)
    .getByRole("listitem")
    .filter({ hasText: /^Hire 1 more person as lighting technician/ });
  const left = hoursOf(((await hire.textContent()) ?? "").replace(/^.*weeks/, "").replace(/ h left.*$/, ""));
  await hire.getByRole("button", { name: "try it in a sketch" }).click();
  await expect(page.getByRole("status").filter({ hasText: "Sketch:" })).toContainText("1 change recorded");
  // The role is as short there as was said.
  await expect(sheetOf(page)).toContainText(left > 0 ? `now ${left} h` : /May 2027/);
  await page.getByRole("navigation", { name: "Screens" }).getByRole("link", { name: "People" }).click();
  await page.getByLabel("Find people").or(page.getByPlaceholder("Name, role, skill, place")).fill("New Lighting");
  await expect(page.getByRole("row", { name: /New Lighting technician 1/ })).toBeVisible();
  await page.getByRole("button", { name: "Close the sketch" }).click();
  await expect(page.getByRole("row", { name: /New Lighting technician 1/ })).toHaveCount(0);
});

test("the possible start of an enquiry is shown with the role that prevents an earlier one", async ({ page, server }) => {
  await goTo(page, server, "/horizon");
  await page.getByRole("button", { name: /^Pipeline, 3/ }).click();
  const lamps = sheetOf(page).locator("section", { hasText: "Harbour of Lamps" });
  await lamps.getByRole("button", { name: "When could it start?" }).click();
  await expect(lamps.getByText(/^In the week of/)).toBeVisible();
  await expect(lamps.getByRole("img", { name: /Hours short, by start week/ })).toBeVisible();
  const strict = (await lamps.getByText(/^In the week of/).textContent()) ?? "";
  // Options to start earlier are tried week by week, and shown with their gain.
  await lamps.getByRole("button", { name: "How could it start earlier?" }).click();
  const hire = lamps
    .getByRole("listitem")
    .filter({ hasText: /^Hire 1 more person as/ })
    .first();
  await expect(hire.getByText(/In the week of .*earlier\.|No earlier\./)).toBeVisible();
  const sooner = lamps
    .getByRole("listitem")
    .filter({ hasText: /weeks? earlier\./ })
    .first();
  const week = /In the week of [^,]+/.exec((await sooner.textContent()) ?? "")?.[0] ?? "none is sooner";
  await sooner.getByRole("button", { name: "try it in a sketch" }).click();
  await expect(page.getByRole("status").filter({ hasText: "Sketch:" })).toContainText("1 change recorded");
  await expect(lamps.getByText(new RegExp(`^${week}`)).first()).toBeVisible();
  await page.getByRole("button", { name: "Close the sketch" }).click();
  await expect(lamps.getByText(strict.trim()).first()).toBeVisible();
  // With an accepted shortage it starts earlier, or at the same time.
  await lamps.getByLabel("Accepted shortage, hours, Harbour of Lamps").fill("100000");
  await lamps.getByLabel("Accepted shortage, hours, Harbour of Lamps").press("Enter");
  await expect(lamps.getByText(/^In the week of 1 Feb 2027, done by/)).toBeVisible();
  expect(strict).not.toContain("1 Feb 2027");
  await lamps.getByRole("button", { name: "show it in that week" }).click();
  await expect(lamps).toContainText("1 Feb 2027 –");
});

test("the charts are exported as one picture, with every role, the heading and what the marks mean", async ({ page, server }) => {
  await goTo(page, server, "/horizon");
  await expect(page.getByRole("figure")).toHaveCount(8);
  await page.getByRole("button", { name: "Export" }).click();
  const saving = page.waitForEvent("download");
  await page.getByRole("button", { name: "Charts as SVG" }).click();
  const svg = await readFile(await (await saving).path(), "utf8");
  for (const text of ["Capacity against demand", "Lighting technician", "Needed: 50% confidence"]) expect(svg).toContain(text);
  // Each role's drawing is in a place of its own.
  const places = [...svg.matchAll(/<svg [^>]*?class="recharts-surface"[^>]*>|<svg x="([\d.]+)" y="([\d.]+)"/g)].length;
  expect(places).toBeGreaterThanOrEqual(8);
  expect(svg).not.toContain("var(--");
});

test("the figures are exported as they are looked at, and what cannot be read is said", async ({ server }) => {
  const get = async (query: string) => {
    const response = await fetch(`${server.url}/api/horizon?${query}`);
    return {
      status: response.status,
      rows: (await response.text())
        .trim()
        .split("\r\n")
        .map((row) => row.split(",")),
    };
  };
  const lost = encodeURIComponent("seedvault:lost:0");
  const [written, without] = [await get("per=quarter"), await get(`per=quarter&cases=${lost}`)];
  const of = ({ rows }: typeof written, name: string) => rows.filter((row) => row.includes(`"${name}`) || row.join(",").includes(name));
  expect(written.rows[0].slice(0, 2)).toEqual(["Role", "Figure"]);
  expect(written.rows).toHaveLength(1 + 8 * 10);
  const sum = (rows: string[][]) =>
    rows
      .flatMap((row) => row.slice(2).map(Number))
      .filter(Number.isFinite)
      .reduce((all, own) => all + own, 0);
  expect(sum(of(without, "Expected demand"))).toBeLessThan(sum(of(written, "Expected demand")));
  expect(sum(of(without, "Capacity"))).toBe(sum(of(written, "Capacity")));
  for (const query of ["cases=seedvault:maybe:0", "cases=seedvault:won:x", "format=pdf"])
    expect((await get(query)).status, query).toBe(400);
});

test("nobody is trained while a skill is short; a hire's number, dates and rate are changed and measured again", async ({
  page,
  server,
}) => {
  await goTo(page, server, "/horizon?by=skill");
  const table = page.getByRole("region", { name: "Figures by skill" });
  const neon = table.getByRole("button", { name: /^Neon bending, February 2027/ });
  // Two know it, of whom one is no master.
  const atAny = hoursOf((await neon.textContent()) ?? "");
  await choose(page.getByLabel("Level"), "Level 3+");
  await expect(neon).toHaveText("−22.1");
  expect(atAny).toBeGreaterThanOrEqual(-22.1);
  await neon.click();
  const helps = sheetOf(page).getByRole("list", { name: "Options" }).getByRole("listitem");
  await expect(helps.first()).toBeVisible();
  // The shortage begins at once: a training would take the very hours that are missing.
  await expect(helps.filter({ hasText: /^Train/ })).toHaveCount(0);
  const hire = helps.first();
  await expect(hire).toContainText("h left");
  await hire.getByRole("button", { name: "Edit its figures" }).click();
  const type = async (label: string, text: string) => {
    await hire.getByLabel(label).fill(text);
    await hire.getByLabel(label).press("Enter");
  };
  await type("Weeks to learn", "0");
  await type("Last day", "26 Feb 2027");
  await type("First day", "1 Feb 2027");
  // Twenty weekdays of eight hours at 50.
  await type("Cost rate, EUR/h", "50");
  await expect(hire).toContainText("Take on 1 contractor as");
  await expect(hire).toContainText("about +EUR 8,000");
  await type("People", "2");
  await expect(hire).toContainText("about +EUR 16,000");
  await expect(hire).toContainText("0 h left");
  await hire.getByRole("button", { name: "try it in a sketch" }).click();
  await expect(page.getByRole("status").filter({ hasText: "Sketch:" })).toContainText("1 change recorded");
  await expect.poll(async () => hoursOf((await neon.textContent()) ?? "")).toBeGreaterThanOrEqual(0);
  await page.getByRole("button", { name: "Close the sketch" }).click();
  await expect(neon).toHaveText("−22.1");
});

test("what the pipeline is looked at as survives a reload, and counts in the charts and the room", async ({ page, server }) => {
  await goTo(page, server, "/horizon");
  const figure = page.getByRole("button", { name: /^Lighting technician, May 2027/ });
  const written = await figure.textContent();
  await choose(page.getByLabel("Pipeline", { exact: true }), "Pipeline in full");
  await expect(figure).not.toHaveText(written ?? "");
  const full = await figure.textContent();
  await page.reload();
  await expect(figure).toHaveText(full ?? "");
  await choose(page.getByLabel("Pipeline", { exact: true }), "Pipeline weighted");
  await page.getByRole("button", { name: /^Pipeline, 3/ }).click();
  const lamps = sheetOf(page).locator("section", { hasText: "Harbour of Lamps" });
  await lamps.getByRole("radio", { name: "Won" }).click();
  await expect(page.getByText("the pipeline differs from the plan")).toBeVisible();
  const won = await figure.textContent();
  await page.reload();
  await expect(figure).toHaveText(won ?? "");
  await expect(page.getByText("the pipeline differs from the plan")).toBeVisible();
});

test.describe("printed", () => {
  test.use({ ownPage: true });

  test("the printed page has the charts and figures of the screen, for every grouping", async ({ page, server }) => {
    await holdPrinter(page);
    await goTo(page, server, "/horizon?by=team&show=capacity");
    const shown = page
      .getByRole("region", { name: "Figures by team" })
      .getByRole("row")
      .filter({ has: page.getByRole("rowheader", { name: "Workshop", exact: true }) });
    const figures = await shown.getByRole("cell").allTextContents();
    expect(hoursOf(figures[0])).toBeGreaterThan(0);
    await page.getByRole("button", { name: "Export" }).click();
    const paper = await printed(page);
    await expect(paper.getByRole("heading", { name: "Capacity, hours" })).toBeAttached();
    expect(
      await paper
        .getByRole("row", { name: /^Workshop \d/ })
        .getByRole("cell")
        .allTextContents(),
    ).toEqual(figures);
    await expect(paper.locator("figure")).toHaveCount(4);
  });
});

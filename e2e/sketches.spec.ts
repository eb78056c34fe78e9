// Two sketches tried, compared with the plan, and half of one adopted; the figures on both sides.
import type { Page } from "@playwright/test";
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { goTo, sheetOf, untilSaved } from "./pages.ts";
import { planOf, postJson } from "./planRoute.ts";

const cell = (page: Page, name: string, week: string) => page.getByRole("gridcell", { name: new RegExp(`^${name}, ${week}`) });
const bar = (page: Page) => page.getByRole("status").filter({ hasText: "Sketch:" });

async function begin(page: Page, name: string): Promise<void> {
  await page.keyboard.press("n");
  await sheetOf(page).getByLabel("Name", { exact: true }).fill(name);
  // A new sketch is open at once.
  await sheetOf(page).getByRole("button", { name: "Create sketch" }).click();
  await expect(bar(page)).toContainText(`Sketch: ${name}`);
}

/** Drags nothing: the work is reassigned from its cell, as the keyboard does. */
async function reassign(page: Page, cellName: string, taskName: RegExp, recipient: string): Promise<void> {
  await cell(page, cellName, "week of 15 February").click();
  await sheetOf(page).getByRole("button", { name: taskName }).first().click();
  await sheetOf(page)
    .getByRole("option", { name: new RegExp(`^${recipient}`) })
    .first()
    .click();
}

test("what is tried in a sketch stays out of the plan; two are compared; half of one is adopted and undone", async ({ page, server }) => {
  await goTo(page, server, "/sketches");
  await begin(page, "Casts to Rui");
  const mara = cell(page, "Mara Ellingsen", "week of 15 February");
  await expect(mara).toContainText("−19.2");
  await reassign(page, "Mara Ellingsen", /^Reassign Rock pool trial casts/, "Rui Monteverde");
  await expect(mara).toContainText(/^0\.8/);
  await expect(bar(page)).toContainText("1 change recorded");
  await untilSaved(page);
  // The plan itself is as it was, and the address shares the sketch.
  const { plan } = await (await fetch(`${server.url}/api/plan`)).json();
  expect(plan.assignments.find(({ id }: { id: string }) => id === "rockpools-mara").personId).toBe("mara");
  expect(page.url()).toContain("sketch=");
  await page.reload();
  await expect(mara).toContainText(/^0\.8/);
  await page.getByRole("button", { name: "Close the sketch" }).click();
  await expect(mara).toContainText("−19.2");
  await expect(bar(page)).toHaveCount(0);

  // A second one, copied from the first and taken further.
  await goTo(page, server, "/sketches");
  await page.getByRole("row", { name: /^Casts to Rui/ }).click();
  await sheetOf(page).getByRole("button", { name: "Duplicate" }).click();
  await expect(page.getByRole("row", { name: /^Casts to Rui, copy/ })).toBeVisible();
  await sheetOf(page, "Casts to Rui, copy").getByRole("button", { name: "Open the sketch" }).click();
  await expect(bar(page)).toContainText("Casts to Rui, copy");
  await page.getByRole("navigation", { name: "Screens" }).getByRole("link", { name: "Work" }).click();
  await page.getByRole("link", { name: "Tidepool Hall" }).first().click();
  const entry = page.getByLabel("Add a task");
  await entry.fill("Night watch, 24 h, Installer, 3 d");
  await page.keyboard.press("Enter");
  // Twenty-four more than in the plan.
  await expect(page.locator("main")).toContainText("2,451 h");
  await expect(bar(page)).toContainText("2 changes recorded");

  await page.getByRole("navigation", { name: "Screens" }).getByRole("link", { name: "Sketches" }).click();
  await page
    .getByRole("row", { name: /^Casts to Rui, copy/ })
    .getByRole("checkbox")
    .click();
  await page
    .getByRole("row", { name: /^Casts to Rui Compare|^Casts to Rui 1|^Casts to Rui$/ })
    .first()
    .getByRole("checkbox")
    .click();
  const table = page.getByRole("table", { name: "The plan and sketches side by side" });
  await expect(table.getByRole("columnheader")).toHaveCount(4);
  // Sixty hours at 35.02 in place of 42.
  await expect(table.getByRole("row", { name: /^Cost, EUR/ })).toContainText("−419");

  await page.getByRole("row", { name: /^Casts to Rui, copy/ }).click();
  const sheet = sheetOf(page);
  const changes = sheet.getByRole("list", { name: "Changes of the sketch" });
  await expect(changes.getByRole("listitem")).toHaveCount(2);
  await changes.getByRole("listitem").nth(1).getByRole("checkbox").click();
  await sheet.getByRole("button", { name: "Adopt 1 change" }).click();
  await expect(changes.getByRole("listitem")).toHaveCount(1);
  await page.getByRole("button", { name: "Close the sketch" }).click();
  await untilSaved(page);
  const after = (await (await fetch(`${server.url}/api/plan`)).json()).plan;
  expect(after.assignments.find(({ id }: { id: string }) => id === "rockpools-mara").personId).toBe("rui");
  expect(after.tasks.some(({ name }: { name: string }) => name === "Night watch")).toBe(false);
  await page.keyboard.press("Control+z");
  await expect(changes.getByRole("listitem")).toHaveCount(2);
});

test("figures that are exported while a sketch is open are those of the sketch", async ({ page, server }) => {
  await goTo(page, server, "/balance?sketch=sketch-spring");
  await expect(bar(page)).toContainText("exports show its figures");
  await page.getByRole("button", { name: "Export" }).click();
  const path = (await page.getByRole("link", { name: "This window as CSV" }).getAttribute("href")) ?? "";
  const read = async (from: string) => (await fetch(`${server.url}${from}`)).text();
  const [own, ofPlan, ofNone] = await Promise.all(
    [path, path.replace("sketch-spring", ""), path.replace("sketch-spring", "gone")].map(read),
  );
  expect(own.split("\r\n").length).toBeGreaterThan(10);
  expect(own).not.toBe(ofPlan);
  // A sketch that no longer exists shows the plan, as the screen does.
  expect(ofNone).toBe(ofPlan);
});

test.describe("from the first", () => {
  test.use({ ownPage: true });

  test("with a sketch open its figures are there at once: in the page as it is sent, as it is drawn, and after a press", async ({
    page,
    server,
  }) => {
    const sent = async (path: string) => (await fetch(`${server.url}${path}`)).text();
    const says = async (path: string) => {
      const html = await sent(path);
      return ["Ottilie Fane", "Sketch: <!-- -->Lighting in spring", "This sketch no longer exists"].filter((text) => html.includes(text));
    };
    expect(await says("/people?sketch=sketch-spring")).toEqual(["Ottilie Fane", "Sketch: <!-- -->Lighting in spring"]);
    expect(await says("/people")).toEqual([]);
    for (const gone of ["gone", "%E2%80%93", ""]) expect(await says(`/people?sketch=${gone}`)).toEqual(["This sketch no longer exists"]);
    // Every text that the cell of the week ever has, however shortly.
    await page.addInitScript(() => {
      const said: string[] = [];
      Object.assign(window, { said });
      const note = () => {
        const mara = document.querySelector('[role=gridcell][aria-label^="Mara Ellingsen, week of 15 February"]');
        if (mara) said.push(mara.textContent ?? "");
      };
      new MutationObserver(note).observe(document, { subtree: true, childList: true, characterData: true });
    });
    const texts = async () => new Set(await page.evaluate(() => (window as unknown as { said: string[] }).said));
    await goTo(page, server, "/balance?sketch=sketch-spring");
    await expect(bar(page)).toContainText("Lighting in spring");
    await untilSaved(page);
    expect(await texts()).toEqual(new Set(["0.8"]));
    await page.getByRole("link", { name: /^Work/ }).first().click();
    await expect(page.getByRole("heading", { name: "Work", exact: true })).toBeVisible();
    await page
      .getByRole("link", { name: /^Balance/ })
      .first()
      .click();
    await expect(cell(page, "Mara Ellingsen", "week of 15 February")).toBeVisible();
    await page.getByRole("button", { name: "Close the sketch" }).click();
    await expect(cell(page, "Mara Ellingsen", "week of 15 February")).toContainText("−19.2");
    expect(await texts()).toEqual(new Set(["0.8", "−19.2"]));
    // Weeks that begin on Sundays in the sketch do so in its pages, and in no other one.
    const { revision } = await planOf(server);
    const entry = { id: "on-sundays", words: "begin weeks on Sundays", edit: { kind: "changeSettings", set: { weekStartsOn: 7 } } };
    const edit = { kind: "drawInSketch", id: "sketch-spring", entry };
    expect((await postJson(server, "/api/edits", { base: revision, request: { kind: "edit", edit } })).status).toBe(200);
    const hasSundays = async (path: string) => (await sent(path)).includes("week of 24 January");
    expect([await hasSundays("/balance?sketch=sketch-spring"), await hasSundays("/balance")]).toEqual([true, false]);
  });
});

// The supply side: patterns, leave, holidays, files, many people at once; the figures on Balance before and after.
import { readFile } from "node:fs/promises";
import type { Page } from "@playwright/test";
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { choose, goTo, load, sheetOf, untilSaved } from "./pages.ts";
import { feedPath, postTo, type Server } from "./server.ts";

let server: Server;
test.beforeEach(({ server: own }) => {
  server = own;
});

const open = (page: Page, path: string): Promise<void> => goTo(page, server, path);

/** Expects a capacity of a person in a week, as the board reads it out. */
async function expectCapacity(page: Page, [personId, name, dates, week]: readonly [string, string, string, string], hours: number) {
  await open(page, `/balance?cell=${personId}@${dates}`);
  const cell = page.getByRole("gridcell", { name: new RegExp(`^${name}, ${week}:`) });
  await expect(cell).toHaveAccessibleName(hours === 0 ? /no capacity$/ : new RegExp(`of ${hours} hours`));
}

test("a week from a date on says what it does, and changes the board from that date", async ({ page }) => {
  const march = ["jonas", "Jonas Adeyemi", "2027-03-08_2027-03-14", "week of 8 March"] as const;
  const february = ["jonas", "Jonas Adeyemi", "2027-02-15_2027-02-21", "week of 15 February"] as const;
  await expectCapacity(page, march, 40);
  await open(page, "/people/person/jonas");
  await page.getByRole("button", { name: "New working week from a date" }).click();
  const sheet = sheetOf(page);
  for (const day of ["Thu", "Fri"]) await sheet.getByLabel(day, { exact: true }).fill("0");
  await sheet.getByLabel("From").fill("1 Mar 2027");
  await expect(sheet.getByText("Capacity of 1 person")).toBeVisible();
  await expect(sheet.getByText("Overloaded, by week")).toBeVisible();
  await sheet.getByRole("button", { name: "Add this week" }).click();
  await expect(page.getByText(/40 h a week until 28 Feb 2027, then 24 h a week/)).toBeVisible();
  await expect(page.getByRole("gridcell", { name: /^Thu 11 Mar:.* of 0 h · no working day/ })).toBeAttached();
  await expectCapacity(page, march, 24);
  await expectCapacity(page, february, 40);
  // A gap in the work, inside what there is.
  await open(page, "/people/person/jonas?part=week:new");
  await sheet.getByRole("button", { name: "No work on these dates" }).click();
  await sheet.getByLabel("From").fill("15 Feb 2027");
  await sheet.getByLabel("Until").fill("21 Feb 2027");
  await sheet.getByRole("button", { name: "Add this week" }).click();
  await expect(page.getByRole("region", { name: "Weeks" })).toContainText("does not work from 15 Feb 2027 until 21 Feb 2027");
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(page.getByRole("region", { name: "Weeks" })).not.toContainText("does not work");
});

test("a request shows what approving it does, and is then approved; another is declined with a reason", async ({ page }) => {
  const week = ["bo", "Bo Hallberg", "2027-03-08_2027-03-14", "week of 8 March"] as const;
  await expectCapacity(page, week, 40);
  await open(page, "/people/leave");
  const requests = page.getByRole("grid", { name: "Requests waiting for an answer" });
  await requests.getByRole("row", { name: /Bo Hallberg/ }).click();
  const sheet = sheetOf(page);
  await expect(sheet.getByText("Capacity of 1 person")).toBeVisible();
  await expect(sheet.locator("section", { hasText: "Effect of approval" })).toContainText("week of 8 Mar−40 h");
  await expect(sheet).toContainText("Handover on site · Bo Hallberg30 h");
  // A sheet that is opened before an answer has been saved stays open afterwards.
  const next = await requests.getByRole("row", { name: /Eha Sild/ }).elementHandle();
  await sheet.getByRole("button", { name: "Approve" }).evaluate((approve: HTMLElement, row) => {
    approve.click();
    (row as HTMLElement).click();
  }, next);
  await expect(requests).not.toContainText("Bo Hallberg");
  await sheet.getByRole("button", { name: "Decline…" }).click();
  await sheet.getByRole("button", { name: "Decline", exact: true }).click();
  await expect(sheet.getByText("Enter a reason for the person.")).toBeVisible();
  await sheet.getByLabel("Reason for declining").fill("Objects arrive that week");
  await sheet.getByRole("button", { name: "Decline", exact: true }).click();
  await expect(page.getByText("No requests are waiting for an answer.")).toBeVisible();
  await expectCapacity(page, week, 0);
  await open(page, "/people/person/eha");
  await expect(page.getByRole("region", { name: "Time off" })).toContainText("“Objects arrive that week”");
  await page.reload();
  await expect(page.getByRole("region", { name: "Time off" })).toContainText("declined");
});

test("leave is entered on the leave screen by a key or by dragging over days, and sick leave in two presses from the board", async ({
  page,
}) => {
  const week = ["rui", "Rui Monteverde", "2027-02-15_2027-02-21", "week of 15 February"] as const;
  await expectCapacity(page, week, 40);
  await open(page, "/people/leave?who=all");
  await page.keyboard.press("n");
  const sheet = sheetOf(page);
  await choose(sheet.getByLabel("Who is away"), "Rui Monteverde");
  await sheet.getByLabel("First day").fill("18 Feb 2027");
  await sheet.getByLabel("Last day").fill("19 Feb 2027");
  await expect(sheet.getByText("week of 15 Feb")).toBeVisible();
  await sheet.getByRole("button", { name: "Add", exact: true }).click();
  await expect(page.getByRole("img", { name: "Rui Monteverde: Leave, approved, 18 Feb – 19 Feb 2027" }).first()).toBeVisible();
  await expectCapacity(page, week, 24);
  // Dragged over days of a row: they are in the form.
  await open(page, "/people/leave?who=all&from=2027-02-01&to=2027-02-28&by=day");
  const row = page.getByRole("row", { name: /^Mara Ellingsen/ }).first();
  const days = row.getByTitle("Drag over days to add leave");
  const box = await days.boundingBox();
  if (!box) throw new Error("the row has days");
  const at = (day: number) => box.x + (box.width * (day + 0.5)) / 28;
  await page.mouse.move(at(8), box.y + 10);
  await page.mouse.down();
  await page.mouse.move(at(10), box.y + 10, { steps: 4 });
  await page.mouse.up();
  await expect(sheet.getByLabel("First day")).toHaveValue("9 Feb 2027");
  await expect(sheet.getByLabel("Last day")).toHaveValue("11 Feb 2027");
  await page.keyboard.press("Escape");
  // From the board: the cell, and what for.
  await expectCapacity(page, week, 24);
  await sheet.getByRole("button", { name: "Sick", exact: true }).click();
  await expect(page.getByRole("gridcell", { name: /^Rui Monteverde, week of 15 February: (no capacity|.* of 0 hours)/ })).toBeAttached();
  await page.keyboard.press("Control+z");
  await expectCapacity(page, week, 24);
});

test("a last working day says what it does before it is saved, and offers to hand the work over first", async ({ page }) => {
  await open(page, "/people/person/mara?part=details");
  const sheet = sheetOf(page);
  await sheet.getByLabel("until").fill("18 Feb 2027");
  await sheet.getByLabel("until").press("Tab");
  await expect(sheet.getByText(/h of \d+ assignments? are planned after the last day\./)).toBeVisible();
  await expect(sheet.getByRole("heading", { name: "Effect of saving" })).toBeVisible();
  await expect(sheet.getByText("Capacity of 1 person")).toBeVisible();
  await sheet.getByRole("link", { name: "Hand over from 19 Feb 2027" }).click();
  await expect(sheet.getByLabel("All work from")).toHaveValue("19 Feb 2027");
  await sheet.getByRole("button", { name: "Leave all unassigned" }).click();
  await sheet.getByRole("button", { name: /^Hand over \d+ assignment/ }).click();
  await expect(sheet.getByText("There is no work from that date.")).toBeVisible();
  // The typed values are still there, and nothing is left to hand over.
  await open(page, "/people/person/mara?part=details");
  await expect(sheet.getByLabel("until")).toHaveValue("18 Feb 2027");
  await expect(sheet.getByText(/are planned after the last day/)).toHaveCount(0);
  await sheet.getByRole("button", { name: "Save" }).click();
  await expect(page.getByText(/until 18 Feb 2027/).first()).toBeVisible();
});

test("other dates are suggested, and approved once they are agreed", async ({ page }) => {
  await open(page, "/people/leave?request=bo:bo-1");
  const sheet = sheetOf(page);
  await sheet.getByRole("button", { name: "Other dates…" }).click();
  await sheet.getByLabel("Suggested first day").fill("15 Mar 2027");
  await sheet.getByLabel("Suggested last day").fill("12 Mar 2027");
  await sheet.getByRole("button", { name: "Suggest these dates" }).click();
  await expect(sheet.getByText("The last day must be on or after the first day.")).toBeVisible();
  await sheet.getByLabel("Suggested last day").fill("19 Mar 2027");
  await sheet.getByRole("button", { name: "Suggest these dates" }).click();
  await expect(page.getByRole("grid", { name: "Requests waiting for an answer" })).toContainText("other dates suggested");
  await open(page, "/people/leave?request=bo:bo-1");
  await sheet.getByRole("button", { name: "Agreed: approve these dates" }).click();
  await expect(page.getByRole("img", { name: /^Bo Hallberg: Leave, approved, 15 Mar – 19 Mar 2027/ })).toBeVisible();
});

test("public holidays are filled in with what they do shown first, and nothing is saved until it is", async ({ page }) => {
  const week = ["mara", "Mara Ellingsen", "2027-05-03_2027-05-09", "week of 3 May"] as const;
  await open(page, "/balance?from=2027-04-26&to=2027-06-20&cell=mara@2027-05-03_2027-05-09");
  await expect(page.getByRole("gridcell", { name: /^Mara Ellingsen, week of 3 May:.* of 40 hours/ })).toBeAttached();
  await open(page, "/people/calendars");
  await page.getByRole("button", { name: "Fill in public holidays…" }).click();
  const sheet = sheetOf(page);
  await choose(sheet.getByLabel("Country"), "Germany");
  await choose(sheet.getByLabel("Region"), "Bayern");
  await sheet.getByLabel("First year").fill("2027");
  await sheet.getByLabel("Last year").fill("2027");
  // A country takes the place of another one as a whole.
  await sheet.getByLabel("Replace all days off in those years").check();
  await sheet.getByRole("button", { name: "Fill in and preview the effect" }).click();
  await expect(sheet.getByText("Capacity of 20 people")).toBeVisible();
  // Epiphany, Easter and Whit Monday, Ascension Day … each takes a day of those who work it.
  await expect(sheet).toContainText("week of 3 May−144 h");
  await expect(page.getByRole("gridcell", { name: /^Thu 6 May: 0 h · Ascension Day/ })).toBeAttached();
  await sheet.getByRole("button", { name: "Save the calendar" }).click();
  await expect(sheet.getByText("Changed, not saved yet")).toBeHidden();
  await open(page, "/balance?from=2027-04-26&to=2027-06-20&cell=mara@2027-05-03_2027-05-09");
  await expect(page.getByRole("gridcell", { name: new RegExp(`^${week[1]}, ${week[3]}:.* of 32 hours`) })).toBeAttached();
});

const people = [
  "Mitarbeiter;Rolle;Ort;Kalender;Eintrittsdatum;E-Mail",
  "Mara Ellingsen;Fabricator;Tartu;Tartu workshop;1.3.2021;mara@fernhollow.example",
  "Kai Sommer;Fabricator;Tartu;Tartu workshop;22.2.2027;kai@fernhollow.example",
  "Lia Duarte;Welder;Porto;Porto workshop;15.3.2027;lia@fernhollow.example",
  '"=HYPERLINK(""x"")";Installer;Porto;Porto workshop;1.3.2027;',
].join("\r\n");

test("a file with good and bad rows is shown row by row, brought in as one edit and undone as one", async ({ page }) => {
  await open(page, "/people");
  await expect(page.getByText("8,538 h")).toBeVisible();
  await page.getByRole("link", { name: "Import and export" }).click();
  await page.getByLabel("File to import").setInputFiles({ name: "people.csv", mimeType: "text/csv", buffer: Buffer.from(people) });
  const rows = page.getByRole("grid", { name: "Rows of the file" }).getByRole("row");
  // Rows that will not be imported come first.
  await expect(rows.nth(1)).toContainText('There is no role "Welder".');
  await expect(rows.nth(2)).toContainText("begins like a formula");
  await expect(rows.nth(3)).toContainText("2changedMara Ellingsencalendar: Porto workshop → Tartu workshop · place: Porto → Tartu");
  await expect(rows.nth(4)).toContainText("3newKai Sommer");
  const [file] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Save refused rows" }).click()]);
  expect(file.suggestedFilename()).toBe("people-refused.csv");
  const refused = await readFile(await file.path(), "utf8");
  expect(refused.trim().split("\r\n")).toHaveLength(3);
  expect(refused).toContain("Why it was refused");
  expect(refused).toContain("'=HYPERLINK");
  await page.getByRole("button", { name: "Import 2 rows" }).click();
  await expect(page.getByText(/2 rows imported from people.csv/)).toBeVisible();
  await page.getByRole("link", { name: "Roster", exact: true }).click();
  await page.getByLabel("Search people").fill("kai sommer");
  // Four weeks of 40 hours, less the holiday of 24 February.
  await expect(page.locator("[data-person]", { hasText: "Kai Sommer" })).toContainText("0 of 152 h");
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(page.locator("[data-person]", { hasText: "Kai Sommer" })).toHaveCount(0);
  await expect(page.getByText("8,538 h")).toBeVisible();
  await page.getByLabel("Search people").fill("mara");
  await expect(page.locator("[data-person=mara]")).toContainText("Porto workshop");
});

test("a file with a title, blank lines, a sum, German headers and decimal commas is read as it is meant; any row can be left out", async ({
  page,
}) => {
  const messy = [
    "Aufgaben Gezeitenhalle;;;",
    "",
    "Projekt;Aufgabe;Aufwand;Rolle;Frist",
    "Tidepool Hall;Probeaufbau;37,5;Rigger;12.3.2027",
    "",
    "Tidepool Hall;Abnahme;2,25;Project lead;",
    "Tidepool Hall;Nicht dies;1;;bald",
    "Summe;;40,75;;",
  ].join("\r\n");
  await open(page, "/people/import");
  await page.getByLabel("File to import").setInputFiles({ name: "liste.csv", mimeType: "text/csv", buffer: Buffer.from(messy) });
  const sheet = sheetOf(page);
  await expect(sheet.getByLabel("Import as")).toContainText("Tasks");
  await expect(sheet.getByLabel("Header row")).toContainText("Line 3: Projekt, Aufgabe, Aufwand");
  const rows = page.getByRole("grid", { name: "Rows of the file" }).getByRole("row");
  await expect(rows.filter({ hasText: "Probeaufbau" })).toContainText("4refused");
  await expect(rows.filter({ hasText: "Summe" })).toContainText("8excluded");
  await sheet.getByLabel("Add roles, skills, clients and rate tables that are missing").click();
  await expect(sheet).toContainText("Would add the role Rigger.");
  await expect(rows.filter({ hasText: "Probeaufbau" })).toContainText("4new");
  await expect(rows.filter({ hasText: "Nicht dies" })).toContainText("7refused");
  const [file] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Save refused rows" }).click()]);
  expect(await readFile(await file.path(), "utf8")).toContain("Tidepool Hall;Nicht dies;1;;bald;");
  await page.getByLabel("Import line 6").click();
  await expect(rows.filter({ hasText: "Abnahme" }).or(rows.filter({ hasText: "6excluded" }))).toContainText("excluded");
  await page.getByLabel("Import line 6").click();
  await page.getByRole("button", { name: "Import 2 rows" }).click();
  await expect(page.getByText(/2 rows imported from liste.csv/)).toBeVisible();
  await untilSaved(page);
  const { plan } = await (await fetch(`${server.url}/api/plan`)).json();
  const [build, accept] = plan.tasks.slice(-2);
  const rigger = plan.roles.find(({ name }: { name: string }) => name === "Rigger");
  expect(build).toMatchObject({ name: "Probeaufbau", effortHours: 37.5, roleId: rigger.id, deadline: "2027-03-12" });
  expect(accept).toMatchObject({ name: "Abnahme", effortHours: 2.25 });
});

test("holidays and time off come from iCalendar, for the calendar and the person they are about", async ({ page }) => {
  const event = (date: string, to: string, title: string) =>
    `BEGIN:VEVENT\r\nUID:${title}\r\nDTSTART;VALUE=DATE:${date}\r\nDTEND;VALUE=DATE:${to}\r\nSUMMARY:${title}\r\nEND:VEVENT\r\n`;
  const file = (events: string) => ({
    name: "days.ics",
    mimeType: "text/calendar",
    buffer: Buffer.from(`BEGIN:VCALENDAR\r\nVERSION:2.0\r\n${events}END:VCALENDAR\r\n`),
  });
  await open(page, "/people/import");
  await page.getByLabel("File to import").setInputFiles(file(event("20270215", "20270217", "Works outing")));
  const sheet = sheetOf(page);
  await choose(sheet.getByLabel("Import as"), "Calendar days");
  await expect(page.locator("main").getByRole("alert")).toContainText('No column of the file is chosen for "Calendar"');
  await choose(sheet.getByLabel("Rows without a calendar belong to"), "Porto workshop");
  await page.getByRole("button", { name: "Import 1 row" }).click();
  await expectCapacity(page, ["jonas", "Jonas Adeyemi", "2027-02-15_2027-02-21", "week of 15 February"], 24);
  await open(page, "/people/import");
  await page.getByLabel("File to import").setInputFiles(file(event("20270301", "20270306", "Family")));
  await choose(sheet.getByLabel("Import as"), "Time off");
  await choose(sheet.getByLabel("Rows without a person belong to"), "Jonas Adeyemi");
  await page.getByRole("button", { name: "Import 1 row" }).click();
  await open(page, "/people/leave?request=");
  await expect(page.getByRole("grid", { name: "Requests waiting for an answer" })).toContainText("Jonas Adeyemi");
});

test("names of a file that the plan does not have are matched one by one, and leave without a person is given to a person", async ({
  page,
}) => {
  const file = (name: string, text: string) => ({ name, mimeType: "text/csv", buffer: Buffer.from(text) });
  await open(page, "/people/import");
  await page
    .getByLabel("File to import")
    .setInputFiles(file("people.csv", "Name,Role,Calendar\nAda Vint,Fabricater,Porto workshop\nBen Orr,Rigger,Porto workshop\n"));
  const sheet = sheetOf(page);
  await choose(sheet.getByLabel("Meaning of role Fabricater"), "Fabricator");
  await choose(sheet.getByLabel("Meaning of role Rigger"), "New role");
  await page.getByRole("button", { name: "Import 2 rows" }).click();
  await open(page, "/people?sort=name");
  await expect(page.getByRole("row", { name: /Ada Vint/ })).toContainText("Fabricator");
  await expect(page.getByRole("row", { name: /Ben Orr/ })).toContainText("Rigger");
  await open(page, "/people/import");
  await page
    .getByLabel("File to import")
    .setInputFiles(file("leave.csv", "From,To,Title\n2027-09-06,2027-09-07,Dentist\n2027-09-20,2027-09-20,Company day\n"));
  await expect(page.getByRole("button", { name: "Import 0 rows" })).toBeDisabled();
  await choose(page.getByLabel("Person of line 2"), "Jonas Adeyemi");
  await choose(sheet.getByLabel("Rows without a person belong to"), "Porto workshop");
  await page.getByRole("button", { name: "Import 2 rows" }).click();
  await untilSaved(page);
  const { plan } = await (await fetch(`${server.url}/api/plan`)).json();
  expect(plan.people.find(({ id }: { id: string }) => id === "jonas").timeOff.at(-1)).toMatchObject({
    from: "2027-09-06",
    to: "2027-09-07",
  });
  const days = plan.calendars.flatMap(({ exceptions }: { exceptions: { name: string }[] }) => exceptions);
  expect(days).toContainEqual({ from: "2027-09-20", to: "2027-09-20", hours: 0, name: "Company day" });
});

test("files that cannot be read say why, and a file of 5,000 people is shown, brought in, planned with and undone", async ({ page }) => {
  test.setTimeout(180_000);
  await open(page, "/people/import");
  const input = page.getByLabel("File to import");
  for (const [buffer, says] of [
    [Buffer.alloc(0), "This file is empty."],
    [Buffer.from([0x50, 0x4b, 3, 4, 9, 9]), /could not be read as XLSX/],
    [Buffer.from([0x89, 0, 1, 2]), /neither a text nor an XLSX file/],
    [Buffer.from('a,b\n1,"open'), /Look at the quotes/],
  ] as const) {
    await input.setInputFiles({ name: "file.bin", mimeType: "application/octet-stream", buffer });
    await expect(page.locator("main").getByRole("alert")).toContainText(says);
  }
  await input.setInputFiles({ name: "short.csv", mimeType: "text/csv", buffer: Buffer.from("When;What\n1;2\n") });
  await expect(page.locator("main").getByRole("alert")).toContainText(/No column of the file is chosen for/);
  await page.getByRole("button", { name: "Cancel" }).click();

  const many = ["id,name,roles,calendar", ...Array.from({ length: 5_000 }, (_, at) => `x${at},Person ${at},Fabricator,Porto workshop`)];
  many[4000] = "x7,Person again,Fabricator,Porto workshop";
  await input.setInputFiles({ name: "many.csv", mimeType: "text/csv", buffer: Buffer.from(many.join("\n")) });
  await expect(page.getByRole("button", { name: "Import 4,999 rows" })).toBeVisible({ timeout: 60_000 });
  await page.getByRole("radio", { name: "refused 1" }).click();
  await expect(page.getByRole("grid", { name: "Rows of the file" })).toContainText('The id "x7" is already used in line 9.');
  await page.getByRole("button", { name: "Import 4,999 rows" }).click();
  await expect(page.getByText(/4,999 rows imported from many.csv/)).toBeVisible({ timeout: 60_000 });
  await page.getByRole("link", { name: "Roster", exact: true }).click();
  await expect(page.getByText("5,028")).toBeVisible({ timeout: 60_000 });
  // Answered by the server, not only shown: the plan file has them.
  await expect(async () => {
    const plan = await (await page.request.get(`${server.url}/api/plan`)).json();
    expect(plan.plan.people).toHaveLength(5_028);
  }).toPass({ timeout: 60_000 });
  // Only the first of so many rows come with the page.
  await load(page, server, "/balance?rows=none");
  const board = page.getByRole("grid", { name: /^People by week/ });
  await expect(board).toHaveAttribute("aria-rowcount", "5029");
  await board.evaluate((element) => element.parentElement?.scrollTo(0, element.clientHeight));
  await expect(page.getByRole("gridcell", { name: /^Person 4999, week of/ }).first()).toHaveText("40");
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(board).toHaveAttribute("aria-rowcount", "30", { timeout: 60_000 });
});

test("the person who has left is archived: off the lists, found under their filter, still on boards of the past, and back", async ({
  page,
}) => {
  await open(page, "/people?person=nuno");
  const sheet = sheetOf(page);
  const archive = sheet.getByRole("button", { name: "Archive", exact: true });
  await expect(archive).toBeDisabled();
  await sheet.getByRole("textbox", { name: "until" }).fill("31 Mar 2027");
  await sheet.getByRole("button", { name: "Save" }).click();
  await archive.click();
  await expect(page.locator("[data-person=nuno]")).toHaveCount(0);
  await open(page, "/people?archived=true");
  await expect(page.locator("[data-person]")).toHaveCount(1);
  await open(page, "/balance?from=2027-04-05&to=2027-04-25&role=installer&rows=none");
  await expect(page.locator("[data-person]")).toHaveCount(3);
  await expect(page.locator("[data-person=nuno]")).toHaveCount(0);
  await open(page, "/balance?from=2027-03-01&to=2027-03-21&role=installer&rows=none");
  await expect(page.locator("[data-person=nuno]")).toHaveCount(1);
  await open(page, "/people?archived=true&person=nuno");
  await sheet.getByRole("button", { name: "Restore to the lists" }).click();
  await expect(page.locator("[data-person=nuno]")).toHaveCount(0);
  await open(page, "/people?role=Installer");
  await expect(page.locator("[data-person]")).toHaveCount(4);
});

test("many people change at once, filters and groups are in the address", async ({ page }) => {
  await open(page, "/people?group=role&role=Installer");
  await expect(page.locator("[data-person]")).toHaveCount(4);
  await choose(page.getByLabel("Group people"), "By team");
  await expect(page).toHaveURL(/group=team/);
  await page.getByLabel("Select all people shown").check();
  const sheet = sheetOf(page);
  await expect(sheet.getByRole("heading", { name: "4 people" })).toBeVisible();
  await sheet.getByLabel("New working week from a date").check();
  await sheet.getByLabel("Fri", { exact: true }).fill("0");
  await sheet.getByRole("textbox", { name: "From" }).fill("22 Feb 2027");
  await expect(sheet.getByText("Capacity of 4 people")).toBeVisible();
  await sheet.getByRole("button", { name: "Change 4 people" }).click();
  await expect(sheet).toBeHidden();
  // Eight weeks of 40 hours, less four Fridays.
  await expect(page.locator("[data-person=nuno]").first()).toContainText("of 288 h");
  await page.reload();
  await expect(page.locator("[data-person=nuno]").first()).toContainText("of 288 h");
});

test("a level typed into the skills matrix changes who can do what open work asks for", async ({ page }) => {
  await open(page, "/people/skills?asked=true");
  await expect(page.getByRole("note", { name: "Neon bending: 36 h at level 4 or more; 1 person" })).toBeVisible();
  const cell = page.getByRole("gridcell", { name: "Teo Brandt, Neon bending: none" });
  await cell.focus();
  await page.keyboard.press("4");
  await expect(page.getByRole("gridcell", { name: "Teo Brandt, Neon bending: level 4" })).toBeVisible();
  await expect(page.getByRole("note", { name: /^Neon bending: 36 h at level 4 or more; 2 people/ })).toBeVisible();
});

test("a team is made, given work and shows what is free; a sub-team counts into the one above it", async ({ page }) => {
  await open(page, "/people/teams");
  const free = page.getByRole("gridcell", { name: /^Light and media, week of 1 February/ });
  await expect(free).toContainText("149.7");
  await page.getByRole("button", { name: /Add team/ }).click();
  const sheet = sheetOf(page);
  await sheet.getByLabel("Name").fill("Night crew");
  await sheet.getByLabel("Handle").fill("night");
  await choose(sheet.getByLabel("Part of"), "Light and media");
  await sheet.getByLabel("Find people for the team").fill("nuno");
  await sheet.getByLabel("Nuno Farrapo").check();
  await sheet.getByRole("button", { name: "Add team" }).click();
  await expect(page.getByRole("row", { name: /Night crew/ })).toContainText("1 person");
  await expect(page.getByRole("row", { name: /Light and media @/ })).toContainText("7 people");
  await open(page, "/work/tidepool?task=tidepool-rockpools");
  await sheet.getByText("Assign a person").click();
  await choose(sheet.getByLabel("Who"), "Night crew");
  await sheet.getByLabel("How much").fill("30");
  await sheet.getByRole("button", { name: "Add", exact: true }).click();
  await expect(page.getByRole("button", { name: /^Undo: assign Night crew to/ })).toBeEnabled();
  await open(page, "/people/teams");
  // 30 h over three full weeks of the task.
  await expect(page.getByRole("gridcell", { name: /^Night crew, week of 8 February: 10 h assigned to the team/ })).toBeVisible();
});

test("hours of a person who leaves are reported on the tray and the task, and split off as an opening in one step", async ({ page }) => {
  await open(page, "/balance?tray=true");
  const tray = page.getByRole("region", { name: "Tray" });
  await expect(tray).toContainText("10 assignments with hours that cannot be worked");
  await tray.getByRole("link", { name: /^Sade Okonjo · Workshop upkeep/ }).click();
  const sheet = sheetOf(page);
  await expect(sheet).toContainText("Sade Okonjo leaves on 11 Jun 2027, before this ends.");
  await sheet.getByRole("button", { name: /^From 12 Jun 2027: unassigned, for a fabricator/ }).click();
  await expect(sheet).toContainText("Hours that can be worked now123.6 h");
  await sheet.getByRole("button", { name: "Split it" }).click();
  await expect(tray).toContainText("9 assignments with hours that cannot be worked");
  await expect(tray).toContainText("4 openings");
  // The person has not joined yet: reassign the work.
  await open(page, "/work/tidepool?task=tidepool-rockpools");
  await sheet.getByRole("link", { name: "Reason and options" }).first().click();
  await expect(sheet).toContainText("Yara Lindqvist is employed from 1 Mar 2027 on");
  await sheet.getByRole("button", { name: "Reassign all of it…" }).click();
  await sheet.getByRole("option", { name: /^Hendrik Tamm/ }).click();
  await expect(tray).toContainText("8 assignments with hours that cannot be worked");
});

test("tables are exported as they came in, and feeds are calendars", async ({ request }) => {
  const csv = await (await request.get(`${server.url}/api/tables?table=skills&format=csv`)).text();
  expect(csv.split("\r\n")[0]).toBe("\uFEFFPerson,Skill,Level");
  expect(csv).toContain("mara,CNC routing,5");
  const book = await (await request.get(`${server.url}/api/tables?table=all&format=xlsx`)).body();
  const read = await (await postTo(server, "/api/tables?name=all.xlsx", new Uint8Array(book))).json();
  expect(read.tables.map(({ name }: { name: string }) => name)).toEqual([
    "People",
    "Weekly patterns",
    "Time off",
    "Skills",
    "Calendar days",
    "Projects",
    "Tasks",
    "Links",
    "Assignments",
    "Expenses",
    "Bookings",
    "Rates",
    "Exchange rates",
  ]);
  const feed = await request.get(`${server.url}${await feedPath(server, "people", "mara")}`);
  expect(feed.headers()["content-type"]).toContain("text/calendar");
  expect(await feed.text()).toContain("SUMMARY:Tidepool Hall: Rock pool trial casts");
  expect((await request.get(`${server.url}/api/tables?table=hats`)).status()).toBe(404);
  expect((await request.get(`${server.url}/api/holidays?country=XX`)).status()).toBe(400);
});

test("people pasted from a spreadsheet come with hours a week and rates; templates have the headers of a table", async ({
  page,
  request,
}) => {
  await open(page, "/people/import");
  const text = "Name\tRole\tHours a week\tCost rate\nOdile Farrow\tFabricator\t20 h/week\t1.045,5\nBen Aske\tFabricator\t37,5\t45,50";
  await page.getByLabel("Rows to import").evaluate((field, pasted) => {
    const data = new DataTransfer();
    data.setData("text/plain", pasted);
    field.dispatchEvent(new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }));
  }, text);
  await expect(page.getByRole("row", { name: /Odile Farrow/ })).toContainText("hours a week: 20");
  await expect(page.getByRole("row", { name: /Odile Farrow/ })).toContainText("cost rate: 1045.5");
  await page.getByRole("button", { name: "Import 2 rows" }).click();
  await expect(page.getByText("2 rows imported")).toBeVisible();
  await untilSaved(page);
  const { plan } = await (await request.get(`${server.url}/api/plan`)).json();
  const ben = plan.people.find(({ name }: { name: string }) => name === "Ben Aske");
  expect(ben.patterns[0].week).toEqual([7.5, 7.5, 7.5, 7.5, 7.5, 0, 0]);
  const template = await (await request.get(`${server.url}/api/tables?table=people&format=csv&template=true`)).text();
  expect(template.trim().split("\r\n")).toHaveLength(1);
  expect(template).toContain('Hours a week,"Share of full time, %",Skills,Cost rate,Billing rate');
  const out = await (await request.get(`${server.url}/api/tables?table=people&format=csv`)).text();
  expect(out.split("\r\n")[0]).not.toContain("Cost rate");
});

test("a person new is given rates with the person, in one step that one undo undoes", async ({ page, request }) => {
  await open(page, "/people");
  await page.keyboard.press("n");
  const sheet = sheetOf(page);
  await sheet.getByLabel("Name").fill("Odile Farrow");
  await sheet.getByLabel(/^Cost rate/).fill("-1");
  await sheet.getByRole("button", { name: "Add person" }).click();
  await expect(sheet.getByText("Enter an amount of 0 or more.")).toBeVisible();
  await sheet.getByLabel(/^Cost rate/).fill("45,50");
  await sheet.getByRole("button", { name: "Add person" }).click();
  await expect(page.getByRole("complementary", { name: "Odile Farrow" })).toBeVisible();
  await untilSaved(page);
  const planOf = async () => (await (await request.get(`${server.url}/api/plan`)).json()).plan;
  const { people, rateTables } = await planOf();
  const { id } = people.find(({ name }: { name: string }) => name === "Odile Farrow");
  const [cost] = rateTables.filter(({ kind }: { kind: string }) => kind === "cost");
  expect(cost.entries.filter(({ personId }: { personId?: string }) => personId === id)).toEqual([{ personId: id, rate: 45.5 }]);
  await page.getByRole("button", { name: /^Undo: add Odile Farrow/ }).click();
  await untilSaved(page);
  const before = await planOf();
  expect(before.people.some(({ name }: { name: string }) => name === "Odile Farrow")).toBe(false);
  expect(JSON.stringify(before.rateTables)).not.toContain(id);
});

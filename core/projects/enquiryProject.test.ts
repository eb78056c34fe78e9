// Enquiries that become projects: what they ask for is what the project holds, and looking changes nothing.
import fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { earliestAnswer } from "../answers/earliest.ts";
import { enquiriesOf, enquiryEffect } from "../answers/enquiries.ts";
import { outboxOf } from "../answers/requests.ts";
import { formatDay, parseDay } from "../calendar/day.ts";
import { applyChanges } from "../edits/change.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { movedProject } from "../forecast/movedProject.ts";
import { buildModel, type Model } from "../model.ts";
import { checkPlan } from "../plan/check.ts";
import type { Enquiry, Plan } from "../plan/schema.ts";
import { acceptEdit, approveEdit } from "./enquiryProject.ts";

const plan = fernhollow();
const model = buildModel(plan);
const today = "2027-02-01";
const said = { by: "Nora Okafor", at: "2027-02-01T09:00:00Z" };

const made = (on: Plan, edit: Edit | null): Plan => {
  const outcome = edit && applyEdit(on, edit);
  if (!outcome?.plan) throw new Error(outcome?.faults.map(({ message }) => message).join(" ") ?? "nothing to make");
  return outcome.plan;
};

const accepted = (on: Model, enquiryId: string, more: { start?: string; probability?: number } = {}): Plan =>
  made(on.plan, acceptEdit(on, { enquiryId, probability: 100, today, idStem: "new", ...said, ...more }));

const hoursOf = ({ tasks, assignments }: Plan, projectId: string): Map<string, number> => {
  const own = new Set(tasks.filter((task) => task.projectId === projectId).map(({ id }) => id));
  const sums = new Map<string, number>();
  for (const { taskId, roleId = "", hours = 0 } of assignments) if (own.has(taskId)) sums.set(roleId, (sums.get(roleId) ?? 0) + hours);
  return sums;
};

test("always: hours by role become openings of as many hours, over the requested days, for any demand", () => {
  const hours = fc.uniqueArray(
    fc.record({ roleId: fc.constantFrom(...plan.roles.map(({ id }) => id)), hours: fc.integer({ min: 1, max: 400 }) }),
    {
      selector: ({ roleId }) => roleId,
      minLength: 1,
    },
  );
  fc.assert(
    fc.property(
      hours,
      fc.integer({ min: 0, max: 200 }),
      fc.option(fc.integer({ min: 0, max: 150 }), { nil: undefined }),
      (asked, from, lasts) => {
        const start = parseDay("2027-03-01") + from;
        const enquiry: Enquiry = {
          ...plan.enquiries[0],
          hours: asked,
          wishedStart: formatDay(start),
          wishedFinish: lasts === undefined ? undefined : formatDay(start + lasts),
        };
        const own = buildModel({ ...plan, enquiries: [enquiry] });
        const next = accepted(own, enquiry.id);
        expect(checkPlan(next)).toEqual([]);
        expect(hoursOf(next, "new-p")).toEqual(new Map(asked.map((role) => [role.roleId, role.hours])));
        const effect = enquiryEffect(own, { enquiryId: enquiry.id, today });
        expect(new Map(effect?.roles.map(({ roleName, asked: minutes }) => [roleName, minutes]))).toEqual(
          new Map(
            plan.roles.flatMap(({ id, name }) => {
              const role = asked.find(({ roleId }) => roleId === id);
              return role ? [[name, role.hours * 60]] : [];
            }),
          ),
        );
        const finish = buildModel(next).schedule.projects[next.projects.length - 1].finish.day;
        expect(effect?.finish).toBe(finish);
        // A wish that ends on a day without work is met on the last working day before it.
        if (lasts !== undefined && lasts > 6) expect(finish).toBeLessThanOrEqual(start + lasts);
      },
    ),
    { numRuns: 15 },
  );
});

test("what it would do is what it does once it is accepted, and looking leaves the plan as it was", () => {
  const before = JSON.stringify(plan);
  for (const [enquiryId, start] of [
    ["enquiry-mill", "2027-05-03"],
    ["enquiry-tram", "2027-06-07"],
  ]) {
    const asIf = enquiryEffect(model, { enquiryId, start, today });
    const next = buildModel(accepted(model, enquiryId, { start }));
    expect(enquiryEffect(next, { enquiryId, today })).toEqual(asIf);
    const firstIn = (own: typeof model, enquiry: { enquiryId: string; today: string; start?: string }) =>
      earliestAnswer(own, { of: { enquiry }, from: parseDay(today), tolerance: 0 })?.first;
    expect(firstIn(next, { enquiryId, today })).toEqual(firstIn(model, { enquiryId, today, start }));
  }
  expect(JSON.stringify(plan)).toBe(before);
  expect(enquiryEffect(model, { enquiryId: "enquiry-maze", today })).toBeNull();
  expect(enquiryEffect(model, { enquiryId: "nothing", today })).toBeNull();
});

test("it is for the client of that name, regardless of letter case; a new one is added", () => {
  const mill = accepted(model, "enquiry-mill");
  expect(mill.clients.at(-1)).toEqual({ id: "new-c", name: "Lower Quarry Mill Trust" });
  expect(mill.projects.at(-1)).toMatchObject({ clientId: "new-c", stage: "pipeline", billing: { kind: "fixedFee", fee: 64_000 } });
  const known = plan.clients.find(({ name }) => name === "Ravenholt City Museum");
  const written = { ...plan.enquiries[1], contact: { name: "Osman Vell", organisation: "RAVENHOLT city museum" } };
  const tram = accepted(buildModel({ ...plan, enquiries: [written] }), "enquiry-tram");
  expect(tram.clients).toEqual(plan.clients);
  expect(tram.projects.at(-1)?.clientId).toBe(known?.id);
  // The tasks of its template, with nobody on them.
  const tasks = tram.tasks.filter(({ projectId }) => projectId === "new-p");
  expect(tasks.length).toBe(plan.templates.find(({ id }) => id === "template-display")?.tasks.length);
  const own = new Set(tasks.map(({ id }) => id));
  expect(tram.assignments.filter(({ taskId, personId }) => own.has(taskId) && personId !== undefined)).toEqual([]);
});

test("approved at another start, the project moves as a whole, and is work like any other", () => {
  const next = accepted(model, "enquiry-tram", { start: "2027-06-07" });
  const approved = made(next, approveEdit(buildModel(next), { enquiryId: "enquiry-tram", start: "2027-07-05", ...said }));
  const row = next.projects.length - 1;
  const moved = applyChanges(next, movedProject(next, row, 28));
  expect(approved.tasks).toEqual(moved.tasks);
  expect(approved.assignments).toEqual(moved.assignments);
  expect(approved.projects.at(-1)).toMatchObject({ start: "2027-07-05", stage: "approved" });
  expect(approved.projects.at(-1)).not.toHaveProperty("probability");
  expect(enquiriesOf({ plan: approved }).rows.find(({ enquiry }) => enquiry.id === "enquiry-tram")).toMatchObject({
    projectName: "A tram to sit in",
    enquiry: { state: "approved" },
  });
});

test("steps come in their order, a no has a reason, and each writes to the person who asked", () => {
  const step = (on: Plan, kind: "approved" | "declined" | "reopened", text?: string) =>
    applyEdit(on, { kind: "stepEnquiry", id: "enquiry-mill", entry: { ...said, step: kind, ...(text !== undefined && { text }) } });
  expect(step(plan, "approved").faults[0].message).toContain("has already been answered");
  expect(step(plan, "declined").faults[0].message).toBe("Enter the reason for declining.");
  const next = accepted(model, "enquiry-mill");
  // Someone else looks at it at the same time, and accepts it too.
  const twice = acceptEdit(buildModel(next), { enquiryId: "enquiry-mill", probability: 80, today, idStem: "other", ...said });
  expect(twice && applyEdit(next, twice).faults[0].message).toContain("has already been answered");
  // A step is about the project of its enquiry, no matter which project it names.
  const other = { ...said, step: "declined" as const, text: "No." };
  const alone = applyEdit(plan, { kind: "stepEnquiry", id: "enquiry-mill", projectId: plan.projects[0].id, entry: other });
  expect(alone.plan?.projects).toEqual(plan.projects);
  const declined = step(next, "declined", "The wheel is too heavy for us.").plan as Plan;
  expect(declined.projects.at(-1)).toMatchObject({ stage: "cancelled" });
  const again = step(declined, "reopened").plan as Plan;
  expect(again.enquiries[0]).toMatchObject({ state: "received" });
  expect(again.enquiries[0]).not.toHaveProperty("projectId");
  const sent = outboxOf(buildModel(again)).filter(({ key }) => key.startsWith("enquiry enquiry-mill"));
  expect(sent.map(({ subject }) => subject.split(":")[0])).toEqual(
    expect.arrayContaining(["We have your enquiry", "We would like to do it", "We cannot take it on", "We are looking at it again"]),
  );
  expect(sent.every(({ to }) => to === "Hedda Quill <hedda@quarrymill.example>")).toBe(true);
});

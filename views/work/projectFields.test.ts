import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { projectFields, projectSet, projectValues } from "./projectFields.ts";

const usual = { calendarId: "standard", costTableId: "cost", billTableId: "" };

test("always: a project that is opened and saved as it is now stays as it is", () => {
  for (const project of fernhollow().projects) {
    const fields = projectValues(project, usual);
    expect(projectFields.safeParse(fields).error?.issues ?? []).toEqual([]);
    const stated = Object.entries(projectSet(fields)).filter(([, value]) => value !== null);
    const { id: _, billing, ...rest } = project;
    // Not billed is what nothing said means.
    const kept = billing?.kind === "internal" ? rest : { ...rest, billing };
    expect(Object.fromEntries(stated)).toEqual(JSON.parse(JSON.stringify(kept)));
  }
});

test("a new project begins with the usual calendar and rate table; one that has none keeps none", () => {
  expect(projectValues({}, usual)).toMatchObject({ calendarId: "standard", costTableId: "cost" });
  expect(projectValues({ id: "p" }, usual).costTableId).toBe("");
});

test("a fee belongs to a fixed fee alone, a likelihood to what is not won", () => {
  const fields = { ...projectValues({ name: "A", start: "2027-01-04" }, usual), fee: "12000,5", probability: "40" };
  expect(projectSet({ ...fields, billing: "fixedFee" }).billing).toEqual({ kind: "fixedFee", fee: 12000.5 });
  expect(projectSet({ ...fields, billing: "timeAndMaterials" }).billing).toEqual({ kind: "timeAndMaterials" });
  expect(projectSet({ ...fields, billing: "internal" }).billing).toBeNull();
  expect(projectSet({ ...fields, stage: "pipeline" }).probability).toBe(40);
  expect(projectSet(fields).probability).toBeNull();
});

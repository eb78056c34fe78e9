import fc from "fast-check";
import { expect, test } from "vitest";
import { applyEdit } from "../../core/edits/edit.ts";
import { fernhollow } from "../../demo/fernhollow.ts";
import { fieldsOfSettings, type SettingsFields, setOfSettings, settingsFields } from "./settingsForm.ts";

const plan = fernhollow();
const fields = fieldsOfSettings(plan.settings);
const faultsOf = (changed: Partial<SettingsFields>) =>
  settingsFields.safeParse({ ...fields, ...changed }).error?.issues.map(({ path, message }) => [path.join("."), message]) ?? [];

test("the settings of the demo plan are valid fields, and saving them unchanged changes nothing that counts", () => {
  expect(faultsOf({})).toEqual([]);
  const saved = applyEdit(plan, { kind: "changeSettings", set: setOfSettings(fields) });
  expect(saved.plan?.settings).toMatchObject(plan.settings);
});

test("each wrong field is named with its reason", () => {
  expect(faultsOf({ name: "  " })).toEqual([["name", "Enter a name for the plan."]]);
  expect(faultsOf({ planEnd: "1 Jan 2020" })).toEqual([["planEnd", "The last day must be on or after the first day."]]);
  expect(faultsOf({ low: "110", high: "90" })).toEqual([["high", "It must not be below the first figure."]]);
  expect(faultsOf({ hoursPerFteWeek: "169" })).toEqual([["hoursPerFteWeek", "Hours from 1 to 168."]]);
  expect(faultsOf({ today: "soon" })[0][0]).toBe("today");
});

test("an empty figure means the default, and an empty date the real one", () => {
  const set = setOfSettings({ ...fields, hoursPerFteWeek: "", marginTarget: " ", today: "", low: "", high: "" });
  expect(set).toMatchObject({ hoursPerFteWeek: null, marginTarget: null, today: null });
  expect(set.levelBand).toEqual({ low: 0.85, high: 1 });
});

test("always: figures come back from the form as they were stated", () => {
  const cents = (most: number) => fc.integer({ min: 1, max: most * 100 }).map((hundredths) => hundredths / 100);
  fc.assert(
    fc.property(cents(168), cents(100), fc.tuple(cents(9), cents(9)), fc.boolean(), (hoursPerFteWeek, marginTarget, band, taxInCost) => {
      const [low, high] = band.map((share) => Math.round(share * 100) / 100).sort((a, b) => a - b);
      const settings = { ...plan.settings, hoursPerFteWeek, marginTarget, levelBand: { low, high }, ...(taxInCost && { taxInCost }) };
      const set = setOfSettings(fieldsOfSettings(settings));
      expect(set).toMatchObject({ hoursPerFteWeek, marginTarget, taxInCost: taxInCost ? true : null });
      expect(set.levelBand?.low).toBeCloseTo(low, 10);
      expect(set.levelBand?.high).toBeCloseTo(high, 10);
    }),
  );
});

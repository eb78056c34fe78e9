import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { parseDay } from "../calendar/day.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { buildModel, type Model } from "../model.ts";
import { peopleLoads } from "./peopleLoads.ts";
import { timeLeftOf } from "./timeLeft.ts";

const model = buildModel(fernhollow());
const today = parseDay("2027-02-01");

function after(edit: Edit): Model {
  const outcome = applyEdit(model.plan, edit);
  if (!outcome.plan) throw new Error(outcome.faults.map(({ message }) => message).join(" "));
  return buildModel(outcome.plan);
}
const row = (from: Model, personId: string, until = "2027-05-11") =>
  timeLeftOf(from, "tidepool", today, parseDay(until))?.rows.find((own) => own.personId === personId);

test("what remains is what is asked for less what is done, regardless of the date", () => {
  const before = row(model, "rui")?.remaining as number;
  expect(row(model, "rui", "2027-02-05")?.remaining).toBe(before);
  const half = after({ kind: "changeTask", id: "tidepool-scenic", set: { percentComplete: 50 } });
  // Rui has 100 h of the scenic surfaces.
  expect(row(half, "rui")?.remaining).toBe(before - 50 * 60);
  const done = after({ kind: "changeTask", id: "tidepool-scenic", set: { state: "done" } });
  expect(row(done, "rui")?.remaining).toBe(before - 100 * 60);
});

test("hours left are capacity before the date without other projects' work, and less of them puts people in trouble", () => {
  expect(row(model, "rui")?.state).toBe("fits");
  const early = row(model, "rui", "2027-02-12");
  expect(early?.state).toBe("trouble");
  expect(early?.have).toBeLessThan(10 * 8 * 60);
  const away = after({
    kind: "setTimeOff",
    personId: "rui",
    timeOff: { id: "x", from: "2027-02-01", to: "2027-02-12", kind: "sick", state: "approved" },
  });
  expect(row(away, "rui", "2027-02-12")?.have).toBe(0);
});

test("those in trouble come first, and people with a role that is needed could help", () => {
  const rows = timeLeftOf(model, "tidepool", today, parseDay("2027-03-05"))?.rows ?? [];
  const states = rows.map(({ state }) => state);
  expect(states).toEqual(
    [...states].sort((a, b) => ["trouble", "fits", "done", "helper"].indexOf(a) - ["trouble", "fits", "done", "helper"].indexOf(b)),
  );
  const helpers = rows.filter(({ state }) => state === "helper");
  expect(helpers.length).toBeGreaterThan(0);
  expect(helpers.every(({ remaining, have }) => remaining === 0 && have > 0)).toBe(true);
  expect(timeLeftOf(model, "none", today, today)).toBeNull();
});

test("of a period, everyone has what is placed in it, against all their hours", () => {
  const [from, until] = [today, parseDay("2027-02-26")];
  const rows = timeLeftOf(model, null, from, until)?.rows ?? [];
  const loads = peopleLoads(model, { ids: ["rui", "mara"], range: { start: from, stop: until + 1 }, grain: "year" });
  loads.people.forEach(({ id }, at) => {
    const own = rows.find(({ personId }) => personId === id);
    expect(own?.have, id).toBe(loads.capacity[at]);
    // Nothing they are on in these weeks is begun, and none of it has hours without a place.
    expect(own?.remaining, id).toBe(loads.load[at]);
  });
});

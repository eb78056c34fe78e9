import { expect, test } from "vitest";
import { parseDay } from "../../core/calendar/day.ts";
import type { MoneyPart } from "../../core/cost/explainMoney.ts";
import { partText, rateText, rowName, sourceText } from "./moneyWords.ts";

const day = parseDay("2027-03-29");
const part = (own: Partial<MoneyPart>): MoneyPart => ({ what: "hours", start: day, last: day, amount: 0, ...own });
const says = (own: Partial<MoneyPart>, unit = "") => partText(part(own), { currency: "EUR" }, unit);

test("each step of a sum tells the figures it is made of", () => {
  expect(says({ minutes: 450, rate: 350_200 })).toMatch(/: 7\.5 h × 35\.02$/);
  expect(says({ last: day + 4, minutes: 2400, overtime: 90, rate: 420_000, overtimeRate: 630_050 })).toMatch(
    / – .*: 40 h × 42\.00 \+ 1\.5 h overtime × 63\.005$/,
  );
  expect(says({ minutes: 60, rate: 300_000, exchange: 1_170_000 })).toMatch(/: 1 h × 30\.00 × 1\.17$/);
  expect(says({ what: "units", units: 154_000, rate: 895_000 }, "m²")).toMatch(/: 15\.4 m² × 89\.50$/);
  expect(says({ what: "perUse", whole: 2_500 })).toMatch(/: once for each use, EUR 25\.00$/);
  expect(says({ what: "share", whole: 120_000, part: { own: 3, all: 12 } })).toMatch(/: 3 parts of 12 of 1,200\.00$/);
  expect(says({ what: "share", whole: 120_000, part: { own: 1, all: 1 } })).toMatch(/: 1,200\.00$/);
  expect(says({ what: "fee", whole: 5_000_000, minutes: 480, part: { own: 480, all: 4_800 } })).toMatch(
    /: 8 of 80 h of the fee of 50,000\.00$/,
  );
  expect(says({ what: "noRate", minutes: 90 })).toMatch(/: 1\.5 h without a rate$/);
  expect(says({ what: "noExchange", units: 20_000 }, "kg")).toMatch(/: 2 kg without an exchange rate for EUR$/);
});

test("a rate has two decimals at least, and is said to be whose and since when", () => {
  expect([rateText(350_000), rateText(350_250), rateText(333_333)]).toEqual(["35.00", "35.025", "33.3333"]);
  expect(sourceText(part({}), {})).toBeNull();
  expect(sourceText(part({ of: "role", since: null }), { role: "Exhibit designer" })).toBe("rate of Exhibit designer");
  expect(sourceText(part({ of: "default", since: day }), {})).toBe("rate of everybody else, from 29 Mar 2027");
});

test("what nothing in the plan names is called what it lacks", () => {
  expect(rowName("client", "none:", null)).toBe("Own work");
  expect(rowName("person", "none:labour", null)).toBe("Nobody yet, or a team");
  expect(rowName("person", "none:expense", null)).toBe("Expenses");
  expect(rowName("supplier", "none:expense", null)).toBe("No supplier");
  expect(rowName("treatment", "none:expense", null)).toBe("Neither stated");
  expect(rowName("task", "none:expense", null)).toBe("Expenses");
  expect(rowName("kind", "labour", null)).toBe("Labour");
  expect(rowName("costType", "travel", null)).toBe("Travel");
  expect(rowName("project", "tidepool", "Tidepool Hall")).toBe("Tidepool Hall");
});

import { expect, test } from "vitest";
import type { Redacted } from "../../client/seen.ts";
import { parseDay } from "../../core/calendar/day.ts";
import type { MoneyPart } from "../../core/cost/explainMoney.ts";
import { partText, rateText, rowName, sourceText } from "./moneyWords.ts";

const day = parseDay("2027-03-29");
const part = (own: Partial<Redacted<MoneyPart>>): Redacted<MoneyPart> => ({ what: "hours", start: day, last: day, amount: 0, ...own });
const says = (own: Partial<Redacted<MoneyPart>>, unit = "h", currency = "EUR") => partText(part(own), { currency, unit }, "EUR");

test("each step of a sum has its figures with their units", () => {
  expect(says({ minutes: 450, rate: 350_200 })).toMatch(/: 7\.5 h × EUR 35\.02\/h$/);
  expect(says({ last: day + 4, minutes: 2400, overtime: 90, rate: 420_000, overtimeRate: 630_050 })).toMatch(
    / – .*: 40 h × EUR 42\.00\/h \+ 1\.5 h overtime × EUR 63\.005\/h$/,
  );
  expect(says({ what: "units", units: 154_000, rate: 895_000 }, "m²")).toMatch(/: 15\.4 m² × EUR 89\.50\/m²$/);
  expect(says({ what: "perUse", whole: 2_500 })).toMatch(/: call-out charge, EUR 25\.00$/);
  expect(says({ what: "perUse", whole: 2_500 }, "m²")).toMatch(/: delivery charge, EUR 25\.00$/);
  expect(says({ what: "share", whole: 120_000, part: { own: 3, all: 12 } })).toMatch(/: 3 of 12 working days of 1,200\.00$/);
  expect(says({ what: "share", whole: 120_000, part: { own: 1, all: 1 } })).toMatch(/: 1,200\.00$/);
  expect(says({ what: "fee", whole: 5_000_000, minutes: 480, part: { own: 480, all: 4_800 } })).toMatch(
    /: 8 of 80 h of the fee of 50,000\.00$/,
  );
  expect(says({ what: "noRate", minutes: 90 })).toMatch(/: 1\.5 h without a rate$/);
  expect(says({ what: "noExchange", units: 20_000 }, "kg", "USD")).toMatch(/: 2 kg without an exchange rate for USD$/);
});

test("an exchange rate has its date, a sum that is exchanged has brackets, and waste is kept apart", () => {
  const exchange = { exchange: 1_170_000, exchangeSince: day - 28 };
  expect(says({ minutes: 60, rate: 300_000, ...exchange }, "h", "GBP")).toMatch(
    /: 1 h × GBP 30\.00\/h × 1\.17 EUR\/GBP, rate from 1 Mar 2027$/,
  );
  expect(says({ minutes: 60, overtime: 30, rate: 300_000, overtimeRate: 450_000, ...exchange }, "h", "GBP")).toMatch(
    /: \(1 h × GBP 30\.00\/h \+ 0\.5 h overtime × GBP 45\.00\/h\) × 1\.17 EUR\/GBP, rate from 1 Mar 2027$/,
  );
  expect(says({ what: "units", units: 110_000, plainUnits: 100_000, waste: 1_000, rate: 895_000 }, "m²")).toMatch(
    /: \(10 m² \+ 10% waste\) × EUR 89\.50\/m²$/,
  );
});

test("a rate has two decimals at least, and is said to be whose and since when", () => {
  expect([rateText(350_000), rateText(350_250), rateText(333_333)]).toEqual(["35.00", "35.025", "33.3333"]);
  expect(sourceText(part({}), {})).toBeNull();
  expect(sourceText(part({ of: "role", since: null }), { role: "Exhibit designer" })).toBe("rate of Exhibit designer");
  expect(sourceText(part({ of: "default", since: day }), {})).toBe("rate of everyone else, from 29 Mar 2027");
});

test("what nothing in the plan names is called what it lacks", () => {
  expect(rowName("client", "none:", null)).toBe("Own work");
  expect(rowName("person", "none:labour", null)).toBe("Unassigned, or a team");
  expect(rowName("person", "none:expense", null)).toBe("Expenses");
  expect(rowName("supplier", "none:expense", null)).toBe("No supplier");
  expect(rowName("treatment", "none:expense", null)).toBe("Not stated");
  expect(rowName("task", "none:expense", null)).toBe("Expenses");
  expect(rowName("kind", "labour", null)).toBe("Labour");
  expect(rowName("costType", "travel", null)).toBe("Travel");
  expect(rowName("project", "tidepool", "Tidepool Hall")).toBe("Tidepool Hall");
});

import { expect, test } from "vitest";
import { rateInCurrency } from "./exchangeOn.ts";

const currencies = {
  own: "EUR",
  exchangeRates: [
    { currency: "GBP", from: "2027-03-01", rate: 1.25 },
    { currency: "GBP", from: "2027-01-01", rate: 1.2 },
    { currency: "NOK", from: "2027-01-01", rate: 0.09 },
  ],
};
const inCurrency = (rate: number, from: string, to: string, date: string) => rateInCurrency(rate, from, to, date, currencies);

test("a rate is exchanged by what holds on the day: into the plan's currency, out of it, and between two others", () => {
  expect(inCurrency(50, "GBP", "EUR", "2027-02-28")).toBe(60);
  expect(inCurrency(50, "GBP", "EUR", "2027-03-01")).toBe(62.5);
  expect(inCurrency(50, "EUR", "GBP", "2027-03-01")).toBe(40);
  expect(inCurrency(45, "GBP", "NOK", "2027-01-01")).toBe(600);
  expect(inCurrency(45.1234, "NOK", "NOK", "2020-01-01")).toBe(45.1234);
});

test("the fourth decimal is rounded half up", () => {
  expect(inCurrency(0.0005, "NOK", "EUR", "2027-01-01")).toBe(0);
  expect(inCurrency(1, "EUR", "NOK", "2027-01-01")).toBe(11.1111);
  expect(inCurrency(0.05, "NOK", "EUR", "2027-01-01")).toBe(0.0045);
});

test("before the first exchange rate there is none, except for rates that hold from the beginning", () => {
  expect(inCurrency(50, "GBP", "EUR", "2026-12-31")).toBeNull();
  expect(inCurrency(50, "GBP", "EUR", "")).toBe(60);
  expect(inCurrency(50, "SEK", "EUR", "")).toBeNull();
});

import { expect, test } from "vitest";
import { kindOf, kindOptions, namedOptions, none, optionGroups, optionsFound, wordOptions } from "./options.ts";

const people = [
  { id: "mara", name: "Mara Ellingsen", side: "Fabricator · 12 h free" },
  { id: "rui", name: "Rui Monteverde", side: "Installer" },
];

test("options are under their headings in the order they are given", () => {
  const options = [
    none("Nobody"),
    ...kindOptions("Roles", "role", [{ id: "fab", name: "Fabricator" }]),
    ...kindOptions("People", "person", people),
  ];
  expect(optionGroups(options).map(({ group, options: own }) => [group, own.length])).toEqual([
    ["", 1],
    ["Roles", 1],
    ["People", 2],
  ]);
  expect(kindOf(options[2].value)).toEqual({ kind: "person", id: "mara" });
  expect(kindOf("role:a:b")).toEqual({ kind: "role", id: "a:b" });
});

test("every typed word is looked for in the name and next to it", () => {
  const found = (typed: string) => optionsFound(namedOptions(people), typed).map(({ value }) => value);
  expect(found("")).toEqual(["mara", "rui"]);
  expect(found("fab mara")).toEqual(["mara"]);
  expect(found("INST")).toEqual(["rui"]);
  expect(found("nobody")).toEqual([]);
});

test("words become options by value", () => {
  expect(wordOptions({ early: "More at the start", late: "More at the end" })).toEqual([
    { value: "early", text: "More at the start" },
    { value: "late", text: "More at the end" },
  ]);
});

import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { searchPlan } from "./search.ts";

const plan = fernhollow();
const names = (text: string, most = 5) => searchPlan(plan, text, most).map(({ kind, name }) => `${kind} ${name}`);

test("words are found in any order and letter case, each with the detail that distinguishes it", () => {
  expect(searchPlan(plan, "ELLINGSEN mar", 5)).toEqual([{ kind: "person", id: "mara", name: "Mara Ellingsen", side: "Fabricator" }]);
  const [task] = searchPlan(plan, "casts trial", 5);
  expect(task).toMatchObject({ kind: "task", id: "tidepool-rockpools", side: "Tidepool Hall · Fabrication", projectId: "tidepool" });
});

test("what begins with the word comes before what merely holds it, and people before projects before tasks", () => {
  const found = names("li", 40);
  const people = found.filter((name) => name.startsWith("person"));
  expect(people.findIndex((name) => !/^person Li/i.test(name))).toBeGreaterThan(
    people.findLastIndex((name) => /^person Li/i.test(name)) - 1,
  );
  const kinds = found.map((name) => name.split(" ")[0]);
  expect(kinds).toEqual([...kinds].sort((a, b) => ["person", "project", "task"].indexOf(a) - ["person", "project", "task"].indexOf(b)));
});

test("a project is found by its code and by its client, at most so many of each kind, and nothing by nothing", () => {
  expect(names("WR")).toContain("project Woven Rivers");
  expect(names("tp")[0]).toBe("project Tidepool Hall");
  expect(names("quiet machines").filter((name) => name.startsWith("project"))).toContain("project The Clockwork Orchard");
  expect(names("a", 2).length).toBeLessThanOrEqual(6);
  expect(names("   ")).toEqual([]);
  expect(names("zzz")).toEqual([]);
});

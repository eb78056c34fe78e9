import fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { applyEdit } from "../edits/edit.ts";
import type { Plan } from "../plan/schema.ts";
import { readLinkText, writeLinkText } from "./linkText.ts";
import { typeLinks } from "./typeLinks.ts";

const plan = fernhollow();
const rows = plan.tasks.filter(({ projectId }) => projectId === "tidepool");
const taskId = "tidepool-scenic";
const numberOf = (id: string) => String(rows.findIndex((row) => row.id === id) + 1);

function followed(text: string, from: Plan = plan): Plan {
  const made = typeLinks(from, { taskId, rows, text, newId: (at) => `typed-${at}` });
  if ("notUnderstood" in made) throw new Error(made.notUnderstood);
  if (!made.edit) return from;
  const outcome = applyEdit(from, made.edit);
  if (!outcome.plan) throw new Error(outcome.faults[0].message);
  return outcome.plan;
}

const linksTo = ({ links }: Plan) =>
  links
    .filter(({ to }) => to === taskId)
    .map(({ from, kind, lagDays = 0, elapsed }) => writeLinkText(numberOf(from), { kind, lagDays, elapsed }));

test("what is there, typed again, changes nothing; each way of following is written as it is typed", () => {
  expect(linksTo(plan)).toEqual([`with ${numberOf("tidepool-cases")} + 10 d`]);
  expect(typeLinks(plan, { taskId, rows, text: linksTo(plan).join(", "), newId: String })).toEqual({ edit: null });
  for (const text of ["3", "with 3", "finishes with 3 − 2 d", "until 3", "3 + 1.5 d", "3 + 2 cd"])
    expect(linksTo(followed(text))).toEqual([text]);
});

test("a changed lag keeps its link, a task that is not listed any more is no longer followed, all in one step", () => {
  const cases = numberOf("tidepool-cases");
  const order = numberOf("tidepool-order");
  const [before] = plan.links.filter(({ to }) => to === taskId);
  const after = followed(`with ${cases} + 12 d; Order materials`);
  expect(linksTo(after)).toEqual([`with ${cases} + 12 d`, order]);
  expect(after.links.some(({ id, lagDays }) => id === before.id && lagDays === 12)).toBe(true);
  expect(linksTo(followed("", after))).toEqual([]);
  expect(typeLinks(plan, { taskId, rows, text: "3, nothing of that name", newId: String })).toEqual({
    notUnderstood: "nothing of that name",
  });
});

test("always: a link that is written is read as what it is", () => {
  const lag = fc.integer({ min: -40, max: 40 });
  fc.assert(
    fc.property(
      fc.constantFrom("FS", "SS", "FF", "SF"),
      lag,
      fc.boolean(),
      fc.constantFrom("12", "Room-3", "Paint it"),
      (kind, lagDays, elapsed, from) => {
        const link = { kind, ...(lagDays !== 0 && { lagDays }), ...(elapsed && lagDays !== 0 && { elapsed: true }) } as const;
        expect(readLinkText(writeLinkText(from, link), (name) => name === from)).toEqual({ from, ...link });
      },
    ),
  );
});

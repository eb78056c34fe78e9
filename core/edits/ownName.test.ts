import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { applyEdit, type Edit } from "./edit.ts";
import { isInOwnName } from "./ownName.ts";

const plan = fernhollow();
const AT = "2027-02-01T09:00:00Z";
const comment = (author: string) => ({ id: "said", taskId: "tidepool-cases", author, at: AT, text: "Agreed." });
const note = (by: string) => ({ id: "reported", signal: "over mara", personId: "ilka", by, at: AT, text: "Can you look?" });
const request = (by: string) => ({
  id: "asked",
  taskId: "tidepool-cases",
  assignmentId: "asked-work",
  roleId: "fabricator",
  hours: 8,
  state: "asked" as const,
  history: [{ at: AT, by, to: "Lee", step: "asked" as const }],
});
const work = { id: "asked-work", taskId: "tidepool-cases", roleId: "fabricator", hours: 8, firmness: "asked" as const };

const ways: [string, (name: string) => Edit][] = [
  ["a comment", (name) => ({ kind: "addComment", comment: comment(name) })],
  ["a comment in a file", (name) => ({ kind: "importRows", source: "x.csv", rows: [{ list: "comments", row: comment(name) }] })],
  ["a note", (name) => ({ kind: "sendNote", note: note(name) })],
  ["a request", (name) => ({ kind: "askWork", request: request(name), assignment: work })],
  [
    "a request in a file",
    (name) => ({
      kind: "importRows",
      source: "x.csv",
      rows: [
        { list: "assignments", row: work },
        { list: "requests", row: request(name) },
      ],
    }),
  ],
  [
    "a comment together with other edits",
    (name) => ({ kind: "together", words: "say", edits: [{ kind: "addComment", comment: comment(name) }] }),
  ],
];

test.each(ways)("%s is made in one's own name alone", (_, edit) => {
  for (const name of ["Nora Okafor", "Mara Ellingsen"]) {
    const outcome = applyEdit(plan, edit(name));
    expect(outcome.faults).toEqual([]);
    expect(isInOwnName(outcome.plan ?? plan, outcome.plan ? outcome.changes : [], "Nora Okafor")).toBe(name === "Nora Okafor");
  }
});

test("what someone else has said is not changed, and may be removed", () => {
  const [said] = plan.comments;
  expect(said.author).not.toBe("Lee");
  const change = (after: typeof said | null) => [{ list: "comments" as const, id: said.id, before: said, after }];
  expect(isInOwnName(plan, change({ ...said, text: "Never said." }), "Lee")).toBe(false);
  expect(isInOwnName(plan, change({ ...said, author: "Lee" }), "Lee")).toBe(false);
  expect(isInOwnName(plan, change(said), "Lee")).toBe(true);
  expect(isInOwnName(plan, change(null), "Lee")).toBe(true);
  const sent = note("Nora Okafor");
  const other = (after: typeof sent) => [{ list: "notes" as const, id: sent.id, before: sent, after }];
  expect(isInOwnName(plan, other({ ...sent, by: "Lee" }), "Lee")).toBe(false);
  expect(isInOwnName(plan, other({ ...sent, text: "Never mind." }), "Nora Okafor")).toBe(true);
});

test("a request is recorded on behalf of the project's lead, and nothing is answered on theirs", () => {
  const leadId = plan.projects.find(({ id }) => id === "tidepool")?.leadId;
  const lead = plan.people.find(({ id }) => id === leadId)?.name as string;
  const made = (history: ReturnType<typeof request>["history"]) => [
    { list: "requests" as const, id: "asked", before: null, after: { ...request(lead), history } },
  ];
  const [first] = request(lead).history;
  expect(isInOwnName(plan, made([first]), "Nora Okafor")).toBe(true);
  expect(isInOwnName(plan, made([{ ...first, step: "confirmed" as never }]), "Nora Okafor")).toBe(false);
  expect(isInOwnName(plan, made([first, { ...first, step: "confirmed" as never }]), "Nora Okafor")).toBe(false);
});

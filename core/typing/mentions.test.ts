import fc from "fast-check";
import { expect, test } from "vitest";
import { mentionParts, mentionsIn } from "./mentions.ts";

const names = {
  people: [
    { id: "bo", name: "Bo Hallberg" },
    { id: "ann", name: "Ann" },
    { id: "anna", name: "Anna Lind" },
  ],
  teams: [{ id: "rig", name: "Riggers", handle: "rig" }],
};

test("people and teams are called by name or handle; of names that begin alike the longest counts", () => {
  expect(mentionsIn("@anna lind and @Bo Hallberg, with @rig", names)).toEqual([
    { personId: "anna" },
    { personId: "bo" },
    { teamId: "rig" },
  ]);
  expect(mentionsIn("@Ann, again @Ann and the @Riggers", names)).toEqual([{ personId: "ann" }, { teamId: "rig" }]);
});

test("an address, half a name and a longer word call nobody", () => {
  expect(mentionsIn("write to bo@rig.example, @Bo, @rigging, @Annabel", names)).toEqual([]);
});

test("always: the parts put together are the text", () => {
  const piece = fc.oneof(fc.string(), fc.constantFrom("@Bo Hallberg", "@rig", "@Ann", "@", " "));
  fc.assert(
    fc.property(fc.array(piece), (pieces) => {
      const text = pieces.join("");
      expect(
        mentionParts(text, names)
          .map((part) => part.text)
          .join(""),
      ).toBe(text);
    }),
  );
});

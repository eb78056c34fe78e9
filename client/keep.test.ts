import { expect, test } from "vitest";
import { keepIn } from "./keep.ts";
import type { KeptEdit } from "./keptEdit.ts";

const made = (key: string): KeptEdit => ({ key, edit: { kind: "deleteTask", id: key } });
const never = new Promise<never>(() => undefined);

test("edits are kept until they are settled, each by its own key", async () => {
  let stored: KeptEdit[] | undefined;
  const keep = keepIn(
    {
      get: async () => stored,
      update: async (change) => {
        stored = change(stored ?? []);
      },
    },
    () => never,
  );
  expect(await keep.load()).toEqual([]);
  await keep.add([made("a"), made("b")]);
  await keep.setAside("b", []);
  expect(await keep.load()).toEqual([made("a"), { ...made("b"), editConflicts: [] }]);
  await keep.remove("a");
  expect((await keep.load()).map(({ key }) => key)).toEqual(["b"]);
});

test("a storage that does not answer in time keeps nothing, and nobody waits for it", async () => {
  const keep = keepIn({ get: () => never, update: () => never }, async () => undefined);
  await expect(keep.load()).rejects.toThrow("does not answer");
  await expect(keep.add([made("a")])).rejects.toThrow("does not answer");
});

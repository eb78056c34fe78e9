import { expect, test, vi } from "vitest";
import type { Edit } from "../core/edits/edit.ts";
import { forgetJustMade, justMade, keepJustMade } from "./keptEdit.ts";

const edit: Edit = { kind: "reassign", id: "rockpools-mara", personId: "rui" };

/** As much of a window's storage as is used; it has no order of its own. */
class Memory implements Storage {
  [name: string]: unknown;
  readonly #values = new Map<string, string>([["theme", "dark"]]);
  isFull = false;
  get length() {
    return this.#values.size;
  }
  key = (at: number) => [...this.#values.keys()].reverse()[at] ?? null;
  getItem = (name: string) => this.#values.get(name) ?? null;
  setItem = (name: string, value: string) => {
    if (this.isFull) throw new Error("QuotaExceededError");
    this.#values.set(name, value);
  };
  removeItem = (name: string) => void this.#values.delete(name);
  clear = () => this.#values.clear();
}

test("edits come back in the order they were made, without what else is stored, until they are forgotten", async () => {
  const storage = new Memory();
  vi.spyOn(performance, "now").mockReturnValueOnce(1).mockReturnValueOnce(2);
  keepJustMade(storage, { key: "first", edit });
  keepJustMade(storage, { key: "second", edit });
  expect(justMade(storage)).toEqual([
    { key: "first", edit },
    { key: "second", edit },
  ]);
  forgetJustMade(storage, "first");
  expect(justMade(storage).map(({ key }) => key)).toEqual(["second"]);
  expect(storage.getItem("theme")).toBe("dark");
});

test("storage without room, or none at all, stops nobody", () => {
  const storage = new Memory();
  storage.isFull = true;
  expect(() => keepJustMade(storage, { key: "large", edit })).not.toThrow();
  expect(justMade(storage)).toEqual([]);
  expect(() => keepJustMade(null, { key: "nowhere", edit })).not.toThrow();
  expect(() => forgetJustMade(null, "nowhere")).not.toThrow();
  expect(justMade(null)).toEqual([]);
});

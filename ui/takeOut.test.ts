import { expect, test } from "vitest";
import { takeOut } from "./takeOut.ts";

function field(text: string) {
  const own = {
    text,
    set: (next: (now: string) => string) => {
      own.text = next(own.text);
    },
  };
  return own;
}

test("a text is gone from its field at once, and what is typed while it is used stays", async () => {
  const name = field("Carpenter");
  let used: (isUsed: boolean) => void = () => {};
  const done = takeOut(name.text, name.set, () => new Promise((resolve) => (used = resolve)));
  expect(name.text).toBe("");
  name.set(() => "Painter");
  used(true);
  await done;
  expect(name.text).toBe("Painter");
});

test("what cannot be used comes back, but never over something typed since", async () => {
  const name = field("Carpenter");
  await takeOut(name.text, name.set, async () => false);
  expect(name.text).toBe("Carpenter");
  await takeOut(name.text, name.set, async () => {
    name.set(() => "Painter");
    return false;
  });
  expect(name.text).toBe("Painter");
});

import { expect, test } from "vitest";
import { typedFields } from "./useFormOver.ts";

test("the fields in which something was typed are those that are not as they began, lists looked through", () => {
  const began = { name: "Order", tags: ["a"], days: "3" };
  expect(typedFields(began, { ...began, tags: ["a"] })).toEqual([]);
  expect(typedFields(began, { name: "Order now", tags: ["a", "b"], days: "3" })).toEqual(["name", "tags"]);
});

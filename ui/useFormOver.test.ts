import { createFormControl } from "react-hook-form";
import { expect, test } from "vitest";
import { follow, typedFields } from "./useFormOver.ts";

test("the fields in which something was typed are those that are not as they began, lists looked through", () => {
  const began = { name: "Order", tags: ["a"], days: "3" };
  expect(typedFields(began, { ...began, tags: ["a"] })).toEqual([]);
  expect(typedFields(began, { name: "Order now", tags: ["a", "b"], days: "3" })).toEqual(["name", "tags"]);
});

test("a form follows what changes elsewhere, keeps what is typed, and takes what is typed in the very next moment", async () => {
  const began = { name: "", note: "", table: "" };
  const form = createFormControl({ defaultValues: began });
  const [name, note] = [form.register("name"), form.register("note")];
  form.register("table");
  const type = (field: { name: string; onChange: typeof name.onChange }, value: string) =>
    field.onChange({ type: "change", target: { name: field.name, value } });
  await type(note, "By the quay");
  follow(form, began, { ...began, table: "cost" });
  await type(name, "North stage");
  expect(form.getValues()).toEqual({ name: "North stage", note: "By the quay", table: "cost" });
});

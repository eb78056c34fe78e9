// The fast check of a plan against Zod's own, on plans that are sound and on ones with something wrong in them.
import fc from "fast-check";
import { expect, test } from "vitest";
import * as z from "zod";
import { fernhollow } from "../../demo/fernhollow.ts";
import { tangledPlan } from "../../tests/randomPlan.ts";
import { fitOf } from "./fits.ts";
import { planSchema, rowSchemas } from "./schema.ts";

const fits = fitOf(planSchema);

test("sound plans fit, as they were read", () => {
  for (const plan of [fernhollow(), tangledPlan(5)]) expect(fits(JSON.parse(JSON.stringify(plan)))).toBe(true);
});

/** Values that a key may be given by mistake, or by a person who tries. */
const odd = fc.oneof(
  fc.jsonValue(),
  fc.constantFrom(
    "",
    "2027-02-30",
    "2027-02-28",
    "1899-01-01",
    "a\u0000b",
    "x".repeat(400),
    -1,
    0.5,
    1e12,
    Number.NaN,
    null,
    undefined,
    [],
    {},
  ),
  fc.constantFrom("__proto__", "constructor", "FS", "done", true),
);

/** All places of a value, as paths. */
function pathsOf(value: unknown, path: (string | number)[] = []): (string | number)[][] {
  if (typeof value !== "object" || value === null) return [path];
  return [path, ...Object.entries(value).flatMap(([key, own]) => pathsOf(own, [...path, Array.isArray(value) ? Number(key) : key]))];
}

function withValue(row: unknown, path: readonly (string | number)[], value: unknown): unknown {
  if (path.length === 0) return value;
  const copy = structuredClone(row) as Record<string | number, unknown>;
  let at = copy;
  for (const key of path.slice(0, -1)) at = at[key] as Record<string | number, unknown>;
  at[path[path.length - 1]] = value;
  return copy;
}

test("always: it says what Zod says, no matter what is at any place of any row", () => {
  const plan = JSON.parse(JSON.stringify(fernhollow()));
  const samples = Object.entries(rowSchemas).flatMap(([list, schema]) =>
    (plan[list] as unknown[]).slice(0, 4).map((row) => ({ schema: schema as z.ZodType, row, isFit: fitOf(schema), paths: pathsOf(row) })),
  );
  let wrong = 0;
  fc.assert(
    fc.property(fc.nat(), fc.nat(), odd, fc.constantFrom("", "extra"), (which, where, value, extra) => {
      const { schema, row, isFit, paths } = samples[which % samples.length];
      const path = paths[where % paths.length];
      const changed = withValue(row, extra === "" ? path : [extra], value);
      const isSound = schema.safeParse(changed).success;
      if (!isSound) wrong++;
      expect(isFit(changed)).toBe(isSound);
    }),
    { numRuns: 4_000 },
  );
  expect(wrong).toBeGreaterThan(1_000);
});

test("what it does not know it leaves to Zod", () => {
  const isFit = fitOf(
    z.strictObject({ at: z.iso.datetime(), size: z.union([z.literal(1), z.string().email()]), loose: z.looseObject({}) }),
  );
  expect(isFit({ at: "2027-02-01T08:00:00Z", size: "a@b.example", loose: { more: 1 } })).toBe(true);
  expect(isFit({ at: "tomorrow", size: 1, loose: {} })).toBe(false);
  expect(isFit({ at: "2027-02-01T08:00:00Z", size: 2, loose: {} })).toBe(false);
});

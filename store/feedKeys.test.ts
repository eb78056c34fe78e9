import { mkdtempSync, rmSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "vitest";
import { feedSecret, isFeedSecret, renewFeedKey } from "./feedKeys.ts";

test("each feed has a secret of its own, which stays until the key is made anew", async () => {
  const folder = mkdtempSync(join(tmpdir(), "roster-feeds-"));
  const mara = await feedSecret(folder, "people/mara");
  expect(mara).toMatch(/^[\w-]{32}$/);
  expect(await feedSecret(folder, "people/mara")).toBe(mara);
  expect(await feedSecret(folder, "people/rui")).not.toBe(mara);
  expect(await isFeedSecret(folder, "people/mara", mara)).toBe(true);
  for (const given of ["", "x", mara.slice(1), `${mara}x`, await feedSecret(folder, "people/rui")])
    expect(await isFeedSecret(folder, "people/mara", given), given).toBe(false);
  expect(statSync(join(folder, "feed-key")).mode & 0o777).toBe(0o600);
  await renewFeedKey(folder);
  expect(await isFeedSecret(folder, "people/mara", mara)).toBe(false);
  rmSync(folder, { recursive: true });
});

// npm run doctor lists what is damaged, with its place.
import { readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { expect, test } from "vitest";
import { give, storeFixture } from "../tests/storeFixture.ts";
import { listCopies } from "./copies.ts";
import { diagnose } from "./doctor.ts";

const fixture = storeFixture();

test("a sound folder is called sound, while it is open and after", async () => {
  await fixture.settle(give("rockpools-mara", "rui"));
  const open = await diagnose(fixture.folder);
  expect(open.lines.join("\n")).toMatch(
    /Owner: process \d+.*\nCopies: 2, the newest of revision 1; 0 damaged\.\nJournal: 2 files, 2 whole lines, revisions 1 to 2\./,
  );
  expect(open.isSound).toBe(true);
  await fixture.store.close();
  expect((await diagnose(fixture.folder)).lines).toContain("Owner: none.");
  fixture.store = await fixture.open();
});

test("what is damaged, missing or left over is named with its place", async () => {
  for (const person of ["rui", "kaspar", "jonas"]) await fixture.settle(give("rockpools-mara", person));
  await fixture.store.close();
  const [newest, other] = await listCopies(fixture.folder);
  const kept = readFileSync(join(fixture.folder, "copies", newest.name));
  writeFileSync(join(fixture.folder, "copies", newest.name), "{}");
  const left = `${other.name}.announced`;
  renameSync(join(fixture.folder, "copies", other.name), join(fixture.folder, "copies", left));
  const file = join(fixture.folder, "journal", String(readdirSync(join(fixture.folder, "journal")).sort().at(-1)));
  const lines = readFileSync(file, "utf8").split("\n");
  writeFileSync(file, [lines[0], lines[1].replace("reassign", "reassigm"), ...lines.slice(2)].join("\n"));
  const { lines: said, isSound } = await diagnose(fixture.folder);
  expect(isSound).toBe(false);
  expect(said.join("\n")).toContain(`copies/${newest.name} (revision 1, 2 bytes) is damaged.`);
  expect(said.join("\n")).toContain(`copies/${left} is left from a replacement that was cut off`);
  expect(said.join("\n")).toContain("The journal lacks revision 3.");
  writeFileSync(join(fixture.folder, "copies", newest.name), kept);
  fixture.store = await fixture.open();
  // The journal names the first copy of a replacement; what was announced and never answered is removed.
  expect(readdirSync(join(fixture.folder, "copies")).filter((name) => name.endsWith(".announced"))).toEqual([]);
});

test("a folder that is not there, and one without a database, need attention", async () => {
  expect((await diagnose(join(fixture.folder, "nowhere"))).isSound).toBe(false);
  await fixture.store.close();
  rmSync(join(fixture.folder, "pglite"), { recursive: true });
  expect((await diagnose(fixture.folder)).lines).toContain("Database: gone. The next start makes it again from copies and journal.");
  fixture.store = await fixture.open();
});

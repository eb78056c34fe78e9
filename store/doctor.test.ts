// npm run doctor lists what is damaged, with its place.
import { readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { expect, test } from "vitest";
import { give, storeScene } from "../tests/storeScene.ts";
import { listCopies } from "./copies.ts";
import { diagnose } from "./doctor.ts";

const scene = storeScene();

test("a sound folder is called sound, while it is open and after", async () => {
  await scene.settle(give("rockpools-mara", "rui"));
  const open = await diagnose(scene.folder);
  expect(open.lines.join("\n")).toMatch(
    /Owner: process \d+.*\nCopies: 2, the newest of revision 1; 0 damaged\.\nJournal: 2 files, 2 whole lines, revisions 1 to 2\./,
  );
  expect(open.isSound).toBe(true);
  await scene.store.close();
  expect((await diagnose(scene.folder)).lines).toContain("Owner: none.");
  scene.store = await scene.open();
});

test("what is damaged, missing or left over is named with its place", async () => {
  for (const person of ["rui", "kaspar", "jonas"]) await scene.settle(give("rockpools-mara", person));
  await scene.store.close();
  const [newest, other] = await listCopies(scene.folder);
  const kept = readFileSync(join(scene.folder, "copies", newest.name));
  writeFileSync(join(scene.folder, "copies", newest.name), "{}");
  const left = `${other.name}.announced`;
  renameSync(join(scene.folder, "copies", other.name), join(scene.folder, "copies", left));
  const file = join(scene.folder, "journal", String(readdirSync(join(scene.folder, "journal")).sort().at(-1)));
  const lines = readFileSync(file, "utf8").split("\n");
  writeFileSync(file, [lines[0], lines[1].replace("reassign", "reassigm"), ...lines.slice(2)].join("\n"));
  const { lines: said, isSound } = await diagnose(scene.folder);
  expect(isSound).toBe(false);
  expect(said.join("\n")).toContain(`copies/${newest.name} (revision 1, 2 bytes) is damaged.`);
  expect(said.join("\n")).toContain(`copies/${left} is left from a replacement that was cut off`);
  expect(said.join("\n")).toContain("The journal lacks revision 3.");
  writeFileSync(join(scene.folder, "copies", newest.name), kept);
  scene.store = await scene.open();
  // The journal names the first copy of a replacement; what was announced and never answered is removed.
  expect(readdirSync(join(scene.folder, "copies")).filter((name) => name.endsWith(".announced"))).toEqual([]);
});

test("a folder that is not there, and one without a database, need attention", async () => {
  expect((await diagnose(join(scene.folder, "nowhere"))).isSound).toBe(false);
  await scene.store.close();
  rmSync(join(scene.folder, "pglite"), { recursive: true });
  expect((await diagnose(scene.folder)).lines).toContain("Database: gone. The next start makes it again from copies and journal.");
  scene.store = await scene.open();
});

// npm run restore: lists the copies of a data folder, or brings the plan back as it was in one of them or at a revision.
// The former contents of the folder are kept as a copy, too.
import { join } from "node:path";
import { messageOf } from "../core/values/errors.ts";
import { copyBytes, listCopies } from "./copies.ts";
import { dataFolder } from "./files.ts";
import { readMigrations } from "./migrate.ts";
import { PlanStore } from "./planStore.ts";

const USAGE = `npm run restore                  lists the copies of the plan
npm run restore -- REVISION      brings the plan back as it was at that revision, by the copy before it and the journal
ROSTER_DATA names the data folder. Stop the server first.`;

/** @param wanted The revision that is asked for; nothing to list the copies. @returns What is to be printed. */
export async function restore(folder: string, wanted: string | undefined, now: Date): Promise<string> {
  if (wanted === undefined) return `${await listed(folder)}\n\n${USAGE}`;
  if (!/^\d{1,9}$/.test(wanted)) throw new Error(`"${wanted}" is not a revision.\n${USAGE}`);
  const store = await PlanStore.open(folder, await readMigrations(join(import.meta.dirname, "migrations")));
  try {
    const plan = await store.planAt(Number(wanted));
    if (!plan) throw new Error(`The plan at revision ${wanted} is no longer kept.\n\n${await listed(folder)}`);
    const { revision } = await store.replace(plan, "restore", now.toISOString());
    return `"${plan.settings.name}" is restored to revision ${wanted}, as revision ${revision}. The former plan is kept as revision ${revision - 1}.`;
  } finally {
    await store.close();
  }
}

async function listed(folder: string): Promise<string> {
  const copies = await listCopies(folder);
  if (copies.length === 0) return `There are no copies in ${folder}.`;
  const lines = copies.map(async ({ name, revision, at }) => {
    const size = `${Math.ceil((await copyBytes(folder, name)) / 1000)} kB`;
    return `  revision ${String(revision).padEnd(7)} ${at.slice(0, 16).replace("T", " ")} UTC  ${size.padStart(9)}  copies/${name}`;
  });
  return ["Copies of the plan, the newest first:", ...(await Promise.all(lines))].join("\n");
}

if (import.meta.filename === process.argv[1]) {
  restore(dataFolder(process.env, process.cwd()), process.argv[2], new Date()).then(
    (text) => process.stdout.write(`${text}\n`),
    (error: unknown) => {
      process.stderr.write(`${messageOf(error)}\n`);
      process.exitCode = 1;
    },
  );
}

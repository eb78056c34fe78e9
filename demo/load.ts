// Puts a made-up plan into the data folder named by ROSTER_DATA, unless one is there already.
import { join } from "node:path";
import { dataFolder } from "../store/files.ts";
import { readMigrations } from "../store/migrate.ts";
import { PlanStore } from "../store/planStore.ts";
import { fernhollow } from "./fernhollow.ts";
import { largePlan } from "./large.ts";

const folder = dataFolder(process.env, process.cwd());
const isLarge = process.argv.includes("--large");
const store = await PlanStore.open(folder, await readMigrations(join(import.meta.dirname, "../store/migrations")));
const { plan: present } = store.snapshot();
// A server that was started on an empty folder has begun a plan in which nothing has been made.
const isUntouched = store.isNew || (present.people.length === 0 && present.projects.length === 0 && present.roles.length === 0);
if (isUntouched) {
  const plan = isLarge ? largePlan() : fernhollow();
  await store.replace(plan, "manager", new Date().toISOString());
  process.stdout.write(
    `Loaded "${plan.settings.name}": ${plan.people.length} people, ${plan.projects.length} projects, ${plan.tasks.length} tasks.\n`,
  );
} else process.stdout.write(`"${present.settings.name}" is there already, with all that was changed in it.\n`);
await store.close();

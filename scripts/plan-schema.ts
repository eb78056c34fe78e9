// Writes the JSON Schema of the plan file into docs/, or with --check says whether it is current.
import { readFileSync, writeFileSync } from "node:fs";
import * as z from "zod";
import { planSchema } from "../core/plan/schema.ts";

const path = "docs/plan.schema.json";
const schema = `${JSON.stringify({ title: "Mindful Roster plan", ...z.toJSONSchema(planSchema) }, null, 1)}\n`;

if (!process.argv.includes("--check")) writeFileSync(path, schema);
else if (readFileSync(path, "utf8") !== schema) {
  process.stderr.write(`${path} is not current; run npm run schema.\n`);
  process.exitCode = 1;
}

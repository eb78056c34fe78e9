// Makes what every browser test begins with, and prints where: a data folder with the demo plan, and next to it the plan as a file.
import { writeFile } from "node:fs/promises";
import { fernhollow } from "../demo/fernhollow.ts";
import { makeTemplate } from "../tests/storeTemplate.ts";
import { planFileOf } from "./server.ts";

const folder = await makeTemplate();
await writeFile(planFileOf(folder), JSON.stringify(fernhollow()));
console.log(folder);

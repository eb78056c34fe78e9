// npm run dev: the demo plan with the application rebuilt as files change.
import { run } from "./commands.mjs";
import { installPackages } from "./install.mjs";
import { serve } from "./serve.mjs";

const env = { ROSTER_DATA: process.env.ROSTER_DATA ?? ".data/demo" };

await installPackages();
await run(process.execPath, ["scripts/bundle.mjs"]);
await run(process.execPath, ["--import", "tsx", "demo/load.ts"], env);
serve("dev", env);

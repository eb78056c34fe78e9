// npm run demo: installs what is missing, builds, loads the demo plan and serves it. `-- --large` for the large plan.
import { run } from "./commands.mjs";
import { installPackages } from "./install.mjs";
import { serve } from "./serve.mjs";

const isLarge = process.argv.includes("--large");
const folder = process.env.ROSTER_DATA ?? (isLarge ? ".data/large" : ".data/demo");

await installPackages();
await run("npm", ["run", "build"]);
await run(process.execPath, ["--import", "tsx", "demo/load.ts", ...(isLarge ? ["--large"] : [])], { ROSTER_DATA: folder });

serve("start", { ROSTER_DATA: folder });

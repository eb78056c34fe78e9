// npm run dev: the demo plan with the application rebuilt as files change.
import { run } from "./commands.mjs";
import { installPackages } from "./install.mjs";
import { serve } from "./serve.mjs";

const env = { ROSTER_DATA: process.env.ROSTER_DATA ?? ".data/demo" };

await installPackages();
const { context } = await import("esbuild");
const { reader } = await import("./bundle.mjs");
await (await context(reader)).watch();
await run(process.execPath, ["--import", "tsx", "demo/load.ts"], env);
serve("dev", env);

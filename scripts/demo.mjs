// npm run demo: installs what is missing, builds, loads the demo plan and serves it. `-- --large` for the large plan.
import { spawn } from "node:child_process";
import { installPackages, run } from "./install.mjs";

const isLarge = process.argv.includes("--large");
const port = process.env.PORT ?? "3000";
const folder = process.env.ROSTER_DATA ?? (isLarge ? ".data/large" : ".data/demo");

installPackages();
run("npm", ["run", "build"]);
run(process.execPath, ["--import", "tsx", "demo/load.ts", ...(isLarge ? ["--large"] : [])], { ROSTER_DATA: folder });

const server = spawn(process.execPath, ["node_modules/next/dist/bin/next", "start", "-p", port], {
  stdio: ["ignore", "pipe", "inherit"],
  env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1", ROSTER_DATA: folder },
});
server.stdout.on("data", (chunk) => {
  if (String(chunk).includes("Ready")) console.log(`\nMindful Roster is at http://localhost:${port} (Ctrl C stops it)\n`);
});
for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => server.kill(signal));
server.on("exit", (code) => process.exit(code ?? 0));

// npm run dev: the demo plan with the application rebuilt as files change.
import { spawn } from "node:child_process";
import { installPackages, run } from "./install.mjs";

const env = { ROSTER_DATA: process.env.ROSTER_DATA ?? ".data/demo" };

installPackages();
run(process.execPath, ["--import", "tsx", "demo/load.ts"], env);
const server = spawn(process.execPath, ["node_modules/next/dist/bin/next", "dev", "-p", process.env.PORT ?? "3000"], {
  stdio: "inherit",
  env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1", ...env },
});
for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => server.kill(signal));
server.on("exit", (code) => process.exit(code ?? 0));

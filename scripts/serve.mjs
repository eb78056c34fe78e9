// Serves the application on this machine alone, or where HOST says; ends with it.
import { spawn } from "node:child_process";

/** @param kind "start" or "dev". @param env What it gets next to this process's own. */
export function serve(kind, env = {}) {
  const host = process.env.HOST ?? "127.0.0.1";
  const port = process.env.PORT ?? "3000";
  const server = spawn(process.execPath, ["dist/server.mjs", kind], {
    stdio: ["ignore", "pipe", "inherit"],
    env: {
      ...process.env,
      NEXT_TELEMETRY_DISABLED: "1",
      NODE_ENV: kind === "dev" ? "development" : "production",
      HOST: host,
      PORT: port,
      ...env,
    },
  });
  const reach = host === "127.0.0.1" ? "this machine alone; HOST=0.0.0.0 opens it to others" : `${host}, open to others`;
  server.stdout.on("data", (chunk) => {
    if (String(chunk).includes("Ready")) console.log(`\nMindful Roster is at http://localhost:${port} (${reach}; Ctrl C stops it)\n`);
    else if (kind === "dev") process.stdout.write(chunk);
  });
  for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => server.kill(signal));
  server.on("exit", (code) => process.exit(code ?? 0));
}

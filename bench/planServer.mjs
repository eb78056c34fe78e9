// The built application of a folder with a made-up plan loaded, the large one unless said otherwise, for as long as something is measured.
import { spawn, spawnSync } from "node:child_process";
import { existsSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

/** Starts it and waits until it answers; `stop` ends it and takes its data away. */
export async function planServer(cwd = process.cwd(), port = 3191, isLarge = true) {
  const folder = mkdtempSync(join(tmpdir(), "roster-bench-"));
  const env = {
    ...process.env,
    NEXT_TELEMETRY_DISABLED: "1",
    ROSTER_DATA: folder,
    NODE_ENV: "production",
    HOST: "127.0.0.1",
    PORT: String(port),
  };
  spawnSync(process.execPath, ["--import", "tsx", "demo/load.ts", ...(isLarge ? ["--large"] : [])], { cwd, stdio: "ignore", env });
  // A commit from before the server had an entry of its own is started as Next.js does.
  const own = join(cwd, "dist/server.mjs");
  const start = existsSync(own) ? [own, "start"] : ["node_modules/next/dist/bin/next", "start", "-p", String(port), "-H", "127.0.0.1"];
  const server = spawn(process.execPath, start, { cwd, stdio: ["ignore", "ignore", "inherit"], env });
  const url = `http://127.0.0.1:${port}`;
  await answers(url);
  return {
    url,
    folder,
    pid: server.pid,
    async stop() {
      server.kill("SIGTERM");
      await new Promise((resolve) => server.once("exit", resolve));
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

async function answers(url) {
  for (let attempt = 0; attempt < 200; attempt++) {
    const isUp = await fetch(`${url}/api/plan`).then(
      ({ ok }) => ok,
      () => false,
    );
    if (isUp) return;
    await new Promise((resolve) => setTimeout(resolve, 300));
  }
  throw new Error("the server does not answer");
}

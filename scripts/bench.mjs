// Bundles the bench as the application is bundled, and runs it: compiled on the fly, private fields and closures are
// translated into something slower than what users get.
import { spawnSync } from "node:child_process";
import { existsSync } from "node:fs";
import { build } from "esbuild";

const outfile = "dist/bench.mjs";
await build({
  entryPoints: ["bench/main.ts"],
  outfile,
  bundle: true,
  platform: "node",
  target: "node20",
  format: "esm",
  external: ["highs"],
});
const core = spawnSync(process.execPath, ["--expose-gc", outfile], { stdio: "inherit" }).status ?? 1;
// Screens need the built application; without it, their figures are left out. `npm run bench -- ../former` measures the
// pages of another folder, built there, beside this one's.
const inChromium = core === 0 && existsSync(".next/BUILD_ID") ? ["bench/board.mjs", "bench/pages.mjs", "bench/writers.mjs"] : [];
const former = process.argv.slice(2);
let status = core;
for (const file of inChromium) status ||= spawnSync(process.execPath, [file, ...former], { stdio: "inherit" }).status ?? 1;
process.exit(status);

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
// The board needs the built application; without it, its figures are left out.
const board =
  core === 0 && existsSync(".next/BUILD_ID") ? spawnSync(process.execPath, ["bench/board.mjs"], { stdio: "inherit" }).status : core;
process.exit(board ?? 1);

// Bundles the bench as the application is bundled, and runs it: compiled on the fly, private fields and closures are
// translated into something slower than what users get. Fails where an aim is missed by half.
import { spawnSync } from "node:child_process";
import { existsSync } from "node:fs";
import { join } from "node:path";
import { run } from "./commands.mjs";
import { CHROMIUM, installPackages } from "./install.mjs";

await installPackages();
const { build } = await import("esbuild");
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
if (core !== 0) process.exit(core);
if (!existsSync(CHROMIUM)) {
  console.error(`\nThe screens are not measured: there is no ${CHROMIUM}. Install Debian's package chromium, as \`npm test\` does.`);
  process.exit(1);
}
if (!existsSync(".next/BUILD_ID")) await run("npm", ["run", "build"]);
// `npm run bench -- ../former` measures the screens of another folder, built there, next to this one's.
const former = process.argv.slice(2);
const missing = former.filter((folder) => !existsSync(join(folder, ".next/BUILD_ID")));
if (missing.length > 0) {
  console.error(`\nNot built yet: ${missing.join(", ")}. Run \`npm ci\` and \`npm run build\` there first.`);
  process.exit(1);
}
let status = 0;
for (const file of ["bench/board.mjs", "bench/pages.mjs", "bench/writers.mjs"])
  status = spawnSync(process.execPath, [file, ...former], { stdio: "inherit" }).status || status;
process.exit(status);

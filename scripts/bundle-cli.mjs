// Bundles the roster command into one file, so that it starts at once.
import { chmod } from "node:fs/promises";
import { build } from "esbuild";

const outfile = "dist/roster.mjs";
await build({
  entryPoints: ["cli/main.ts"],
  outfile,
  bundle: true,
  platform: "node",
  target: "node20",
  format: "esm",
  minify: true,
  banner: { js: "#!/usr/bin/env node" },
  logLevel: "warning",
});
// npm makes it executable at times, and at others it does not.
await chmod(outfile, 0o755);

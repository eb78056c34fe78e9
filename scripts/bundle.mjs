// Bundles each program into one file, so that it starts quickly: the roster command, the server, and the threads and processes that
// answer questions, read files and even out. Makes the empty database that a new data folder begins with.
import { chmod } from "node:fs/promises";
import { resolve } from "node:path";
import { build } from "esbuild";
import { run } from "./commands.mjs";

const common = { bundle: true, platform: "node", target: "node20", format: "esm", minify: true, logLevel: "warning" };

/** The package that writes workbooks packs them by Node.js itself. */
const packsByNode = {
  name: "packs by Node.js",
  setup(own) {
    own.onResolve({ filter: /^fflate$/ }, ({ importer }) =>
      importer.includes("write-excel-file") ? { path: resolve("interchange/nativeDeflate.ts") } : undefined,
    );
  },
};

/** The thread that answers questions. In development it is bundled again when a file changes. */
export const reader = { ...common, entryPoints: ["app/reader.worker.ts"], outfile: "dist/reader.mjs", packages: "external" };

const command = "dist/roster.mjs";
await Promise.all([
  build({ ...common, entryPoints: ["cli/main.ts"], outfile: command, banner: { js: "#!/usr/bin/env node" } }),
  build({ ...common, entryPoints: ["app/evenOut.worker.ts"], outfile: "dist/evenOut.mjs", packages: "external" }),
  build(reader),
  build({ ...common, entryPoints: ["server/main.ts"], outfile: "dist/server.mjs", packages: "external" }),
  build({
    ...common,
    entryPoints: ["interchange/files.worker.ts"],
    outfile: "dist/files.mjs",
    plugins: [packsByNode],
    // Some of its packages are CommonJS and ask for others while they run.
    banner: { js: 'import { createRequire } from "node:module"; const require = createRequire(import.meta.url);' },
  }),
]);
// npm makes it executable at times, and at others it does not.
await chmod(command, 0o755);

// Made once and put away: nothing of it stays in use for long enough to be compiled better.
await run(process.execPath, ["--wasm-tiering-budget=200000000", "--import", "tsx", "scripts/freshDatabase.ts"]);

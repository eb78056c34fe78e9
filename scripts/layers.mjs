// Holds the layers: which folder may import from which, that the core depends on zod and fastest-levenshtein alone, and what a page need not load.
import { cruise } from "dependency-cruiser";
import { build } from "esbuild";

const layers = {
  core: ["core"],
  client: ["client", "core"],
  ui: ["ui", "core"],
  views: ["views", "ui", "client", "core"],
  store: ["store", "core"],
  interchange: ["interchange", "core"],
  demo: ["demo", "core", "store", "interchange"],
  cli: ["cli", "core"],
  bench: ["bench", "core", "demo", "client", "scripts"],
  server: ["server", "store", "core"],
  app: ["app", "views", "ui", "client", "core", "store", "interchange"],
};

const tests = "\\.test\\.tsx?$";
const forbidden = [
  ...Object.entries(layers).map(([from, allowed]) => ({
    name: `${from} imports only from ${allowed.join(", ")}`,
    severity: "error",
    from: { path: `^${from}/` },
    to: { pathNot: [`^(${allowed.join("|")})/`, "node_modules"], dependencyTypesNot: ["core"], couldNotResolve: false },
  })),
  {
    name: "the core depends on zod and fastest-levenshtein alone",
    severity: "error",
    from: { path: "^core/" },
    to: { pathNot: ["^core/", "node_modules/(zod|fastest-levenshtein)/"] },
  },
  {
    name: "an answer is asked for by screens alone",
    severity: "error",
    from: { path: "^(core|store|interchange|cli|demo)/" },
    to: { path: "^core/answers/" },
  },
  { name: "no cycles", severity: "error", from: {}, to: { circular: true } },
];

const { output } = await cruise(Object.keys(layers), {
  ruleSet: { forbidden },
  validate: true,
  doNotFollow: { path: "node_modules" },
  moduleSystems: ["es6"],
  // A test may import what it likes.
  exclude: { path: tests },
  tsPreCompilationDeps: false,
  tsConfig: { fileName: "tsconfig.json" },
  outputType: "json",
});
const { summary, modules } = JSON.parse(output);
for (const { rule, from, to } of summary.violations) console.error(`${rule.name}: ${from} → ${to}`);
const cycles = foldersInCycles(modules);
for (const folders of cycles) console.error(`a cycle of folders: ${folders.join(", ")}`);
const heavy = await heavyScreens(modules.map(({ source }) => source));
for (const [screen, path] of heavy) console.error(`a page would load the plan's schemas: ${screen} → ${path}`);
const violations = summary.violations.length + cycles.length + heavy.length;
console.log(`layers: ${summary.totalCruised} modules, ${violations} violations`);
// A cruiser that cannot read TypeScript passes with nothing seen.
if (summary.totalCruised < 80 || violations > 0) process.exit(1);

/** Folders of the core, of ui, and screens that can be reached from each other: types count too (Tarjan 1972). */
function foldersInCycles(all) {
  const leadsTo = new Map();
  for (const { source, dependencies } of all.filter(({ source }) => isKept(source)))
    for (const { resolved } of dependencies.filter(({ resolved }) => isKept(resolved)))
      leadsTo.set(folderOf(source), (leadsTo.get(folderOf(source)) ?? new Set()).add(folderOf(resolved)));
  const found = [];
  const [order, low, path] = [new Map(), new Map(), []];
  const visit = (folder) => {
    order.set(folder, order.size);
    low.set(folder, order.get(folder));
    path.push(folder);
    for (const next of leadsTo.get(folder) ?? []) {
      if (!order.has(next)) visit(next);
      if (path.includes(next)) low.set(folder, Math.min(low.get(folder), low.get(next)));
    }
    if (low.get(folder) !== order.get(folder)) return;
    const cycle = path.splice(path.indexOf(folder));
    if (cycle.length > 1) found.push(cycle);
  };
  for (const folder of leadsTo.keys()) if (!order.has(folder)) visit(folder);
  return found;
}

function isKept(path) {
  return /^(app|bench|cli|client|core|demo|interchange|server|store|ui|views)\//.test(path);
}

/** The folder of a file; a screen is one folder with those below it. */
function folderOf(path) {
  const folders = path.split("/").slice(0, -1);
  return (folders[0] === "views" ? folders.slice(0, 2) : folders).join("/");
}

/** Screens that come with the plan's schemas or the edits, which the worker has: they are a quarter of what a page would
 * load. Lists that are imported are read in the page. */
async function heavyScreens(paths) {
  const screens = paths.filter((path) => /^views\/(?!people\/bringIn\/).*\.tsx$/.test(path));
  const { metafile } = await build({
    entryPoints: screens,
    bundle: true,
    splitting: true,
    format: "esm",
    packages: "external",
    metafile: true,
    write: false,
    outdir: "dist/unwritten",
  });
  const importsOf = (path) => metafile.inputs[path].imports.filter(({ kind, external }) => kind === "import-statement" && !external);
  return screens.flatMap((screen) => {
    const found = new Set([screen]);
    for (const path of found) for (const imported of importsOf(path)) found.add(imported.path);
    return ["core/plan/schema.ts", "core/edits/edit.ts"].filter((path) => found.has(path)).map((path) => [screen, path]);
  });
}

// Holds the layers: which folder may import from which, and that the core depends on zod alone.
import { cruise } from "dependency-cruiser";

const layers = {
  core: ["core"],
  client: ["client", "core"],
  ui: ["ui", "core"],
  views: ["views", "ui", "client", "core"],
  store: ["store", "core"],
  interchange: ["interchange", "core"],
  demo: ["demo", "core", "store", "interchange"],
  cli: ["cli", "core"],
  bench: ["bench", "core", "demo", "client"],
  app: ["app", "views", "ui", "client", "core", "store", "interchange"],
};

const tests = "\\.test\\.tsx?$";
const forbidden = [
  ...Object.entries(layers).map(([from, allowed]) => ({
    name: `${from} imports only from ${allowed.join(", ")}`,
    severity: "error",
    from: { path: `^${from}/`, pathNot: tests },
    to: { pathNot: [`^(${allowed.join("|")})/`, "node_modules"], dependencyTypesNot: ["core"], couldNotResolve: false },
  })),
  {
    name: "the core depends on zod alone",
    severity: "error",
    from: { path: "^core/", pathNot: tests },
    to: { pathNot: ["^core/", "node_modules/zod/"] },
  },
  {
    name: "no circles outside the core's model",
    severity: "error",
    from: { path: "^(ui|client|store|interchange|cli|app|demo)/" },
    to: { circular: true },
  },
];

const { output } = await cruise(Object.keys(layers), {
  ruleSet: { forbidden },
  validate: true,
  doNotFollow: { path: "node_modules" },
  tsPreCompilationDeps: false,
  tsConfig: { fileName: "tsconfig.json" },
  outputType: "json",
});
const { summary } = JSON.parse(output);
for (const { rule, from, to } of summary.violations) console.error(`${rule.name}: ${from} → ${to}`);
console.log(`layers: ${summary.totalCruised} modules, ${summary.violations.length} violations`);
// A cruiser that cannot read TypeScript passes with nothing seen.
if (summary.totalCruised < 80 || summary.violations.length > 0) process.exit(1);

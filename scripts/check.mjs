// npm run check: types, lint, layers, habits, unused code, and the JSON Schema of the plan file.
import { installPackages, run } from "./install.mjs";

installPackages();
run("npx", ["--no", "--", "tsc", "--noEmit"]);
run("npx", ["--no", "--", "biome", "check", "--error-on-warnings", "."]);
run(process.execPath, ["scripts/layers.mjs"]);
run(process.execPath, ["scripts/habits.mjs"]);
run("npx", ["--no", "--", "knip"]);
run(process.execPath, ["--import", "tsx", "scripts/plan-schema.ts", "--check"]);

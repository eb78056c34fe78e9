// npm run check: types, lint, layers, habits, unused code, and the JSON Schema of the plan file.
import { checkRest, checkTypes } from "./checks.mjs";
import { installPackages } from "./install.mjs";

await installPackages();
await checkTypes();
await checkRest();

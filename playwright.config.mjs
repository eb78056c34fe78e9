import { defineConfig } from "@playwright/test";
import { CHROMIUM } from "./scripts/install.mjs";

export default defineConfig({
  testDir: "e2e",
  globalSetup: "./e2e/setup.ts",
  timeout: 180_000,
  expect: { timeout: 30_000 },
  // Each worker has a server of its own, so tests can run side by side.
  fullyParallel: true,
  workers: 2,
  reporter: [["list"], ["json", { outputFile: "test-results/results.json" }]],
  use: {
    viewport: { width: 1280, height: 800 },
    // As one who has asked for less motion: nothing is waited for on its way. `small.spec.ts` looks at what moves.
    contextOptions: { reducedMotion: "reduce" },
    // Hardly anything runs for long enough in a test to earn back what compiling it once more, better, takes.
    launchOptions: {
      executablePath: CHROMIUM,
      args: ["--js-flags=--no-opt,--invocation-count-for-maglev=3000,--wasm-tiering-budget=200000000"],
    },
    screenshot: "only-on-failure",
  },
});

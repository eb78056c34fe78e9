import { defineConfig } from "vitest/config";

const tests = { exclude: ["node_modules/**", "dist/**", ".next/**", "e2e/**"], testTimeout: 120_000, hookTimeout: 120_000 };

export default defineConfig({
  test: {
    // Both cores: one fewer is what is taken by default.
    maxWorkers: 2,
    projects: [
      { test: { ...tests, name: "unit", isolate: false, include: ["**/*.test.{ts,tsx}"], exclude: [...tests.exclude, "store/**"] } },
      { test: { ...tests, name: "store", isolate: false, include: ["store/**/*.test.ts"], globalSetup: ["tests/vitestSetup.ts"] } },
    ],
  },
});

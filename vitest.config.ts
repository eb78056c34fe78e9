import { defineConfig } from "vitest/config";

const tests = {
  exclude: ["node_modules/**", "dist/**", ".next/**", "e2e/**"],
  setupFiles: ["tests/processorTime.ts"],
  // Only for what hangs: next to the browser tests, little is left of the processor.
  testTimeout: 300_000,
  hookTimeout: 300_000,
};

/** Random plans are many small rows that are soon thrown away: with more room for what is new, it is cleared away less often. */
const ROOM_FOR_NEW = "--max-semi-space-size=64";
/** Most of what a test calls is over before it has earned back being compiled better. */
const COMPILED_LATER = "--interrupt-budget=500000";
/** As the server has it: a database that is open for a second does not earn back being compiled better. */
const DATABASE_AS_IT_IS = "--wasm-tiering-budget=200000000";

export default defineConfig({
  test: {
    // Both cores: one fewer is what is taken by default.
    maxWorkers: 2,
    projects: [
      {
        test: {
          ...tests,
          name: "unit",
          isolate: false,
          execArgv: [ROOM_FOR_NEW, COMPILED_LATER],
          include: ["**/*.test.{ts,tsx}"],
          exclude: [...tests.exclude, "store/**"],
        },
      },
      {
        test: {
          ...tests,
          name: "store",
          isolate: false,
          execArgv: [ROOM_FOR_NEW, COMPILED_LATER, DATABASE_AS_IT_IS],
          include: ["store/**/*.test.ts"],
          globalSetup: ["tests/vitestSetup.ts"],
        },
      },
    ],
  },
});

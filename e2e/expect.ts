// Playwright's expectations, but what is not there yet is awaited first: while an expectation waits for it, it describes the
// whole page each time it looks, which was a twelfth of all that the browser did in a run.
import { expect as base, type Locator } from "@playwright/test";

/** The state that an expectation of one element waits for; others are about many elements, or none. */
const awaited: Readonly<Record<string, "attached" | "visible">> = {
  toBeAttached: "attached",
  toBeChecked: "attached",
  toBeDisabled: "attached",
  toBeEnabled: "attached",
  toBeFocused: "attached",
  toBeInViewport: "visible",
  toBeVisible: "visible",
  toContainText: "attached",
  toHaveAttribute: "attached",
  toHaveText: "attached",
  toHaveValue: "attached",
};

/** As `playwright.config.mjs` has it. */
const PATIENCE_MS = 30_000;

const isLocator = (value: unknown): value is Locator => typeof value === "object" && value !== null && "waitFor" in value;

type Matcher = (...args: unknown[]) => unknown;

/** The same expectations of a locator. Where it does not come in time, the expectation itself says so. */
function awaitedOf(assertions: object, locator: Locator): object {
  return new Proxy(assertions, {
    get(target, name) {
      const matcher: unknown = Reflect.get(target, name);
      const state = awaited[String(name)];
      if (!state || typeof matcher !== "function") return matcher;
      return async (...args: Parameters<Matcher>) => {
        const { timeout = PATIENCE_MS } = Object(args.at(-1)) as { timeout?: number };
        if (!Array.isArray(args[0])) await locator.waitFor({ state, timeout }).catch(() => undefined);
        return Reflect.apply(matcher, target, args);
      };
    },
  });
}

export const expect: typeof base = new Proxy(base, {
  apply(target, self, args: Parameters<typeof base>) {
    const assertions: object = Reflect.apply(target, self, args);
    return isLocator(args[0]) ? awaitedOf(assertions, args[0]) : assertions;
  },
});

// The slots for pages become free again, however clients behave.
import { EventEmitter } from "node:events";
import fc from "fast-check";
import { expect, test, vi } from "vitest";
import { PageSlots, type SlotLimits } from "./pageSlots.ts";

const limits: SlotLimits = { atOnce: 2, waiting: 5, milliseconds: 60, lingerMilliseconds: 5 };

class Response extends EventEmitter {
  closed = false;
  end() {
    this.closed = true;
    this.emit("close");
  }
}

class Socket extends EventEmitter {
  destroyed = false;
  destroy() {
    this.destroyed = true;
    this.emit("close");
  }
}

const pageOf = (address = "a") => ({ response: new Response(), socket: new Socket(), address });
const PATIENCE = { timeout: 20_000, interval: 5 };
const never = () => new Promise<void>(() => undefined);

test("a place is free once the answer has left, the connection has ended, or its time is up", async () => {
  for (const leave of [
    ({ response }: ReturnType<typeof pageOf>) => response.end(),
    ({ socket }: ReturnType<typeof pageOf>) => socket.destroy(),
    () => undefined,
  ]) {
    const slots = new PageSlots({ ...limits, atOnce: 1 });
    const first = pageOf();
    slots.take(first, never);
    let isMade = false;
    slots.take(pageOf("b"), async () => {
      isMade = true;
    });
    await Promise.resolve();
    expect(isMade).toBe(false);
    leave(first);
    await vi.waitFor(() => expect(isMade).toBe(true), PATIENCE);
  }
});

test("a client that has left before its turn takes no place, and one whose time is up is disconnected", async () => {
  const slots = new PageSlots({ ...limits, atOnce: 1 });
  const [slow, left] = [pageOf(), pageOf("b")];
  slots.take(slow, never);
  let isMade = false;
  slots.take(left, async () => {
    isMade = true;
  });
  left.socket.destroy();
  await vi.waitFor(() => expect(slots.active).toBe(0), PATIENCE);
  expect(slow.socket.destroyed).toBe(true);
  expect(isMade).toBe(false);
});

test("clients take turns, and one alone cannot have all places in the line", async () => {
  const slots = new PageSlots({ ...limits, atOnce: 1, milliseconds: 10_000 });
  const order: string[] = [];
  const ask = (address: string, name: string) => {
    const page = pageOf(address);
    return slots.take(page, async () => {
      order.push(name);
      setTimeout(() => page.response.end());
    });
  };
  const taken = ["1", "2", "3", "4", "5", "6", "7", "8"].map((name) => ask("a", `a${name}`));
  expect(taken).toEqual([true, true, true, true, true, true, false, false]);
  expect(ask("b", "b1")).toBe(true);
  await vi.waitFor(() => expect(order).toEqual(["a1", "a2", "b1", "a3", "a4", "a5", "a6"]), PATIENCE);
});

test("always: however clients behave, all slots are free in the end and the next page is rendered", async () => {
  const doing = fc.constantFrom("answered", "leaves at once", "leaves later", "hangs", "fails");
  await fc.assert(
    fc.asyncProperty(fc.array(doing, { minLength: 1, maxLength: 5 }), async (all) => {
      const slots = new PageSlots({ ...limits, milliseconds: 20 });
      for (const what of all) {
        const page = pageOf();
        slots.take(page, async () => {
          if (what === "answered") setTimeout(() => page.response.end());
          if (what === "fails") throw new Error("failed");
          if (what !== "answered") await never();
        });
        if (what === "leaves at once") page.socket.destroy();
        if (what === "leaves later") setTimeout(() => page.socket.destroy(), 3);
      }
      await vi.waitFor(() => expect(slots.active).toBe(0), PATIENCE);
      let isMade = false;
      const last = pageOf("z");
      slots.take(last, async () => {
        isMade = true;
        last.response.end();
      });
      await vi.waitFor(() => expect(isMade).toBe(true), PATIENCE);
    }),
    { numRuns: 15 },
  );
});

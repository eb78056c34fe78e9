// Bodies of requests: never more is read than the limit of the route, regardless of the size that the sender states.
import { expect, test } from "vitest";
import { readBytes, readText } from "./body.ts";

/** A request whose body comes in chunks of a kilobyte and counts how many were taken. */
function streamed(kilobytes: number, headers: Record<string, string> = {}) {
  const seen = { taken: 0, isCancelled: false };
  const body = new ReadableStream<Uint8Array>(
    {
      pull(controller) {
        if (seen.taken === kilobytes) return controller.close();
        seen.taken++;
        controller.enqueue(new Uint8Array(1_000).fill(97));
      },
      cancel() {
        seen.isCancelled = true;
      },
    },
    { highWaterMark: 0 },
  );
  const init: RequestInit & { duplex: "half" } = { method: "POST", body, headers, duplex: "half" };
  return { request: new Request("http://localhost/", init), seen };
}

test("a body up to the limit is read whole, in the order it came", async () => {
  const { request } = streamed(5);
  expect(await readText(request, 5_000)).toBe("a".repeat(5_000));
  expect(await readText(new Request("http://localhost/", { method: "POST", body: "Käse 🧀" }), 100)).toBe("Käse 🧀");
  expect(await readBytes(new Request("http://localhost/"), 100)).toEqual(new Uint8Array());
});

test("one byte more is refused as soon as it has come, and the rest is not read", async () => {
  const { request, seen } = streamed(1_000);
  await expect(readText(request, 4_999)).rejects.toMatchObject({ code: "tooLarge" });
  expect(seen.taken).toBeLessThanOrEqual(6);
  expect(seen.isCancelled).toBe(true);
});

test("a size that is stated too large is refused without reading; one stated too small helps nobody", async () => {
  const honest = streamed(1_000, { "content-length": "1000000" });
  await expect(readBytes(honest.request, 5_000)).rejects.toMatchObject({ code: "tooLarge" });
  expect(honest.seen.taken).toBe(0);
  const lying = streamed(1_000, { "content-length": "10" });
  await expect(readBytes(lying.request, 5_000)).rejects.toMatchObject({ code: "tooLarge" });
});

import { expect, test } from "vitest";
import { answerLines } from "./answerLines.ts";

test("lines are read as they come, wherever the pieces of the answer are cut", async () => {
  const bytes = new TextEncoder().encode('{"part":0.5}\n{"name":"Übung"}\n{"faults":[]}\n');
  for (const size of [1, 5, 17, bytes.length]) {
    const body = new ReadableStream<Uint8Array>({
      start(pieces) {
        for (let at = 0; at < bytes.length; at += size) pieces.enqueue(bytes.slice(at, at + size));
        pieces.close();
      },
    });
    const lines: unknown[] = [];
    for await (const line of answerLines(new Response(body))) lines.push(line);
    expect(lines).toEqual([{ part: 0.5 }, { name: "Übung" }, { faults: [] }]);
  }
});

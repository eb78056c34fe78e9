// The stream of changes, spoken to as a browser does: in order, resumed after a break, closed when nobody listens.
import type { Settled } from "../client/messages.ts";
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { postTo } from "./server.ts";

/** One listener: what it has heard, and how to stop. */
function listen(url: string, headers: Record<string, string> = {}) {
  const heard: Settled[] = [];
  const stop = new AbortController();
  const done = (async () => {
    const response = await fetch(url, { headers, signal: stop.signal });
    expect(response.headers.get("content-type")).toBe("text/event-stream");
    let rest = "";
    for await (const chunk of response.body ?? []) {
      rest += new TextDecoder().decode(chunk);
      const events = rest.split("\n\n");
      rest = events.pop() ?? "";
      for (const event of events) {
        const data = /^data: (\{.*)$/m.exec(event)?.[1];
        if (data) heard.push(JSON.parse(data));
      }
    }
  })().catch(() => undefined);
  return {
    heard,
    stop: () => {
      stop.abort();
      return done;
    },
  };
}

const revisionsOf = (heard: readonly Settled[]) => heard.flatMap(({ entries }) => entries?.map(({ revision }) => revision) ?? []);

test("everyone hears every change once, in order; who was away hears the rest", async ({ server }) => {
  const { revision } = await (await fetch(`${server.url}/api/plan`)).json();
  const many = Array.from({ length: 20 }, () => listen(`${server.url}/api/events?since=${revision}`));
  const away = listen(`${server.url}/api/events?since=${revision}`);
  const edits = async (from: number, to: number) => {
    for (let at = from; at < to; at++) {
      const now = (await (await fetch(`${server.url}/api/edits?since=${revision}`)).json()).revision;
      const edit = { kind: "changeTask", id: "tidepool-order", set: { name: `Name ${at}` } };
      const answer = await postTo(server, "/api/edits", JSON.stringify({ base: now, request: { kind: "edit", edit } }));
      expect(answer.status).toBe(200);
    }
  };
  await edits(0, 3);
  await expect.poll(() => revisionsOf(away.heard)).toEqual([1, 2, 3].map((step) => revision + step));
  await away.stop();
  await edits(3, 6);
  const back = listen(`${server.url}/api/events?since=${revision}`, { "last-event-id": String(revision + 3) });
  await expect.poll(() => revisionsOf(back.heard)).toEqual([4, 5, 6].map((step) => revision + step));
  for (const one of many) await expect.poll(() => revisionsOf(one.heard)).toEqual([1, 2, 3, 4, 5, 6].map((step) => revision + step));
  await Promise.all([...many, back].map((one) => one.stop()));
});

test("what has changed can be asked for too, and an address without a revision says what is missing", async ({ server }) => {
  const { revision } = await (await fetch(`${server.url}/api/plan`)).json();
  const answer: Settled = await (await fetch(`${server.url}/api/edits?since=${revision}`)).json();
  expect(answer).toMatchObject({ revision, entries: [], faults: [] });
  for (const query of ["", "?since=", "?since=-1", "?since=1e9", "?since=soon"]) {
    const refused = await fetch(`${server.url}/api/edits${query}`);
    expect(refused.status, query).toBe(400);
    expect((await refused.json()).faults[0].message).toContain("State a revision");
  }
});

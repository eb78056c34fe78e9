// Hearing of what others do: by a stream of events, by asking now and then where a proxy breaks it. Windows of one browser
// share one connection: the one that holds the lock reports the others.
import type { Settled } from "./messages.ts";

/** As much of the browser as is used; tests have their own. */
export interface LiveSource {
  /** Opens a stream; it calls `onHeard` for every answer and `onAlive` whenever anything comes. @returns Closes it. */
  open(since: number, onHeard: (answer: Settled) => void, onAlive: () => void): () => void;
  /** Asks what has changed since a revision. */
  ask(since: number): Promise<Settled>;
  /** Calls back after some time. @returns Calls it off. */
  later(call: () => void, milliseconds: number): () => void;
}

/** Nothing heard for as long as this, not even that the server is alive: the stream does not come through. */
const SILENT_MS = 40_000;
const ASK_MS = 3_000;

/** Follows the plan from a revision on, until the page is closed.
 * @param revision The revision that is known now; asked for whenever it matters. */
export function follow(source: LiveSource, revision: () => number, hear: (answer: Settled) => void): void {
  let close: () => void = () => undefined;
  let callOff: () => void = () => undefined;
  const alive = () => {
    callOff();
    callOff = source.later(ask, SILENT_MS);
  };
  const connect = () => {
    close();
    close = source.open(revision(), hear, alive);
  };
  // While the stream is silent one asks, and tries the stream again with every answer.
  const ask = () => {
    callOff = source.later(ask, ASK_MS);
    source
      .ask(revision())
      .then((answer) => {
        hear(answer);
        connect();
      })
      .catch(() => undefined);
  };
  connect();
  alive();
}

/** The browser as a source. @param maker The id that it keeps. */
const browserSource = (maker: string): LiveSource => ({
  open(since, onHeard, onAlive) {
    const events = new EventSource(`/api/events?since=${since}&maker=${maker}`);
    events.onmessage = ({ data }) => {
      onAlive();
      onHeard(JSON.parse(data));
    };
    events.addEventListener("alive", onAlive);
    return () => events.close();
  },
  async ask(since) {
    const response = await fetch(`/api/edits?since=${since}&maker=${maker}`, { cache: "no-store" });
    if (!response.ok) throw new Error(`GET /api/edits answered ${response.status}`);
    return response.json();
  },
  later(call, milliseconds) {
    const timer = setTimeout(call, milliseconds);
    return () => clearTimeout(timer);
  },
});

const NAME = "changes-of-the-plan";

/** Follows the plan in one window of the browser and reports the others. A browser without locks follows in each. */
export function followTogether(maker: string, revision: () => number, hear: (answer: Settled) => void): void {
  const source = browserSource(maker);
  if (typeof navigator === "undefined" || !navigator.locks || typeof BroadcastChannel === "undefined") {
    follow(source, revision, hear);
    return;
  }
  const name = `${NAME} ${maker}`;
  const channel = new BroadcastChannel(name);
  channel.onmessage = ({ data }: MessageEvent<Settled>) => hear(data);
  const lead = () => {
    follow(source, revision, (answer) => {
      channel.postMessage(answer);
      hear(answer);
    });
    return new Promise<void>(() => undefined);
  };
  void navigator.locks.request(name, lead);
}

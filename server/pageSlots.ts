// Pages are made a few at a time, so that an edit never waits for hundreds of them. A place is free again when the answer has left or
// the connection has ended, however it ends, and at the latest after a time limit.
import type { EventEmitter } from "node:events";

/** The two ends of a page request: the answer and the connection, each of which may end by itself. */
export interface PageRequest {
  response: EventEmitter & { readonly closed: boolean };
  socket: EventEmitter & { readonly destroyed: boolean; destroy(): unknown };
  /** Of the client; pages of one client wait in one line, and clients take turns. */
  address: string;
}

export interface SlotLimits {
  atOnce: number;
  /** Pages of one client that may wait. */
  waiting: number;
  /** So long a page may take until its connection is ended. */
  milliseconds: number;
  /** So long the work for a client that has left is waited for: it cannot be ended, but it ends by itself. */
  lingerMilliseconds: number;
}

interface Waiting {
  page: PageRequest;
  make: () => Promise<void>;
}

export class PageSlots {
  /** By client, in the order of their turns. */
  readonly #waiting = new Map<string, Waiting[]>();
  #free: number;

  constructor(private readonly limits: SlotLimits) {
    this.#free = limits.atOnce;
  }

  /** Renders a page when its turn comes, unless the client has left by then.
   * @returns False where too many pages of this client wait already. */
  take(page: PageRequest, make: () => Promise<void>): boolean {
    const line = this.#waiting.get(page.address) ?? [];
    if (line.length >= this.limits.waiting) return false;
    line.push({ page, make });
    this.#waiting.set(page.address, line);
    this.#next();
    return true;
  }

  /** Pages that are being made. */
  get active(): number {
    return this.limits.atOnce - this.#free;
  }

  #next(): void {
    while (this.#free > 0) {
      const next = this.#shift();
      if (!next) return;
      if (isGone(next.page)) continue;
      this.#free--;
      void this.#run(next).finally(() => {
        this.#free++;
        this.#next();
      });
    }
  }

  /** The next page of the client whose turn it is; that client goes to the end of the line. */
  #shift(): Waiting | undefined {
    const [address, line] = this.#waiting.entries().next().value ?? [];
    if (address === undefined || !line) return undefined;
    const next = line.shift();
    this.#waiting.delete(address);
    if (line.length > 0) this.#waiting.set(address, line);
    return next;
  }

  async #run({ page, make }: Waiting): Promise<void> {
    const { response, socket } = page;
    const { milliseconds, lingerMilliseconds } = this.limits;
    const over = new AbortController();
    const gone = new Promise<void>((resolve) => {
      const leave = () => resolve();
      response.once("close", leave);
      socket.once("close", leave);
      over.signal.addEventListener("abort", () => {
        response.off("close", leave);
        socket.off("close", leave);
      });
    });
    const made = make().catch(() => undefined);
    const limit = timeout(milliseconds, over.signal).then(() => void socket.destroy());
    await Promise.race([gone, limit]);
    await Promise.race([made, timeout(lingerMilliseconds, over.signal)]);
    over.abort();
  }
}

const isGone = ({ response, socket }: PageRequest): boolean => response.closed || socket.destroyed;

function timeout(milliseconds: number, signal: AbortSignal): Promise<void> {
  return new Promise((resolve) => {
    const timer = setTimeout(resolve, milliseconds);
    signal.addEventListener("abort", () => clearTimeout(timer));
  });
}

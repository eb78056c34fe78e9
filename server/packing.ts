// Answers to local programs are not compressed: between two programs of one machine, compressing takes longer than sending.
import type { IncomingMessage } from "node:http";

const OWN_ADDRESSES: ReadonlySet<string> = new Set(["127.0.0.1", "::1", "::ffff:127.0.0.1"]);

/** The headers in which a proxy names its client. */
const OF_PROXIES = ["x-forwarded-for", "forwarded", "via"];

type Asker = Pick<IncomingMessage, "headers"> & { socket: Pick<IncomingMessage["socket"], "remoteAddress"> };

/** True of a browser or program of this machine, with no proxy in between that says so. */
export const isOfThisMachine = ({ headers, socket: { remoteAddress = "" } }: Asker): boolean =>
  OWN_ADDRESSES.has(remoteAddress) && OF_PROXIES.every((name) => headers[name] === undefined);

// The requests that are accepted: from the application's own pages, or from programs that know its token; never from another
// site's page, nor under a name that someone else has pointed at this machine.
import type { IncomingHttpHeaders } from "node:http";

/** The reason why a request is refused, with its status. */
export interface Refusal {
  status: 400 | 403 | 405 | 414 | 421 | 429;
  text: string;
}

/** Letters of an address: as many as a board with all its filters has, several times over. */
const MOST_ADDRESS_LETTERS = 8_000;

/** The header that carries the token. */
export const TOKEN_HEADER = "x-roster-token";

/** The address that anyone may send to without the token: the form that the application shows to visitors. */
export const PUBLIC_FORM = "/enquire";

const OWN_NAMES = ["localhost", "127.0.0.1", "[::1]"];

/** The host names under which the application answers: this machine's own, and those in its settings. */
export function hostNames(env: Readonly<Record<string, string | undefined>>): string[] {
  const reported = [env.HOST ?? "", ...(env.ROSTER_HOSTS ?? "").split(",")].map((name) => name.trim().toLowerCase());
  return [...OWN_NAMES, ...reported.filter((name) => name !== "" && name !== "0.0.0.0" && name !== "::")];
}

/** The request, as it came over the wire. */
export interface Asked {
  method: string;
  /** Path and query. */
  address: string;
  headers: IncomingHttpHeaders;
}

/** Null for a request that may go on.
 * @param names The host names that are answered to. @param token What changes have to carry. */
export function refusalOf({ method, address, headers }: Asked, names: readonly string[], token: string): Refusal | null {
  const host = (headers.host ?? "").toLowerCase();
  if (!names.includes(host.replace(/:\d+$/, "")))
    return { status: 421, text: `This application does not answer as "${host}". Name it in ROSTER_HOSTS to allow that.` };
  if (method !== "GET" && method !== "HEAD" && method !== "POST") return { status: 405, text: `${method} is not used here.` };
  if (address.length > MOST_ADDRESS_LETTERS) return { status: 414, text: "This address is longer than any of this application." };
  if (!isWritten(address))
    return { status: 400, text: "This address is not written correctly. Go to the start page and find it from there." };
  if (method !== "POST") return null;
  const { origin, "sec-fetch-site": site } = headers;
  // A browser states both; a program states neither.
  const isOwn = origin === undefined ? site === undefined || site === "same-origin" || site === "none" : hostOf(origin) === host;
  if (isOwn && ((token !== "" && headers[TOKEN_HEADER] === token) || address === PUBLIC_FORM)) return null;
  return { status: 403, text: "Changes are made from the application's own pages, or with its token. Nothing was changed." };
}

/** True where the signs of an address that represent others can be read. */
function isWritten(address: string): boolean {
  if (!address.startsWith("/")) return false;
  try {
    decodeURIComponent(address);
    return true;
  } catch {
    return false;
  }
}

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}

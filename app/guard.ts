// Which requests are taken: from the application's own pages, or from programs; never from another site's page, nor under
// a name that somebody else has pointed at this machine.

/** Why a request is not taken, with its status. */
export interface Refusal {
  status: 403 | 405 | 421;
  text: string;
}

const OWN_NAMES = ["localhost", "127.0.0.1", "[::1]"];

/** The host names under which the application answers: this machine's own, and those it is told. */
export function hostNames(env: Readonly<Record<string, string | undefined>>): string[] {
  const told = [env.HOST ?? "", ...(env.ROSTER_HOSTS ?? "").split(",")].map((name) => name.trim().toLowerCase());
  return [...OWN_NAMES, ...told.filter((name) => name !== "" && name !== "0.0.0.0" && name !== "::")];
}

/** Null for a request that may go on. */
export function refusalOf(method: string, headers: Pick<Headers, "get">, names: readonly string[]): Refusal | null {
  const host = (headers.get("host") ?? "").toLowerCase();
  if (!names.includes(host.replace(/:\d+$/, "")))
    return { status: 421, text: `This application does not answer as "${host}". Name it in ROSTER_HOSTS to allow that.` };
  if (method === "GET" || method === "HEAD") return null;
  if (method !== "POST") return { status: 405, text: `${method} is not used here.` };
  const origin = headers.get("origin");
  const site = headers.get("sec-fetch-site");
  // A browser states both; a program that states neither acts for whoever started it.
  const isOwn = origin === null ? site === null || site === "same-origin" || site === "none" : hostOf(origin) === host;
  return isOwn ? null : { status: 403, text: "Changes are made from the application's own pages. Nothing was changed." };
}

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}

/** What a page may load and be loaded by: itself alone. Scripts carry the page's own mark.
 * @param nonce New for every page. */
export function contentPolicy(nonce: string): string {
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'`,
    // Bars, tracks and heights are stated where they stand.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self' data:",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'self'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join("; ");
}

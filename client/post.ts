// Sends something to the server that changes or reads something there: with the token that shows that it comes from here.

let token: Promise<string> | null = null;

async function readToken(): Promise<string> {
  const response = await fetch("/api/token", { cache: "no-store" });
  if (!response.ok) throw new Error(`GET /api/token answered ${response.status}`);
  return ((await response.json()) as { token: string }).token;
}

/** Posts to the server. The token is asked for once, and again where the server has another one by now. */
export async function post(path: string, init: Omit<RequestInit, "method" | "headers"> & { type?: string }): Promise<Response> {
  const { type = "application/json", ...rest } = init;
  for (let isFirst = true; ; isFirst = false) {
    token ??= readToken();
    const own = token;
    let known: string;
    try {
      known = await own;
    } catch (error) {
      token = null;
      throw error;
    }
    const response = await fetch(path, { ...rest, method: "POST", headers: { "content-type": type, "x-roster-token": known } });
    if (response.status !== 403 || !isFirst) return response;
    if (token === own) token = null;
  }
}

// Sends something to the server that changes or reads something there: with the token that shows that it comes from here.

/** A server that has not answered after this long hangs. */
const TOKEN_MS = 10_000;

let token: Promise<string> | null = null;

async function readToken(): Promise<string> {
  const response = await fetch("/api/token", { cache: "no-store", signal: AbortSignal.timeout(TOKEN_MS) });
  if (!response.ok) throw new Error(`GET /api/token answered ${response.status}`);
  return (await response.json()).token;
}

/** The token, asked for once; a failure is not remembered. */
function tokenOnce(): Promise<string> {
  token ??= readToken().catch((error: unknown) => {
    token = null;
    throw error;
  });
  return token;
}

/** Posts to the server; once more with another token, where the server has another one by now. */
export async function post(path: string, { type = "application/json", ...init }: RequestInit & { type?: string }): Promise<Response> {
  const send = async () => fetch(path, { ...init, method: "POST", headers: { "content-type": type, "x-roster-token": await tokenOnce() } });
  const response = await send();
  if (response.status !== 403) return response;
  token = null;
  return send();
}

// The server: one door before everything, then the application. Ends in order when it is told to.
import { createServer, type IncomingMessage, type ServerResponse } from "node:http";
import next from "next";
import { dataFolder } from "../store/files.ts";
import { hostNames, type Refusal, refusalOf } from "./guard.ts";
import { RequestRates } from "./rates.ts";
import { tokenOf } from "./token.ts";
import { Turns } from "./turns.ts";

/** Pages made at once: one waits for its data while the other is being made. */
const PAGES_AT_ONCE = 2;
/** Fifty windows that each edit every second, ten times over. */
const RATE = { aSecond: 500, atOnce: 3_000 };

const isDev = process.argv.includes("dev");
const hostname = process.env.HOST ?? "127.0.0.1";
const port = Number(process.env.PORT ?? 3000);

function fail(error: unknown): never {
  process.stderr.write(`${error instanceof Error ? error.message : error}\n`);
  process.exit(1);
}

function tokenOrEnd(): string {
  try {
    return tokenOf(dataFolder(process.env, process.cwd()));
  } catch (error) {
    return fail(error);
  }
}

const token = tokenOrEnd();
// The routes tell it to the application's own pages.
process.env.ROSTER_TOKEN = token;

const names = hostNames(process.env);
const rates = new RequestRates(RATE);
const pages = new Turns(PAGES_AT_ONCE);
const application = next({ dev: isDev, hostname, port });

function refuse(response: ServerResponse, { status, text }: Refusal): void {
  const more = status === 429 ? { "retry-after": "1" } : {};
  response.writeHead(status, { "content-type": "text/plain; charset=utf-8", "x-content-type-options": "nosniff", ...more }).end(text);
}

const isPage = ({ method = "", url = "" }: IncomingMessage): boolean =>
  (method === "GET" || method === "HEAD") && !url.startsWith("/api/") && !url.startsWith("/_next/") && !url.startsWith("/icon");

async function answer(request: IncomingMessage, response: ServerResponse): Promise<void> {
  const { method = "", url: address = "", headers, socket } = request;
  if (!rates.takes(socket.remoteAddress ?? "", performance.now()))
    return refuse(response, { status: 429, text: "These are more requests than anybody makes by hand. Try again in a moment." });
  const refusal = refusalOf({ method, address, headers }, names, token);
  if (refusal) return refuse(response, refusal);
  if (isPage(request)) {
    const end = await pages.take();
    if (response.closed) return end();
    response.once("close", end);
  }
  await application.getRequestHandler()(request, response);
}

await application.prepare().catch(fail);
const server = createServer((request, response) => {
  answer(request, response).catch((error: unknown) => {
    process.stderr.write(`${error instanceof Error ? error.stack : error}\n`);
    if (!response.headersSent) response.writeHead(500, { "content-type": "text/plain; charset=utf-8" });
    response.end("This could not be answered, for a reason that the server has written to its log.");
  });
});
server.on("error", fail);
if (isDev) server.on("upgrade", (request, socket, head) => void application.getUpgradeHandler()(request, socket, head));
server.listen(port, hostname, () => process.stdout.write("Ready\n"));
// The store is closed, and the process ended, by the application; here nobody new is let in.
for (const signal of ["SIGTERM", "SIGINT"] as const) process.on(signal, () => server.close());

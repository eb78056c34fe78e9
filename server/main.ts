// The server: one door before everything, then the application. Ends in order when it is asked to.
import { createServer, type IncomingMessage, type ServerResponse } from "node:http";
import { setFlagsFromString } from "node:v8";
import next from "next";
import { RateLimiterMemory } from "rate-limiter-flexible";
import { messageOf } from "../core/values/errors.ts";
import { dataFolder } from "../store/files.ts";
import { secretOf } from "../store/secrets.ts";
import { hostNames, PUBLIC_FORM, type Refusal, refusalOf } from "./guard.ts";
import { isOfThisMachine } from "./packing.ts";
import { PageSlots } from "./pageSlots.ts";

/** Files of the whole plan are calculated in a thread, one behind the other; each client's wait in a line of their own. */
const FILE_LIMITS = { atOnce: 2, waiting: 20, milliseconds: 120_000, lingerMilliseconds: 250 };
const CALCULATED = ["/api/board", "/api/horizon", "/api/money", "/api/changes/moved", "/api/feeds/"];
/** How long a client may take to send a request, and how long a connection may be still, in milliseconds. A stream of changes
 * sends a line more often. */
const [HEAD_MS, REQUEST_MS, IDLE_MS] = [10_000, 60_000, 90_000];
/** The request limit of one address in some seconds: fifty windows that each edit every second, ten times over. */
const RATE = { points: Number(process.env.ROSTER_MOST_REQUESTS) || 3_000, duration: 6 };

/** The limit of enquiries that one address may send through the public form in some seconds. */
const FORM_RATE = { points: Number(process.env.ROSTER_MOST_ENQUIRIES) || 6, duration: 60 };

// The database runs through thousands of functions once when it starts. Compiling the warmer ones of them better takes a
// third of the start, and only those that stay hot give it back: they are left until then.
setFlagsFromString("--wasm-tiering-budget=200000000");

const isDev = process.argv.includes("dev");

/** Two pages at once: one is rendered while the other waits for its data, and an edit waits for two at most. In development a page is
 * compiled on its first request, which takes longer. */
const PAGE_LIMITS = { atOnce: 2, waiting: 200, milliseconds: isDev ? 300_000 : 20_000, lingerMilliseconds: 250 };

const hostname = process.env.HOST ?? "127.0.0.1";
const port = Number(process.env.PORT ?? 3000);

function fail(error: unknown): never {
  process.stderr.write(`${messageOf(error)}\n`);
  process.exit(1);
}

const ownToken = async () => secretOf(dataFolder(process.env, process.cwd()), "token");

const token = await ownToken().catch(fail);
// The routes report it to the application's own pages.
process.env.ROSTER_TOKEN = token;

const names = hostNames(process.env);
const rates = new RateLimiterMemory(RATE);
const formRates = new RateLimiterMemory(FORM_RATE);
const pages = new PageSlots(PAGE_LIMITS);
const files = new PageSlots(FILE_LIMITS);
const application = next({ dev: isDev, hostname, port });

function refuse(response: ServerResponse, { status, text }: Refusal): void {
  const more = status === 429 ? { "retry-after": "1" } : {};
  response.writeHead(status, { "content-type": "text/plain; charset=utf-8", "x-content-type-options": "nosniff", ...more }).end(text);
}

const isPage = ({ method = "", url = "" }: IncomingMessage): boolean =>
  (method === "GET" || method === "HEAD") && !url.startsWith("/api/") && !url.startsWith("/_next/") && !url.startsWith("/icon");

const isCalculated = ({ method = "", url = "" }: IncomingMessage): boolean =>
  method === "GET" && CALCULATED.some((path) => url.startsWith(path));

const isWithin = (limit: RateLimiterMemory, address = ""): Promise<boolean> =>
  limit.consume(address).then(
    () => true,
    () => false,
  );

async function answer(request: IncomingMessage, response: ServerResponse): Promise<void> {
  const { method = "", url: address = "", headers, socket } = request;
  const isSent = method === "POST" && address === PUBLIC_FORM;
  if (isSent && !(await isWithin(formRates, socket.remoteAddress)))
    return refuse(response, {
      status: 429,
      text: "You have sent several enquiries just now. Please wait a minute, then send this one again.",
    });
  if (!(await isWithin(rates, socket.remoteAddress)))
    return refuse(response, { status: 429, text: "Too many requests at once. Try again in a moment." });
  const refusal = refusalOf({ method, address, headers }, names, token);
  if (refusal) return refuse(response, refusal);
  if (isOfThisMachine(request)) delete headers["accept-encoding"];
  const handle = () => application.getRequestHandler()(request, response);
  const slots = isPage(request) ? pages : isCalculated(request) ? files : null;
  if (!slots) return handle();
  const page = { response, socket, address: socket.remoteAddress ?? "" };
  const isTaken = slots.take(page, () => handle().catch((error: unknown) => answerFailure(response, error)));
  if (!isTaken) refuse(response, { status: 429, text: "Too many pages or files are requested at once. Try again in a moment." });
}

function answerFailure(response: ServerResponse, error: unknown): void {
  if (response.destroyed) return;
  process.stderr.write(`${error instanceof Error ? error.stack : error}\n`);
  if (!response.headersSent) response.writeHead(500, { "content-type": "text/plain; charset=utf-8" });
  response.end("This could not be answered, for a reason that the server has written to its log.");
}

await application.prepare().catch(fail);
const server = createServer(
  { connectionsCheckingInterval: 5_000, headersTimeout: HEAD_MS, requestTimeout: REQUEST_MS },
  (request, response) => {
    // Requests that are sent one behind the other listen for the end of one connection.
    request.socket.setMaxListeners(0);
    answer(request, response).catch((error: unknown) => answerFailure(response, error));
  },
);
server.setTimeout(IDLE_MS);
server.on("error", fail);
if (isDev) server.on("upgrade", (request, socket, head) => void application.getUpgradeHandler()(request, socket, head));
server.listen(port, hostname, () => process.stdout.write("Ready\n"));
// The store is closed, and the process ended, by the application; here nobody new is let in.
for (const signal of ["SIGTERM", "SIGINT"] as const) process.on(signal, () => server.close());

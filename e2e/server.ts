// A server of the built application on a data folder of its own.
import { type ChildProcess, spawn } from "node:child_process";
import { mkdtemp, readFile, rm } from "node:fs/promises";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { copyTemplate } from "../tests/copyTemplate.ts";

const root = join(import.meta.dirname, "..");
const START_MS = 60_000;

export interface Server {
  url: string;
  folder: string;
  /** Everything the process has printed. */
  said(): string;
  /** Asks the process to stop, as a service manager does; waits until it has. @returns Its status, null after a signal. */
  stop(): Promise<number | null>;
  /** Ends the process where it is. */
  kill(): Promise<number | null>;
}

/** The data folder with the demo plan that this run has made. */
export const template = (): string => process.env.ROSTER_E2E_TEMPLATE ?? "";

/** The demo plan as a file, next to that folder. */
export const planFileOf = (folder: string): string => `${folder}.json`;

/** Starts a server on a copy of the demo plan. @param env Settings besides the usual ones. */
export async function demoServer(env: Readonly<Record<string, string>> = {}): Promise<Server> {
  const { folder } = await copyTemplate(template());
  return startServer(folder, undefined, env);
}

/** Starts a server on an empty data folder. */
export async function emptyServer(): Promise<Server> {
  return startServer(await mkdtemp(join(tmpdir(), "roster-empty-")));
}

/** Starts a server on a folder and waits until it answers. */
export async function startServer(folder: string, wanted?: number, env: Readonly<Record<string, string>> = {}): Promise<Server> {
  const port = wanted ?? (await freePort());
  const child = spawnServer(folder, port, env);
  let output = "";
  for (const stream of [child.stdout, child.stderr])
    stream?.on("data", (chunk) => {
      output += chunk;
    });
  const url = `http://127.0.0.1:${port}`;
  const ended = new Promise<number | null>((resolve) => child.once("exit", resolve));
  await answers(url, child, () => output);
  const end = async (signal: NodeJS.Signals) => {
    child.kill(signal);
    return ended;
  };
  return { url, folder, said: () => output, stop: () => end("SIGTERM"), kill: () => end("SIGKILL") };
}

/** Starts the process alone; for tests of how it fails. */
export function spawnServer(folder: string, port: number, env: Readonly<Record<string, string>> = {}): ChildProcess {
  return spawn(process.execPath, ["dist/server.mjs", "start"], {
    cwd: root,
    env: {
      ...process.env,
      ...env,
      NEXT_TELEMETRY_DISABLED: "1",
      NODE_ENV: "production",
      HOST: "127.0.0.1",
      PORT: String(port),
      ROSTER_DATA: folder,
      FORCE_COLOR: "0",
    },
  });
}

async function answers(url: string, child: ChildProcess, output: () => string): Promise<void> {
  const until = Date.now() + START_MS;
  while (Date.now() < until) {
    if (child.exitCode !== null) throw new Error(`The server ended before it answered:\n${output()}`);
    const isUp = await fetch(`${url}/api/plan`).then(
      ({ ok }) => ok,
      () => false,
    );
    if (isUp) return;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  throw new Error(`The server did not answer within a minute:\n${output()}`);
}

/** A port that nobody listens on. */
export function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.listen(0, "127.0.0.1", () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => resolve(port));
    });
  });
}

/** Stops a server and removes its folder. */
export async function putAway(server: Server): Promise<void> {
  await server.stop();
  await rm(server.folder, { recursive: true, force: true });
}

/** The path of a feed, as the application shows it. */
export async function feedPath({ url }: Pick<Server, "url">, kind: string, id: string): Promise<string> {
  const { path } = await (await fetch(`${url}/api/feeds/address?${new URLSearchParams({ kind, id })}`)).json();
  return path;
}

/** Posts to a server as a program of this machine does: with the token that its data folder holds. */
export async function postTo(
  { url, folder }: Server,
  path: string,
  body: BodyInit,
  headers: Record<string, string> = {},
  signal?: AbortSignal,
): Promise<Response> {
  const token = await readFile(join(folder, "token"), "utf8");
  return fetch(`${url}${path}`, {
    method: "POST",
    body,
    headers: { "content-type": "application/json", "x-roster-token": token, ...headers },
    ...(signal && { signal }),
  });
}

// Attacks by clients with bad intentions or broken connections: for tests, and for `npm run harm`.
import { connect, type Socket } from "node:net";
import { postTo, type Server } from "./server.ts";

type Target = Pick<Server, "url">;

const pause = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds));

function open({ url }: Target): Promise<Socket> {
  const { hostname, port } = new URL(url);
  return new Promise((resolve) => {
    const socket = connect(Number(port), hostname, () => resolve(socket));
    socket.on("error", () => resolve(socket));
  });
}

const request = (path: string, more = "") => `GET ${path} HTTP/1.1\r\nHost: 127.0.0.1\r\n${more}\r\n`;

/** Sends requests one behind the other on one connection, and ends it. */
export async function pipelined(target: Target, path: string, count: number, afterMs = 5): Promise<void> {
  const socket = await open(target);
  socket.write(request(path).repeat(count));
  await pause(afterMs);
  socket.destroy();
}

/** Requests that are dropped soon after they were sent, some at a time. */
export async function dropped(target: Target, path: string, count: number, atOnce: number, withinMs: number): Promise<void> {
  for (let sent = 0; sent < count; sent += atOnce)
    await Promise.all(
      Array.from({ length: Math.min(atOnce, count - sent) }, (_, at) => pipelined(target, path, 1, (withinMs * at) / atOnce)),
    );
}

/** Connections on which only a part of a request comes. @returns Ends them. */
export async function halfSent(target: Target, path: string, count: number): Promise<() => void> {
  const sockets = await Promise.all(Array.from({ length: count }, () => open(target)));
  for (const socket of sockets) socket.write(request(path).slice(0, -2));
  return () => {
    for (const socket of sockets) socket.destroy();
  };
}

/** Clients that ask for a page and never read it. @returns Ends them. */
export async function unread(target: Target, path: string, count: number): Promise<() => void> {
  const sockets = await Promise.all(Array.from({ length: count }, () => open(target)));
  for (const socket of sockets) {
    socket.pause();
    socket.write(request(path));
  }
  return () => {
    for (const socket of sockets) socket.destroy();
  };
}

/** A plan file that takes long to read: many rows that refer to each other wrongly. */
export const hostilePlan = (rows: number): string =>
  JSON.stringify({
    format: "mindful-roster-plan",
    version: 1,
    settings: { name: "x" },
    tasks: Array.from({ length: rows }, (_, at) => ({ id: `t${at}`, projectId: `p${at}`, name: "y".repeat(200), roleId: `weldr${at}` })),
  });

/** Sends a file to be read and leaves before it has been. */
export async function abandonedFile(server: Server, body: string, afterMs: number): Promise<void> {
  const leaving = new AbortController();
  const sent = postTo(server, "/api/plan/file", body, {}, leaving.signal).catch(() => null);
  await pause(afterMs);
  leaving.abort();
  await sent;
}

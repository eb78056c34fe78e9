// npm run harm: does harm to servers of the built application for two minutes, and looks whether anything answered is lost.
// `npm run harm -- SECONDS SEED` takes longer, or repeats a run.
import { readdirSync, readFileSync, rmSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { randomFrom } from "../demo/random.ts";
import { abandonedFile, dropped, halfSent, hostilePlan, pipelined, unread } from "./attacks.ts";
import { planOf, postJson } from "./planRoute.ts";
import { demoServer, type Server, spawnServer, startServer } from "./server.ts";
import setup from "./setup.ts";

const [seconds, seed] = [Number(process.argv[2] ?? 120), Number(process.argv[3] ?? Math.floor(Math.random() * 1e9))];
const random = randomFrom(seed);
const until = performance.now() + seconds * 1000;
const isOver = () => performance.now() > until;

const counts = { kills: 0, stops: 0, folders: 0, refusedStarts: 0, connections: 0, files: 0, answered: 0, lost: 0, traces: 0 };
const worst = { page: 0, edit: 0, stop: 0, megabytes: 0 };
const problems: string[] = [];

/** Names that were answered, by task: the server has to have each of them again. */
class Answered {
  readonly #names = new Map<string, string>();
  #number = 0;

  constructor(private readonly taskIds: readonly string[]) {}

  /** Renames a task. @returns Whether it was answered. */
  async edit(server: Server): Promise<boolean> {
    const id = random.pick(this.taskIds);
    const name = `Named ${++this.#number}`;
    const start = performance.now();
    const sent = await planOf(server)
      .then(({ revision }) =>
        postJson(server, "/api/edits", { base: revision, request: { kind: "edit", edit: { kind: "changeTask", id, set: { name } } } }),
      )
      .catch(() => null);
    if (sent?.status !== 200) return false;
    worst.edit = Math.max(worst.edit, performance.now() - start);
    counts.answered++;
    this.#names.set(id, name);
    return true;
  }

  async check(server: Server, after: string): Promise<void> {
    const { plan } = await planOf(server);
    const names = new Map(plan.tasks.map(({ id, name }) => [id, name]));
    for (const [id, name] of this.#names) {
      if (names.get(id) === name || numberIn(names.get(id)) > numberIn(name)) continue;
      counts.lost++;
      problems.push(`${after}: ${id} is "${names.get(id)}", answered was "${name}"`);
    }
  }
}

const numberIn = (name = ""): number => Number(/^Named (\d+)$/.exec(name)?.[1] ?? 0);

async function page(server: Server, path: string): Promise<void> {
  const start = performance.now();
  const answer = await fetch(`${server.url}${path}`, { signal: AbortSignal.timeout(30_000) }).catch(() => null);
  await answer?.text().catch(() => "");
  worst.page = Math.max(worst.page, performance.now() - start);
  if (!answer) problems.push(`${path} was not answered within 30 s`);
}

/** The memory of a server and of the processes it has started, in megabytes. */
function memoryOf(pid: number): number {
  const pids = readdirSync("/proc").filter((name) => /^\d+$/.test(name));
  const own = pids.filter((name) => name === String(pid) || statOf(name, 3) === String(pid));
  return own.reduce((sum, name) => sum + (Number(statOf(name, 23)) * 4096) / 1e6, 0);
}

function statOf(pid: string, field: number): string {
  try {
    const text = readFileSync(`/proc/${pid}/stat`, "utf8");
    return text.slice(text.lastIndexOf(")") + 2).split(" ")[field - 2] ?? "";
  } catch {
    return "";
  }
}

const pidOf = (server: Server): number => JSON.parse(readFileSync(join(server.folder, "lock"), "utf8")).pid;

/** Kills the server between and during edits, and starts it again. */
async function kill(server: Server, answered: Answered): Promise<Server> {
  for (let edits = random.below(12); edits >= 0; edits--) await answered.edit(server);
  const onItsWay = answered.edit(server);
  await server.kill();
  await onItsWay;
  counts.kills++;
  const next = await startServer(server.folder);
  await answered.check(next, "a kill");
  return next;
}

/** Stops the server while edits come from several sides. */
async function stopUnderLoad(server: Server, answered: Answered): Promise<Server> {
  const edits = Array.from({ length: 12 }, () => answered.edit(server));
  await Promise.race(edits);
  const start = performance.now();
  const status = await server.stop();
  worst.stop = Math.max(worst.stop, performance.now() - start);
  if (status !== 0) problems.push(`the server ended with status ${status} when it was stopped`);
  await Promise.all(edits);
  counts.stops++;
  const next = await startServer(server.folder);
  await answered.check(next, "a stop under load");
  return next;
}

const newest = (folder: string, ending: string): string =>
  join(
    folder,
    String(
      readdirSync(folder)
        .filter((name) => name.endsWith(ending))
        .sort()
        .at(-1),
    ),
  );

/** Damages a part of the folder of which the rest is enough. */
const damages: Record<string, (folder: string) => void> = {
  "the database is gone": (folder) => rmSync(join(folder, "pglite"), { recursive: true }),
  "a byte of the journal is damaged": (folder) => {
    const path = newest(join(folder, "journal"), ".jsonl");
    const bytes = readFileSync(path);
    if (bytes.length === 0) return;
    bytes[random.below(bytes.length)] ^= 1 + random.below(255);
    writeFileSync(path, bytes);
  },
  "half a line ends the journal": (folder) => writeFileSync(newest(join(folder, "journal"), ".jsonl"), '1234abcd {"revi', { flag: "a" }),
  "the newest copy is damaged": (folder) => writeFileSync(newest(join(folder, "copies"), ".json"), "{"),
  "the copies are gone": (folder) => rmSync(join(folder, "copies"), { recursive: true }),
  "the token is empty": (folder) => writeFileSync(join(folder, "token"), ""),
  "the lock is damaged": (folder) => writeFileSync(join(folder, "lock"), "{"),
  "a block of the database is zero": (folder) => {
    const base = join(folder, "pglite", "base");
    const files = readdirSync(base, { recursive: true, encoding: "utf8" }).map((name) => join(base, name));
    const large = files.filter((path) => statSync(path).isFile() && statSync(path).size >= 8192);
    const path = random.pick(large);
    const bytes = readFileSync(path);
    bytes.fill(0, 0, 8192);
    writeFileSync(path, bytes);
  },
};

async function damage(server: Server, answered: Answered): Promise<Server> {
  for (let edits = random.below(6); edits >= 0; edits--) await answered.edit(server);
  await server.stop();
  const what = random.pick(Object.keys(damages));
  damages[what](server.folder);
  counts.folders++;
  const next = await startServer(server.folder);
  await answered.check(next, what);
  return next;
}

/** Database and copies gone: the start is refused, and nothing is begun over the journal. */
async function refuse(answered: Answered): Promise<void> {
  const server = await demoServer();
  await answered.edit(server);
  await server.stop();
  const journal = readFileSync(newest(join(server.folder, "journal"), ".jsonl"));
  for (const name of ["pglite", "copies"]) rmSync(join(server.folder, name), { recursive: true });
  const child = spawnServer(server.folder, 1);
  const status = await new Promise((resolve) => child.once("exit", resolve));
  counts.refusedStarts++;
  const isKept = readFileSync(newest(join(server.folder, "journal"), ".jsonl")).equals(journal);
  if (status !== 1 || !isKept) problems.push(`a start without database and copies ended with status ${status}, journal kept: ${isKept}`);
  rmSync(server.folder, { recursive: true });
}

async function connections(server: Server, answered: Answered): Promise<Server> {
  const ends = [await halfSent(server, "/today", 100), await unread(server, "/balance", 10)];
  await Promise.all(Array.from({ length: 10 }, () => pipelined(server, "/today", 40)));
  await dropped(server, "/enquire", 200, 16, 90);
  await dropped(server, "/today", 100, 20, 40);
  counts.connections += 110 + 400 + 300;
  await answered.edit(server);
  await page(server, "/today");
  for (const end of ends) end();
  return server;
}

async function files(server: Server, answered: Answered): Promise<Server> {
  const pid = pidOf(server);
  const body = hostilePlan(40_000 + random.below(40_000));
  const sent = Array.from({ length: 4 }, () => abandonedFile(server, body, random.below(1_500)));
  counts.files += sent.length;
  const looking = setInterval(() => {
    worst.megabytes = Math.max(worst.megabytes, memoryOf(pid));
  }, 50);
  await answered.edit(server);
  await page(server, "/rates");
  await Promise.all(sent);
  clearInterval(looking);
  return server;
}

const takeDown = await setup();
let server = await demoServer();
const { plan } = await planOf(server);
const answered = new Answered(plan.tasks.map(({ id }) => id));
console.log(`Seed ${seed}, ${seconds} s`);
const harms = [kill, stopUnderLoad, damage, connections, files];
await refuse(new Answered(plan.tasks.map(({ id }) => id)));
for (let round = 0; !isOver(); round++) {
  const harm = round < harms.length ? harms[round] : random.pick(harms);
  server = await harm(server, answered);
  if (/(\n|\\n)\s+at .*:\d+:\d+/.test(server.said())) {
    counts.traces++;
    if (process.env.HARM_LOG) console.log(server.said());
  }
}
await server.stop();
server = await startServer(server.folder);
await answered.check(server, "the end");
await server.stop();
rmSync(server.folder, { recursive: true });
await takeDown();

console.log(
  [
    `${counts.kills} kills, ${counts.stops} stops under load, ${counts.folders} damaged folders, ${counts.refusedStarts} refused starts`,
    `${counts.connections} broken connections, ${counts.files} abandoned hostile files`,
    `${counts.answered} answered edits, ${counts.lost} lost; ${counts.traces} rounds with a stack trace in the log`,
    `slowest page ${Math.round(worst.page)} ms, slowest edit ${Math.round(worst.edit)} ms, longest stop ${Math.round(worst.stop)} ms, most memory ${Math.round(worst.megabytes)} MB`,
  ].join("\n"),
);
for (const problem of problems) console.log(`PROBLEM ${problem}`);
process.exit(problems.length + counts.lost > 0 ? 1 : 0);

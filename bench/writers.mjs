// Edits a second and their slowest hundredth with fifty writers on the demo plan: by themselves, while five hundred pages
// are asked for at once, and while a file is read that takes all the time a file may. A former commit's folder is measured
// next to it, by the same requests.
import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { planServer } from "./planServer.mjs";

const WRITERS = 50;
const ROUNDS = 8;
const PAGES = 500;

// It never comes, and the person who looks for it looks for as long as they are let.
const endless =
  "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTART;VALUE=DATE:20270201\r\nRRULE:FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30\r\nSUMMARY:Away\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";

function poster({ url, folder }) {
  const path = join(folder, "token");
  const token = existsSync(path) ? readFileSync(path, "utf8") : "";
  return (address, body) =>
    fetch(`${url}${address}`, { method: "POST", body, headers: { "content-type": "application/json", "x-roster-token": token } });
}

/** Each writer changes a task of its own, one edit after the other. */
async function write(server) {
  const post = poster(server);
  const { plan, revision } = await (await fetch(`${server.url}/api/plan`)).json();
  const times = [];
  const start = performance.now();
  const writer = async (number) => {
    let base = revision;
    for (let round = 0; round < ROUNDS; round++) {
      const edit = { kind: "changeTask", id: plan.tasks[number].id, set: { name: `Writer ${number}, ${round}` } };
      const began = performance.now();
      const answer = await (await post("/api/edits", JSON.stringify({ base, request: { kind: "edit", edit } }))).json();
      times.push(performance.now() - began);
      if (answer.faults.length > 0) throw new Error(answer.faults[0].message);
      base = answer.revision;
    }
  };
  await Promise.all(Array.from({ length: WRITERS }, (_, number) => writer(number)));
  const seconds = (performance.now() - start) / 1000;
  times.sort((a, b) => a - b);
  return { aSecond: times.length / seconds, slowest: times[Math.floor(times.length * 0.99)] };
}

/** One edit now and then, while something else goes on: the slowest of them. */
async function editsBeside(server, work) {
  const post = poster(server);
  let base = (await (await fetch(`${server.url}/api/plan`)).json()).revision;
  let isOver = false;
  const done = work(post).finally(() => {
    isOver = true;
  });
  const times = [];
  for (let round = 0; !isOver && round < 200; round++) {
    const edit = { kind: "changeTask", id: "tidepool-order", set: { name: `Beside ${round}` } };
    const began = performance.now();
    base = (await (await post("/api/edits", JSON.stringify({ base, request: { kind: "edit", edit } }))).json()).revision;
    times.push(performance.now() - began);
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  await done;
  times.sort((a, b) => a - b);
  return times[Math.floor(times.length * 0.99)] ?? 0;
}

const SECONDS = 20;

/** As many windows as writers, each of which hears of every edit and makes one a second: how long after it was made an
 * edit is heard of, and how much of a core the server takes. */
async function windows(server) {
  const post = poster(server);
  const { plan, revision } = await (await fetch(`${server.url}/api/plan`)).json();
  const made = new Map();
  const heard = new Map();
  const leaving = new AbortController();
  const listeners = Array.from({ length: WRITERS }, () => listen(`${server.url}/api/events?since=${revision}`, leaving.signal, heard));
  const [before, start] = [cpuSeconds(server.pid), performance.now()];
  const writer = async (number) => {
    let base = revision;
    await new Promise((resolve) => setTimeout(resolve, number * (1000 / WRITERS)));
    for (let second = 0; second < SECONDS; second++) {
      const edit = { kind: "changeTask", id: plan.tasks[number].id, set: { name: `Window ${number}, ${second}` } };
      const began = performance.now();
      base = (await (await post("/api/edits", JSON.stringify({ base, request: { kind: "edit", edit } }))).json()).revision;
      made.set(base, began);
      await new Promise((resolve) => setTimeout(resolve, Math.max(0, 1000 - (performance.now() - began))));
    }
  };
  await Promise.all(Array.from({ length: WRITERS }, (_, number) => writer(number)));
  const seconds = (performance.now() - start) / 1000;
  const cores = (cpuSeconds(server.pid) - before) / seconds;
  await new Promise((resolve) => setTimeout(resolve, 1_000));
  leaving.abort();
  await Promise.allSettled(listeners);
  const delays = [...made].flatMap(([own, began]) => (heard.get(own) ?? []).map((at) => at - began)).sort((a, b) => a - b);
  const missed = made.size * WRITERS - delays.length;
  if (missed > 0) throw new Error(`${missed} edits were not heard of`);
  return { slowest: delays[Math.floor(delays.length * 0.99)], share: cores * 100, aSecond: made.size / seconds };
}

/** Notes when each revision was heard of. */
async function listen(url, signal, heard) {
  const { body } = await fetch(url, { signal });
  const text = new TextDecoder();
  let rest = "";
  for await (const bytes of body) {
    const lines = (rest + text.decode(bytes, { stream: true })).split("\n");
    rest = lines.pop();
    for (const line of lines) {
      if (!line.startsWith("data: {")) continue;
      const at = performance.now();
      for (const { revision } of JSON.parse(line.slice(6)).entries ?? []) heard.set(revision, [...(heard.get(revision) ?? []), at]);
    }
  }
}

/** The time that a process has computed, where the system reports it. */
function cpuSeconds(pid) {
  const path = `/proc/${pid}/stat`;
  if (!existsSync(path)) return Number.NaN;
  const [user, system] = readFileSync(path, "utf8").split(") ")[1].split(" ").slice(11, 13).map(Number);
  return (user + system) / 100;
}

const folders = [process.cwd(), ...process.argv.slice(2)];
const print = (name, value) => console.log(`  ${name.padEnd(44)} ${value.toFixed(0).padStart(8)}`);
for (const [at, folder] of folders.entries()) {
  console.log(`\n${WRITERS} writers on the demo plan, ${folder}`);
  const server = await planServer(folder, 3195 + at, false);
  try {
    await write(server);
    const { aSecond, slowest } = await write(server);
    print("edits a second", aSecond);
    print("an edit, slowest hundredth, ms", slowest);
    const { slowest: latest, share, aSecond: madeASecond } = await windows(server);
    print(`edits a second, ${WRITERS} windows with one each`, madeASecond);
    print("… heard of by every window, slowest hundredth, ms", latest);
    print("… of a core that the server takes, %", share);
    const pages = () => Promise.all(Array.from({ length: PAGES }, () => fetch(`${server.url}/balance`).then((page) => page.text())));
    print(`… while ${PAGES} pages are asked for`, await editsBeside(server, pages));
    const file = (post) =>
      Promise.race([
        post("/api/tables?name=a.ics", endless).then((answer) => answer.text()),
        new Promise((resolve) => setTimeout(resolve, 8_000)),
      ]);
    print("… while the worst file is read", await editsBeside(server, file));
  } finally {
    await server.stop();
  }
}

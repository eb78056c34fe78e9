// The routes by HTTP alone: what they give, what they refuse and in which words; screens under addresses nobody meant.
import { request } from "node:http";
import readXlsxFile from "read-excel-file/node";
import type { EvenOutNews } from "../client/searches.ts";
import { parseDay } from "../core/calendar/day.ts";
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { feedPath, postTo, type Server } from "./server.ts";

let server: Server;
test.beforeEach(({ server: own }) => {
  server = own;
});

async function get(path: string): Promise<{ status: number; type: string; text: string }> {
  const response = await fetch(`${server.url}${path}`);
  return { status: response.status, type: response.headers.get("content-type") ?? "", text: await response.text() };
}

async function post(path: string, body: string | Uint8Array<ArrayBuffer>): Promise<{ status: number; text: string }> {
  const response = await postTo(server, path, body);
  return { status: response.status, text: await response.text() };
}

const window = "from=2027-02-15&to=2027-02-28&by=week";

test("the board is exported as it is asked for: rows, measure, filters and order of the address", async () => {
  const { type, text } = await get(`/api/board?${window}&rows=none&sort=name&show=load`);
  expect(type).toContain("text/csv");
  const [head, ...rows] = text.trim().split("\r\n");
  expect(head).toContain("2027-02-15,2027-02-22");
  expect(rows).toHaveLength(29);
  const names = rows.map((row) => row.split(",")[0].replaceAll('"', ""));
  expect(names).toEqual([...names].sort((a, b) => a.localeCompare(b)));
  const mara = rows.find((row) => row.startsWith("Mara Ellingsen")) ?? "";
  expect(mara).toContain("59.2");
  const conservators = await get(`/api/board?${window}&rows=none&show=capacity&role=conservator`);
  expect(conservators.text.trim().split("\r\n").length).toBeLessThan(8);
  expect(conservators.text).toContain(",40");
});

test("the board as a workbook is a zip, and no other form is known", async () => {
  const response = await fetch(`${server.url}/api/board?${window}&format=xlsx`);
  const bytes = new Uint8Array(await response.arrayBuffer());
  expect([...bytes.subarray(0, 2)]).toEqual([0x50, 0x4b]);
  const other = await get("/api/board?format=pdf");
  expect(other.status).toBe(400);
  expect(other.text).toContain('This table comes as \\"csv\\" or \\"xlsx\\".');
});

test("money is exported as it is asked for, adds up in the file, and no other form is known", async () => {
  const { type, text } = await get("/api/money?group=client&show=revenue&per=quarter&span=plan");
  expect(type).toContain("text/csv");
  const rows = text
    .trim()
    .split("\r\n")
    .map((row) => row.split(","));
  expect(rows[0].slice(0, 4)).toEqual([
    "Revenue in EUR by client: 1 Oct 2026 – 31 Mar 2028",
    "Pipeline in full",
    "2026-10-01",
    "2027-01-01",
  ]);
  const cents = (cells: readonly string[]) => cells.slice(2).map((cell) => Math.round(Number(cell) * 100));
  const clients = rows.slice(1, -1).map(cents);
  const all = cents(rows[rows.length - 1]);
  all.forEach((total, at) => {
    expect(clients.reduce((sum, own) => sum + own[at], 0)).toBe(total);
  });
  expect(all.slice(0, -1).reduce((sum, own) => sum + own, 0)).toBe(all[all.length - 1]);
  expect((await get("/api/money?format=pdf")).status).toBe(400);
  const cash = await fetch(`${server.url}/api/money?table=cash-flow&show=revenue&group=client&span=plan`);
  expect(cash.headers.get("content-disposition")).toContain('"cash-flow-1-oct-2026-31-mar-2028.csv"');
  expect((await cash.text()).split(",")[0]).toBe("Cost in EUR by kind of cost: 1 Oct 2026 – 31 Mar 2028");
  const workbook = await fetch(`${server.url}/api/money?table=cash-flow&of=project:tidepool&span=plan&per=month&format=xlsx`);
  expect(workbook.headers.get("content-disposition")).toContain('"cash-flow-tidepool-hall-1-oct-2026-31-mar-2028.xlsx"');
  const [{ data }] = await readXlsxFile(Buffer.from(await workbook.arrayBuffer()));
  expect(data[0][0]).toBe("Cost in EUR by kind of cost: Tidepool Hall, 1 Oct 2026 – 31 Mar 2028");
  expect(data[0][2]).toEqual(new Date("2026-10-01T00:00:00Z"));
  expect(data[1].slice(2).every((cell: unknown) => typeof cell === "number")).toBe(true);
  expect((await get("/api/money?group=hats&per=never&of=x:y,z")).status).toBe(200);
});

test("holidays are those of the country, its region and the years, and what makes no sense is said", async () => {
  const bavaria = JSON.parse((await get("/api/holidays?country=DE&region=BY&from=2027&to=2027")).text);
  const plain = JSON.parse((await get("/api/holidays?country=DE&from=2027&to=2027")).text);
  const dates = (answer: { holidays: { from: string }[] }) => answer.holidays.map(({ from }) => from);
  expect(dates(bavaria)).toContain("2027-01-06");
  expect(dates(plain)).not.toContain("2027-01-06");
  expect(dates(plain)).toContain("2027-10-03");
  for (const [query, says] of [
    ["country=DE&region=ZZ&from=2027&to=2027", 'There is no region \\"ZZ\\" in this country.'],
    ["country=DE&from=2028&to=2027", "The last year must not be before the first"],
    ["country=DE&from=1950&to=2150", "30 years at most"],
    ["country=DE&from=soon&to=2027", "Years are whole numbers from 1950 to 2150."],
  ] as const) {
    const { status, text } = await get(`/api/holidays?${query}`);
    expect([status, text.includes(says)], text).toEqual([400, true]);
  }
});

test("a feed has the events of the person or team it is asked for, and ids that there are not are not found", async () => {
  const mara = await get(await feedPath(server, "people", "mara"));
  expect(mara.type).toContain("text/calendar");
  expect(mara.text).toMatch(/^BEGIN:VCALENDAR\r\n/);
  expect(mara.text).toContain("SUMMARY:Tidepool Hall: Rock pool trial casts");
  const all = await get(await feedPath(server, "leave", "all"));
  const workshop = await get(await feedPath(server, "leave", "workshop"));
  const events = (text: string) => text.split("BEGIN:VEVENT").length - 1;
  expect(events(workshop.text)).toBeGreaterThan(0);
  expect(events(all.text)).toBeGreaterThan(events(workshop.text));
  for (const path of [
    "people/mara.ics",
    "people/mara/guess.ics",
    "people/%25E0%25A4%25A/x.ics",
    "leave/%2525/x.ics",
    "people/..%2F..%2Fetc/x.ics",
  ])
    expect((await get(`/api/feeds/${path}`)).status, path).toBe(404);
  expect((await get("/api/feeds/address?kind=people&id=nobody")).status).toBe(404);
  expect((await get("/api/feeds/address?kind=__proto__&id=mara")).status).toBe(404);
  // An address that has come into the wrong hands is made again, and the former one ends.
  const former = await feedPath(server, "people", "mara");
  expect((await post("/api/feeds/address", "{}")).status).toBe(200);
  expect((await get(former)).text).toContain("is not the address of a feed");
  expect((await get(await feedPath(server, "people", "mara"))).status).toBe(200);
});

test("files to be read say in words why they cannot be", async () => {
  for (const [body, status, says] of [
    ["", 422, "This file is empty."],
    ['a,b\n1,"open', 422, "Look at the quotes"],
    ["x".repeat(20_000_001), 413, "larger than 20 MB"],
  ] as const) {
    const answer = await post("/api/tables?name=people.csv", body);
    expect(answer.status).toBe(status);
    expect(answer.text).toContain(says);
  }
  const rows = await post("/api/tables/csv", JSON.stringify({ rows: [["name"], ["=1+1"], ["Mara, Ellingsen"]] }));
  expect(rows.text).toContain("'=1+1");
  expect(rows.text).toContain('"Mara, Ellingsen"');
  expect((await post("/api/tables/csv", "[[1]]")).text).toContain("Send rows of text.");
  expect((await post("/api/tables/csv", "{")).text).toContain("This is not JSON.");
});

test("nobody writes in another one's name, not even among other edits", async () => {
  const { revision } = JSON.parse((await get("/api/plan")).text);
  const comment = { id: "c1", taskId: "tidepool-cases", author: "Someone Else", at: "2027-02-01T09:00:00Z", text: "I agree" };
  const single = { kind: "addComment", comment };
  for (const edit of [single, { kind: "together", words: "several", edits: [single] }]) {
    const answer = await post("/api/edits", JSON.stringify({ base: revision, request: { kind: "edit", edit, key: `k-${edit.kind}` } }));
    expect(answer.status, answer.text).toBe(409);
    expect(answer.text).toContain("only in your own name");
  }
  expect(JSON.parse((await get("/api/plan")).text).revision).toBe(revision);
});

test("screens answer addresses nobody meant with what they have, never with an error", async () => {
  const odd = "from=soon&to=2027-99-99&by=eon&cell=mara@x_y&open=,nobody,&rows=hats&show=%00&sort=%F0%9F%90%A2&role=none";
  for (const path of [
    `/balance?${odd}`,
    `/work?${odd}&group=moon&stage=%3Cscript%3E`,
    `/work/tidepool?${odd}&task=gone&columns=who,hats`,
    `/openings?${odd}&opening=gone`,
    `/openings/requests?${odd}&request=gone`,
    `/people?${odd}&person=gone`,
    `/people/person/mara?${odd}&part=week:99`,
    `/people/leave?${odd}&request=a:b:c`,
    `/people/calendars?${odd}&calendar=gone`,
    `/people/teams?${odd}&team=gone`,
    `/rates?${odd}&table=gone`,
    `/money?${odd}&cost=hats`,
  ]) {
    const { status, text } = await get(path);
    expect(status, path).toBe(200);
    expect(text, path).toContain("Mindful");
    expect(text, path).not.toContain("<script>alert");
  }
});

test("an address or a method that nobody can mean is refused, never with an error of the server", async () => {
  const { hostname, port } = new URL(server.url);
  const asked = (method: string, path: string) =>
    new Promise<{ status: number; text: string }>((resolve, reject) => {
      const sent = request({ hostname, port, method, path }, (answer) => {
        let text = "";
        answer.on("data", (chunk) => {
          text += chunk;
        });
        answer.on("end", () => resolve({ status: answer.statusCode ?? 0, text }));
      });
      sent.on("error", reject).end();
    });
  for (const path of ["/%", "/work/%ff", "/people/person/%E0%A4%A", "/api/feeds/people/%ff/x.ics", "/balance?from=%ff"]) {
    const { status, text } = await asked("GET", path);
    expect(status, path).toBe(400);
    expect(text, path).toMatch(/^This address is not written correctly/);
  }
  for (const method of ["TRACE", "PUT", "DELETE", "PATCH", "OPTIONS"])
    expect(await asked(method, "/api/plan"), method).toEqual({ status: 405, text: `${method} is not used here.` });
  expect((await asked("GET", `/balance?${"x".repeat(9_000)}`)).status).toBe(414);
});

test("what goes to a browser of this machine is not packed; through a proxy it is", async () => {
  const packingOf = async (headers: Record<string, string>) => {
    const response = await fetch(`${server.url}/api/plan`, { headers: { "accept-encoding": "gzip", ...headers } });
    expect((await response.json()).plan.people).toHaveLength(29);
    return response.headers.get("content-encoding");
  };
  expect(await packingOf({})).toBeNull();
  expect(await packingOf({ "x-forwarded-for": "203.0.113.9" })).toBe("gzip");
});

test("a project or person that is not there says so, with a way back", async () => {
  for (const path of ["/work/none", "/people/person/none"]) {
    const { text } = await get(path);
    expect(text, path).toMatch(/There is (no|nobody)|not in the plan|no longer/);
  }
  expect((await get("/hats")).status).toBe(404);
});

test("ids with spaces, signs and slashes are found under their addresses", async () => {
  const text = await (await fetch(`${server.url}/api/plan/file`)).text();
  const [project, person] = ["tide pool/50% ü", "mara & co/100%"];
  const odd = text.replaceAll('"tidepool"', JSON.stringify(project)).replaceAll('"mara"', JSON.stringify(person));
  const replaced = await postTo(server, "/api/plan/file?replace=yes", odd);
  expect(replaced.status, await replaced.text()).toBe(200);
  const read = async (path: string) => (await fetch(`${server.url}${path}`)).text();
  expect(await read(`/work/${encodeURIComponent(project)}`)).toContain("Rock pool trial casts");
  expect(await read(`/people/person/${encodeURIComponent(person)}`)).toContain("Mara Ellingsen");
  expect(await read(await feedPath(server, "people", person))).toContain("Tidepool Hall: Rock pool trial casts");
});

test("the plan is evened out on the server: lines as they are found, and only for a question that makes sense", async () => {
  const asked = {
    window: { start: parseDay("2027-02-01"), stop: parseDay("2027-04-01") },
    kinds: ["give", "handOver", "share", "delay"],
    scope: { roleId: "lighting" },
    mostDelayDays: 20,
    isPencilledOnly: false,
    leastMinutes: 60,
    today: parseDay("2027-01-18"),
    idStem: "even-test",
    seconds: 6,
  };
  const { status, text } = await post("/api/even-out", JSON.stringify(asked));
  expect(status, text).toBe(200);
  const reported = text
    .trim()
    .split("\n")
    .map((line): { news: EvenOutNews; isDone: boolean } => JSON.parse(line));
  expect(reported.map(({ isDone }) => isDone)).toEqual([...reported.slice(1).map(() => false), true]);
  const { before, now, lines, result, ended } = reported[reported.length - 1].news;
  // A better result takes the place of the lines before it.
  const found = reported.flatMap(({ news }) => (news.result === result ? news.found : []));
  expect(ended).not.toBeNull();
  expect(found).toHaveLength(lines);
  expect(lines).toBeGreaterThan(3);
  // Each line says what it removes: together that is what the whole search has removed.
  expect(found.reduce((sum, { effect }) => sum + effect.peakOver, 0)).toBeLessThan(0);
  expect(now).toBeLessThan(before);
  for (const [wrong, says] of [
    [{ ...asked, seconds: 10_000 }, "seconds"],
    [{ ...asked, kinds: ["hire"] }, "kinds"],
    [{ ...asked, more: 1 }, "more"],
  ] as const) {
    const refused = await post("/api/even-out", JSON.stringify(wrong));
    expect(refused.status, says).toBe(400);
    expect(refused.text).toContain(says);
  }
  expect((await post("/api/even-out", "{")).status).toBe(400);
});

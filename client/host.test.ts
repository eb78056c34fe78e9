import { expect, test } from "vitest";
import type { Board } from "../core/answers/board.ts";
import { parseDay } from "../core/calendar/day.ts";
import { applyChanges, invert } from "../core/edits/change.ts";
import { applyEdit, type Edit } from "../core/edits/edit.ts";
import type { Plan } from "../core/plan/schema.ts";
import { fernhollow } from "../demo/fernhollow.ts";
import { randomFrom } from "../demo/random.ts";
import { type HostState, type Keep, type Notice, PlanHost } from "./host.ts";
import type { KeptEdit } from "./keptEdit.ts";
import type { Settle, Settled } from "./messages.ts";

const textOf = (notice: Notice | undefined) => (notice && "text" in notice ? notice.text : undefined);
const give = (id: string, personId: string): Edit => ({ kind: "reassign", id, personId });

/** A server in memory that can be made to refuse, to stop answering, and to take another user's edit. */
class FakeServer {
  plan: Plan = fernhollow();
  revision = 1;
  entries: { revision: number; words: string; changes: NonNullable<Settled["entries"]>[number]["changes"] }[] = [];
  isDown = false;
  isUnreadable = false;
  /** It has forgotten what came before: the next answer asks to read the plan again, and then it is down. */
  isDownNext = false;
  refusesNext = false;
  overtakesNext: Settled["editConflicts"] | null = null;
  settled: Settle[] = [];
  asked: Settle[] = [];
  /** Keys of edits that were made. */
  known = new Set<string | undefined>();
  kept: KeptEdit[] = [];
  states: HostState[] = [];
  notices: Notice[] = [];
  waits: (() => void)[] = [];

  take(edit: Edit): void {
    const outcome = applyEdit(this.plan, edit);
    if (!outcome.plan) throw new Error("the test's edit fits the plan");
    this.plan = outcome.plan;
    this.entries.push({ revision: ++this.revision, words: outcome.words, changes: outcome.changes });
  }

  answer(base: number, message?: string): Settled {
    const history = { undo: this.entries.at(-1) ?? null, redo: null };
    return {
      revision: this.revision,
      entries: this.entries.filter(({ revision }) => revision > base),
      history,
      faults: message ? [{ place: "", message }] : [],
    };
  }

  host(keep?: Keep): PlanHost {
    return new PlanHost(
      {
        read: async () => {
          if (this.isUnreadable) throw new Error("no answer");
          return { plan: this.plan, revision: this.revision, history: { undo: null, redo: null } };
        },
        settle: async (message) => {
          this.asked.push(message);
          if (this.isDown) throw new Error("no answer");
          this.settled.push(message);
          if (this.refusesNext) {
            this.refusesNext = false;
            return this.answer(message.base, "Someone else has changed this assigody else meanwhile.");
          }
          if (this.overtakesNext) {
            const editConflicts = this.overtakesNext;
            this.overtakesNext = null;
            return { ...this.answer(message.base, "Someone else has changed this assigody else meanwhile."), editConflicts };
          }
          if (message.request.kind === "edit") {
            if (!this.known.has(message.request.key)) this.take(message.request.edit);
            this.known.add(message.request.key);
            if (this.isDownNext) {
              this.isDown = true;
              this.isUnreadable = true;
              return { ...this.answer(message.base), entries: null };
            }
          } else {
            const last = this.entries.at(-1);
            if (!last) throw new Error("nothing to undo");
            this.plan = applyChanges(this.plan, invert(last.changes));
            this.entries.push({ revision: ++this.revision, words: last.words, changes: invert(last.changes) });
          }
          return this.answer(message.base);
        },
        wait: () => new Promise((resolve) => this.waits.push(resolve)),
      },
      keep ?? {
        load: async () => this.kept,
        add: async (edits) => {
          this.kept = [...this.kept, ...edits];
        },
        setAside: async (key, editConflicts) => {
          this.kept = this.kept.map((own) => (own.key === key ? { ...own, editConflicts } : own));
        },
        remove: async (key) => {
          this.kept = this.kept.filter((own) => own.key !== key);
        },
      },
      (state, notice) => {
        this.states.push(state);
        if (notice) this.notices.push(notice);
      },
    );
  }

  async untilSettled(): Promise<void> {
    for (let turn = 0; turn < 50 && (this.states.at(-1)?.unsettled ?? 0) > 0; turn++)
      await new Promise((resolve) => setTimeout(resolve, 5));
  }
}

function holderOf(host: PlanHost, id: string): string | null {
  return host.ask("recipients", { assignmentId: id }).data?.holderId ?? null;
}

test("an edit shows at once, before the server has answered, and is settled after", async () => {
  const server = new FakeServer();
  const host = server.host();
  await host.start();
  const made = host.edit(give("rockpools-mara", "rui"));
  expect(holderOf(host, "rockpools-mara")).toBe("rui");
  expect(server.settled).toHaveLength(0);
  await made;
  await server.untilSettled();
  expect(server.plan.assignments.find(({ id }) => id === "rockpools-mara")?.personId).toBe("rui");
  expect(server.states.at(-1)).toMatchObject({ revision: 2, unsettled: 0, isOffline: false });
  expect(server.kept).toEqual([]);
});

test("an edit the server refuses is put back, with the reason, and later ones stay", async () => {
  const server = new FakeServer();
  const host = server.host();
  await host.start();
  server.refusesNext = true;
  await host.edit(give("rockpools-mara", "rui"));
  await host.edit(give("rockpools-jonas", "kaspar"));
  await server.untilSettled();
  expect(holderOf(host, "rockpools-mara")).toBe("mara");
  expect(holderOf(host, "rockpools-jonas")).toBe("kaspar");
  expect(server.notices.map(textOf)).toEqual(["Reverted: Someone else has changed this assigody else meanwhile."]);
});

test("an edit that cannot be is refused here, and nothing is sent", async () => {
  const server = new FakeServer();
  const host = server.host();
  await host.start();
  expect((await host.edit(give("gone", "rui")))[0].message).toMatch(/no longer in the plan/);
  expect(server.settled).toEqual([]);
});

test("with the server stopped edits are kept and sent when it answers again", async () => {
  const server = new FakeServer();
  const host = server.host();
  await host.start();
  server.isDown = true;
  await host.edit(give("rockpools-mara", "rui"));
  await host.edit(give("rockpools-jonas", "kaspar"));
  await expect.poll(() => server.states.at(-1)).toMatchObject({ unsettled: 2, isOffline: true });
  expect(textOf(server.notices.at(-1))).toMatch(/server cannot be reached/);
  expect(server.kept).toHaveLength(2);
  expect(holderOf(host, "rockpools-mara")).toBe("rui");
  server.isDown = false;
  for (const resume of server.waits) resume();
  await server.untilSettled();
  expect(server.plan.assignments.find(({ id }) => id === "rockpools-jonas")?.personId).toBe("kaspar");
  expect(textOf(server.notices.at(-1))).toMatch(/answers again/);
});

test("what was not settled when the window was closed is brought again", async () => {
  const server = new FakeServer();
  server.kept = [{ key: "kept-from-before", edit: give("rockpools-mara", "rui") }];
  const host = server.host();
  await host.start();
  expect(holderOf(host, "rockpools-mara")).toBe("rui");
  await server.untilSettled();
  expect(server.plan.assignments.find(({ id }) => id === "rockpools-mara")?.personId).toBe("rui");
});

test("an edit is sent with the revision it was made on and the edits it was made on top of, also after a reload", async () => {
  const server = new FakeServer();
  server.isDown = true;
  const host = server.host();
  await host.start();
  await host.edit(give("rockpools-mara", "rui"), "the-first-one");
  await host.edit(give("rockpools-mara", "kaspar"), "the-second-one");
  // Someone else goes on meanwhile, and the window is opened again.
  server.take(give("rockpools-jonas", "sade"));
  server.isDown = false;
  const again = server.host();
  await again.start();
  await server.untilSettled();
  expect(server.settled.map(({ request }) => request.kind === "edit" && [request.key, request.madeOn, request.after])).toEqual([
    ["the-first-one", 1, []],
    ["the-second-one", 1, ["the-first-one"]],
  ]);
});

test("an edit that meets what others have done is put back and reported with what each made of it", async () => {
  const server = new FakeServer();
  const host = server.host();
  await host.start();
  const rows = [
    {
      list: "assignments" as const,
      id: "rockpools-mara",
      name: "rockpools-mara",
      cells: [{ field: "personId", saw: "mara", yours: "rui", now: "kaspar" }],
    },
  ];
  server.overtakesNext = rows;
  const edit = give("rockpools-mara", "rui");
  await host.edit(edit);
  await server.untilSettled();
  expect(server.notices.at(-1)).toEqual({ kind: "editConflicts", key: expect.any(String), edit, rows });
  expect(holderOf(host, "rockpools-mara")).toBe("mara");
  // It is kept until a person has chosen, and asked again after a reload; it is not sent by itself.
  const [{ key }] = server.kept;
  server.notices = [];
  const later = server.host();
  await later.start();
  expect(server.notices).toEqual([{ kind: "editConflicts", key, edit, rows }]);
  expect(holderOf(later, "rockpools-mara")).toBe("mara");
  await later.chosen(key);
  expect(server.kept).toEqual([]);
});

test("what others do is shown as it is heard, and says which rows it was", async () => {
  const server = new FakeServer();
  const host = server.host();
  await host.start();
  server.take(give("rockpools-mara", "rui"));
  const answer = server.answer(1);
  await host.hear(answer);
  expect(holderOf(host, "rockpools-mara")).toBe("rui");
  expect(server.notices.at(-1)).toEqual({ kind: "heard", rows: [{ list: "assignments", id: "rockpools-mara" }] });
  const states = server.states.length;
  // Heard twice, as by two ways, it is taken once.
  await host.hear(answer);
  expect(server.states).toHaveLength(states);
});

test("what is heard while one's own edits are answered is taken once, in either order (seeds 1 to 20)", async () => {
  for (let seed = 1; seed <= 20; seed++) {
    const { below } = randomFrom(seed);
    const random = () => below(100) / 100;
    const server = new FakeServer();
    const host = server.host();
    await host.start();
    const said: Promise<unknown>[] = [];
    for (let at = 0; at < 12; at++) {
      const task = { id: `made-${seed}-${at}`, projectId: "tidepool", name: `Made ${at}` };
      if (random() < 0.5) said.push(host.edit({ kind: "addTask", task, next: null }));
      else server.take({ kind: "addTask", task, next: null });
      // The stream brings one's own entries too, before or after their answers, and some of it twice.
      if (random() < 0.7) said.push(host.hear(server.answer(1)));
      if (random() < 0.3) await new Promise((resolve) => setTimeout(resolve));
    }
    await Promise.all(said);
    await server.untilSettled();
    await host.hear(server.answer(1));
    const shown = host.ask("outline", { projectId: "tidepool" }).data?.tasks.map(({ task }) => task.id);
    const there = server.plan.tasks.filter(({ projectId }) => projectId === "tidepool").map(({ id }) => id);
    expect([...(shown ?? [])].sort(), `seed ${seed}`).toEqual(there.sort());
  }
});

test("an edit made in the moment the page was left is brought again, once", async () => {
  const server = new FakeServer();
  const both = { key: "kept-and-just-made", edit: give("rockpools-mara", "rui") };
  server.kept = [both];
  const host = server.host();
  await host.start([both, { key: "just-made", edit: give("rockpools-jonas", "kaspar") }]);
  await server.untilSettled();
  expect(server.settled.map(({ request }) => request.kind === "edit" && request.key)).toEqual(["kept-and-just-made", "just-made"]);
  expect(server.kept).toEqual([]);
});

test("an edit that had been made before the page was left is no alarm: the server knows it, and it is there once", async () => {
  const server = new FakeServer();
  const edit: Edit = { kind: "addTask", task: { id: "made", projectId: "tidepool", name: "Made" }, next: null };
  server.take(edit);
  server.known.add("made-already");
  server.kept = [{ key: "made-already", edit }];
  const host = server.host();
  await host.start();
  await server.untilSettled();
  expect(server.notices).toEqual([]);
  expect(server.kept).toEqual([]);
  expect(host.ask("taskOf", { taskId: "made" }).data?.name).toBe("Made");
  expect(server.plan.tasks.filter(({ id }) => id === "made")).toHaveLength(1);
});

test("a window that settles its edits leaves those of another window kept", async () => {
  const server = new FakeServer();
  const host = server.host();
  await host.start();
  server.kept = [{ key: "of-another-window", edit: give("rockpools-jonas", "kaspar") }];
  await host.edit(give("rockpools-mara", "rui"));
  await server.untilSettled();
  expect(server.kept.map(({ key }) => key)).toEqual(["of-another-window"]);
});

test("what someone else did meanwhile comes with the next answer", async () => {
  const server = new FakeServer();
  const host = server.host();
  await host.start();
  server.take(give("demo-ines", "teo"));
  await host.edit(give("rockpools-mara", "rui"));
  await server.untilSettled();
  expect(holderOf(host, "demo-ines")).toBe("teo");
  expect(holderOf(host, "rockpools-mara")).toBe("rui");
  expect(server.states.at(-1)?.revision).toBe(3);
});

test("undo takes the last edit back and says what it undid", async () => {
  const server = new FakeServer();
  const host = server.host();
  await host.start();
  await host.edit(give("rockpools-mara", "rui"));
  await host.step({ kind: "undo" });
  expect(holderOf(host, "rockpools-mara")).toBe("mara");
  expect(textOf(server.notices.at(-1))).toBe('Undone: reassign "Rock pool trial casts" to Rui Monteverde');
});

test("a preview answers as if the edit were made, and makes nothing", async () => {
  const server = new FakeServer();
  const host = server.host();
  await host.start();
  const range = { start: 20_857, stop: 20_885 };
  const query = { range, grain: "week" as const, ids: ["rui"] };
  const before = host.ask("loads", query).data.load.reduce((sum, minutes) => sum + minutes, 0);
  const after = host.preview(give("rockpools-mara", "rui"), "loads", query).data?.load.reduce((sum, minutes) => sum + minutes, 0) ?? 0;
  expect(after - before).toBe(3_600);
  expect(host.ask("loads", query).data.load.reduce((sum, minutes) => sum + minutes, 0)).toBe(before);
  expect(host.preview(give("gone", "rui"), "loads", query).faults).toHaveLength(1);
});

test("an undo asked for before the edit has even been sent waits for it, and takes it back", async () => {
  const server = new FakeServer();
  const host = server.host();
  await host.start();
  const before = JSON.stringify(server.plan.assignments);
  const made = host.edit(give("rockpools-mara", "rui"));
  const undone = host.step({ kind: "undo" });
  await Promise.all([made, undone]);
  expect(server.settled.map(({ request }) => request.kind)).toEqual(["edit", "undo"]);
  expect(JSON.stringify(server.plan.assignments)).toBe(before);
  expect(server.notices.at(-1)).toMatchObject({ kind: "done" });
});

test("undos asked for all at once are made one after the other", async () => {
  const server = new FakeServer();
  const host = server.host();
  await host.start();
  await host.edit(give("rockpools-mara", "rui"));
  await host.edit(give("rockpools-jonas", "rui"));
  await server.untilSettled();
  await Promise.all([host.step({ kind: "undo" }), host.step({ kind: "undo" })]);
  expect(server.settled.map(({ request, base }) => [request.kind, base])).toEqual([
    ["edit", 1],
    ["edit", 2],
    ["undo", 3],
    ["undo", 4],
  ]);
});

test("a browser that keeps nothing says so once, and what is made is sent all the same", async () => {
  const server = new FakeServer();
  const host = server.host({
    load: async () => [],
    add: () => Promise.reject(new Error("full")),
    setAside: () => Promise.reject(new Error("full")),
    remove: () => Promise.reject(new Error("full")),
  });
  await host.start();
  await host.edit(give("rockpools-mara", "rui"));
  await host.edit(give("rockpools-jonas", "kaspar"));
  await server.untilSettled();
  expect(server.notices.filter(({ kind }) => kind === "notKept")).toHaveLength(1);
  expect(server.states.at(-1)).toMatchObject({ isKeeping: false, unsettled: 0 });
});

test("an undo whose answer was lost is asked for under the same key, and made once", async () => {
  const server = new FakeServer();
  const host = server.host();
  await host.start();
  await host.edit(give("rockpools-mara", "rui"));
  await server.untilSettled();
  server.isDown = true;
  await host.step({ kind: "undo" });
  expect(textOf(server.notices.at(-1))).toMatch(/^The server does not answer, so nothing was undone/);
  server.isDown = false;
  await host.step({ kind: "undo" });
  const [lost, again] = server.asked.filter(({ request }) => request.kind === "undo");
  expect(again.request).toEqual(lost.request);
  expect(again.request).toMatchObject({ of: 2, key: expect.stringMatching(/.{8,}/) });
});

test("a step that others have changed since is reported with the rows, and with what can still be undone", async () => {
  const server = new FakeServer();
  const host = server.host();
  await host.start();
  await host.edit(give("rockpools-mara", "rui"));
  await server.untilSettled();
  server.overtakesNext = [{ list: "assignments", id: "rockpools-mara", name: "rockpools-mara", cells: [] }];
  await host.step({ kind: "undo" });
  expect(server.notices.at(-1)).toMatchObject({ kind: "changedSince", step: { kind: "undo", of: 2 }, rows: [{ id: "rockpools-mara" }] });
});

test("a plan that has to be read again, and cannot be, is read when the server is back; what was made meanwhile is sent after", async () => {
  const server = new FakeServer();
  const host = server.host();
  await host.start();
  server.take(give("rockpools-jonas", "kaspar"));
  server.isDownNext = true;
  await host.edit(give("rockpools-mara", "rui"));
  while (server.waits.length === 0) await new Promise((resolve) => setTimeout(resolve, 1));
  expect(server.states.at(-1)).toMatchObject({ unsettled: 0, isOffline: true });
  expect(holderOf(host, "rockpools-mara")).toBe("rui");
  await host.edit(give("rockpools-yara", "mara"));
  expect(server.states.at(-1)).toMatchObject({ unsettled: 1, isOffline: true });
  server.isDown = server.isDownNext = server.isUnreadable = false;
  server.waits.shift()?.();
  await server.untilSettled();
  expect(server.states.at(-1)).toMatchObject({ revision: server.revision, unsettled: 0, isOffline: false });
  expect([holderOf(host, "rockpools-mara"), holderOf(host, "rockpools-jonas"), holderOf(host, "rockpools-yara")]).toEqual([
    "rui",
    "kaspar",
    "mara",
  ]);
});

test("a plan that cannot be read at first can be read later, with what was kept sent once", async () => {
  const server = new FakeServer();
  const kept: KeptEdit = { key: "kept-edit-1", edit: give("rockpools-mara", "rui"), madeOn: 1 };
  server.kept = [kept];
  server.isUnreadable = true;
  const host = server.host();
  await expect(host.start()).rejects.toThrow("no answer");
  server.isUnreadable = false;
  await host.start();
  await server.untilSettled();
  expect(server.settled).toHaveLength(1);
  expect(holderOf(host, "rockpools-mara")).toBe("rui");
});

test("typed hours that follow their task to days on which nobody can work them are named", async () => {
  const server = new FakeServer();
  const { plan } = server;
  const assignments = plan.assignments.map((own) => (own.id === "demo-ines" ? { ...own, customFrom: "2027-02-08" } : own));
  const people = plan.people.map((own) =>
    own.id === "ines"
      ? { ...own, timeOff: [{ id: "away", from: "2027-03-15", to: "2027-03-26", kind: "holiday" as const, state: "approved" as const }] }
      : own,
  );
  server.plan = { ...plan, assignments, people };
  const host = server.host();
  await host.start();
  await host.edit({ kind: "changeTask", id: "slowlight-demo", set: { start: "2027-03-15", finish: "2027-03-19" } });
  const notice = server.notices.find(({ kind }) => kind === "moved");
  expect(notice).toMatchObject({ typed: [{ assignmentId: "demo-ines", who: "Ines Valtonen", minutes: 14 * 60 }] });
});

test("an edit made while the one before is being put away says that it was made on top of it", async () => {
  const server = new FakeServer();
  let second: Promise<unknown> = Promise.resolve();
  const host = server.host({
    load: async () => [],
    add: async () => undefined,
    setAside: async () => undefined,
    // The browser takes a moment to forget an edit that is settled.
    remove: async (key) => {
      if (key === "first-key") second = host.edit(give("rockpools-jonas", "rui"), "second-key");
      await new Promise((resolve) => setTimeout(resolve, 5));
    },
  });
  await host.start();
  await host.edit(give("rockpools-mara", "rui"), "first-key");
  await expect.poll(() => second).toBeDefined();
  await second;
  await server.untilSettled();
  const request = server.settled.map((message) => message.request).find(({ key }) => key === "second-key");
  // Either the revision of the first is known, or the first is named.
  expect(request).toMatchObject({ madeOn: 1, after: ["first-key"] });
});

test("while a sketch is open, screens show it, what is changed is recorded in it, and closed the plan is as it was", async () => {
  const server = new FakeServer();
  const sketch = { id: "try", name: "Try", by: "Nora Okafor", at: "2027-02-01T09:00:00.000Z", edits: [] };
  server.take({ kind: "addSketch", sketch });
  const host = server.host();
  await host.start();
  const holder = () => host.ask("recipients", { assignmentId: "rockpools-mara" }).data?.holderId;
  const before = host.ask("money", {
    range: { start: 20_500, stop: 21_000 },
    grain: "month",
    by: "project",
    kind: "all",
    measure: "cost",
    within: [],
    pipeline: "full",
  });
  host.openSketch("try");
  expect(server.states.at(-1)?.sketchId).toBe("try");
  expect(await host.edit(give("rockpools-mara", "rui"))).toEqual([]);
  // An impossible edit is refused there, too, and not recorded.
  expect((await host.edit(give("rockpools-mara", "nobody"))).length).toBeGreaterThan(0);
  await server.untilSettled();
  expect(holder()).toBe("rui");
  const month = { range: { start: parseDay("2027-02-01"), stop: parseDay("2027-03-01") }, grain: "month" as const, open: ["mara"] };
  const bars = ({ bars: of }: Board) => of.mara.map(({ assignmentId }) => assignmentId);
  expect(bars(host.ask("board", month).data)).not.toContain("rockpools-mara");
  expect(bars(host.ask("plannedBoard", month).data.board)).toContain("rockpools-mara");
  expect(server.plan.assignments.find(({ id }) => id === "rockpools-mara")?.personId).toBe("mara");
  expect(server.plan.sketches.find(({ id }) => id === "try")?.edits.map(({ words }) => words)).toEqual([
    expect.stringContaining("Rui Monteverde"),
  ]);
  // Edits of the plan's own book-keeping are made in the plan.
  await host.edit({ kind: "renameSketch", id: "try", name: "Tried" });
  await server.untilSettled();
  expect(server.plan.sketches.find(({ id }) => id === "try")).toMatchObject({ name: "Tried", edits: [{}] });
  host.openSketch(null);
  expect(holder()).toBe("mara");
  const { range } = { range: { start: 20_500, stop: 21_000 } };
  expect(
    host.ask("money", { range, grain: "month", by: "project", kind: "all", measure: "cost", within: [], pipeline: "full" }).data,
  ).toEqual(before.data);
  // A sketch that no longer exists shows the plan.
  host.openSketch("gone");
  expect(holder()).toBe("mara");
});

test("a window that begins with a sketch shows it from the first it reports", async () => {
  const server = new FakeServer();
  server.take(give("rockpools-mara", "rui"));
  server.take({
    kind: "addSketch",
    sketch: { id: "back", name: "Back to Mara", by: "Nora Okafor", at: "2027-02-01T09:00:00.000Z", edits: [] },
  });
  const entry = { id: "back-1", words: "give it back", edit: { ...give("rockpools-mara", "mara") } };
  server.take({ kind: "drawInSketch", id: "back", entry });
  const host = server.host();
  await host.start([], "back");
  expect(server.states.map(({ version, sketchId }) => ({ version, sketchId }))).toEqual([{ version: 1, sketchId: "back" }]);
  expect(host.ask("recipients", { assignmentId: "rockpools-mara" }).data?.holderId).toBe("mara");
  host.openSketch("back");
  expect(server.states).toHaveLength(1);
  host.openSketch(null);
  expect(host.ask("recipients", { assignmentId: "rockpools-mara" }).data?.holderId).toBe("rui");
});

// A small project that takes its past from what people record.
import { expect } from "./expect.ts";
import { planOf, postJson } from "./planRoute.ts";
import type { Server } from "./server.ts";

/** A tracked project with one task of five days and 20 hours of Mara's, which was to begin the week before the status date, and
 * one of two days that follows it. */
export async function addTracked(server: Server): Promise<void> {
  const { revision, plan } = await planOf(server);
  const { calendars } = plan as unknown as { calendars: { id: string }[] };
  const edit = {
    kind: "addProject",
    project: {
      id: "loan",
      name: "Loan crates",
      calendarId: calendars[0].id,
      stage: "active",
      start: "2027-01-25",
      tracking: "recorded",
      costTableId: "studio-cost",
    },
    tasks: [
      { id: "crates", projectId: "loan", name: "Build crates", sizing: "duration", durationDays: 5 },
      { id: "ship", projectId: "loan", name: "Ship crates", sizing: "duration", durationDays: 2 },
    ],
    links: [{ id: "crates-ship", from: "crates", to: "ship", kind: "FS" }],
    assignments: [{ id: "crates-mara", taskId: "crates", personId: "mara", hours: 20 }],
  };
  expect((await postJson(server, "/api/edits", { base: revision, request: { kind: "edit", edit } })).json.faults).toEqual([]);
}

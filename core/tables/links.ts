// The table of links: a row each, from one task to another.
import type { Link } from "../plan/schema.ts";
import { numberCell, numberText, wordCell } from "./cells.ts";
import { taskOf } from "./findTask.ts";
import { type Draft, type ReadOptions, type RowOutcome, refused, type TableKind, type TableRecord } from "./table.ts";

export const linksTable: TableKind = {
  name: "links",
  title: "Links",
  columns: [
    { key: "id", name: "Link id", aliases: ["id", "linkid"] },
    { key: "from", name: "From task", isNeeded: true, aliases: ["from", "predecessor", "vorganger", "antecessora", "eelneja"] },
    { key: "to", name: "To task", isNeeded: true, aliases: ["to", "successor", "nachfolger", "sucessora", "jargneja"] },
    { key: "kind", name: "Link kind", aliases: ["kind", "type", "art", "tipo", "liik"] },
    { key: "lagDays", name: "Lag days", aliases: ["lag", "delay", "abstand", "versatz", "atraso"] },
    { key: "elapsed", name: "Elapsed", aliases: ["calendardays", "kalendertage"] },
  ],
  rows: (plan) =>
    plan.links.map(({ id, from, to, kind, lagDays, elapsed }) => [id, from, to, kind, numberText(lagDays), elapsed ? "yes" : ""]),
  take: takeLink,
};

const kindWords = {
  FS: ["finishtostart", "endestart", "ea"],
  SS: ["starttostart", "startstart"],
  FF: ["finishtofinish", "endeende"],
  SF: ["starttofinish", "startende"],
} as const;
const yesWords = { yes: ["true", "ja", "sim", "jah", "oui", "1", "x"], no: ["false", "nein", "nao", "ei", "non", "0"] } as const;

/** One with a known id, or between the same two tasks, takes the old one's place. Cycles are found when the file is brought in. */
function takeLink(record: TableRecord, draft: Draft, options: ReadOptions, line: number): RowOutcome {
  const [from, to] = [taskOf(record.from ?? "", draft), taskOf(record.to ?? "", draft)];
  const kind = record.kind?.trim() ? wordCell(record.kind, kindWords) : { value: "FS" as const };
  const lag = record.lagDays?.trim() ? numberCell(record.lagDays) : null;
  const elapsed = record.elapsed?.trim() ? wordCell(record.elapsed, yesWords) : { value: "no" as const };
  const reasons = [from, to, kind, lag, elapsed].flatMap((read) => (read && "reason" in read ? [read.reason] : []));
  const about = `${"value" in from ? from.value.name : record.from} → ${"value" in to ? to.value.name : record.to}`;
  if ("reason" in from || "reason" in to || "reason" in kind || (lag && "reason" in lag) || "reason" in elapsed)
    return refused(about, ...reasons);
  if (from.value.id === to.value.id) return refused(about, "A task cannot follow itself.");
  if (lag && Math.abs(lag.value) > 10_000) return refused(about, "A lag is 10,000 days at most.");
  if (elapsed.value === "yes" && lag && !Number.isInteger(lag.value)) return refused(about, "An elapsed lag counts whole calendar days.");
  const stated: Omit<Link, "id"> = {
    from: from.value.id,
    to: to.value.id,
    kind: kind.value,
    ...(lag && { lagDays: lag.value }),
    ...(elapsed.value === "yes" && { elapsed: true }),
  };
  const id = record.id?.trim() ?? "";
  const before =
    id === "" ? draft.all("links").find((link) => link.from === stated.from && link.to === stated.to) : draft.find("links", id);
  const after: Link = { id: before?.id ?? (id === "" ? `${options.idStem}-${line}` : id), ...stated };
  const text = ({ kind: own, lagDays = 0, elapsed: isElapsed }: Omit<Link, "id">) =>
    `${own} ${lagDays} ${isElapsed ? "calendar days" : "days"}`;
  const isSame = before && before.from === after.from && before.to === after.to && text(before) === text(after);
  if (isSame) return { outcome: "leaves", about, says: [] };
  draft.put("links", after);
  return before
    ? { outcome: "changes", about, says: [`${text(before)} → ${text(after)}`] }
    : { outcome: "adds", about, says: [text(after)] };
}

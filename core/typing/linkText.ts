// Links as they are typed: "12", "12 + 2 d", "with 12", "12 SS", "finishes with Order materials − 1 d", "until 7". Days are working
// days, "cd" are calendar days.
import type { Link } from "../plan/schema.ts";

/** The link that a text describes: its predecessor as typed, its kind and its lag. */
export interface LinkText extends Pick<Link, "kind" | "lagDays" | "elapsed"> {
  from: string;
}

const kinds: readonly [words: RegExp, kind: Link["kind"]][] = [
  [/^(?:starts? )?with\s+/i, "SS"],
  [/^finish(?:es)? with\s+/i, "FF"],
  [/^until\s+/i, "SF"],
  [/^after\s+/i, "FS"],
];
const LAG = /\s*([+−–-])\s*(\d+(?:[.,]\d+)?)\s*(cd|calendar days?|d|days?|working days?)?$/i;

const CODED = /^(.+?)\s*(FS|SS|FF|SF)$/i;

/** Reads a typed link. A number at its end is a lag, and two letters are a kind, only when the whole text is no name.
 * @param isKnown Reports whether a task has this name or number. */
export function readLinkText(text: string, isKnown: (from: string) => boolean): LinkText | null {
  const trimmed = text.trim();
  const [words, kind] = kinds.find(([own]) => own.test(trimmed)) ?? [/^/, "FS" as const];
  const from = trimmed.replace(words, "").trim();
  if (from === "") return null;
  if (isKnown(from)) return { from, kind };
  const lag = LAG.exec(from);
  const name = lag ? from.slice(0, lag.index).trim() : from;
  if (isKnown(name)) return { from: name, kind, ...lagOf(lag) };
  const [, coded, code] = CODED.exec(name) ?? [];
  if (coded === undefined || kind !== "FS" || !isKnown(coded)) return null;
  return { from: coded, kind: code.toUpperCase() as Link["kind"], ...lagOf(lag) };
}

function lagOf(lag: RegExpExecArray | null): Pick<Link, "lagDays" | "elapsed"> {
  if (!lag) return {};
  const days = (lag[1] === "+" ? 1 : -1) * Number(lag[2].replace(",", "."));
  return { ...(days !== 0 && { lagDays: days }), ...(/^c/i.test(lag[3] ?? "") && { elapsed: true }) };
}

const written: Record<Link["kind"], string> = { FS: "", SS: "with ", FF: "finishes with ", SF: "until " };

/** A link as it is typed. @param from What it comes from: a row number, or a name. */
export function writeLinkText(from: string, { kind, lagDays = 0, elapsed }: Pick<Link, "kind" | "lagDays" | "elapsed">): string {
  const lag = lagDays === 0 ? "" : ` ${lagDays > 0 ? "+" : "−"} ${Math.abs(lagDays)} ${elapsed ? "cd" : "d"}`;
  return `${written[kind]}${from}${lag}`;
}

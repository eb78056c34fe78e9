// Links as they are typed: "12", "12 + 2 d", "with 12", "finishes with Order materials − 1 d", "until 7". Days are working
// days, "cd" are calendar days.
import type { Link } from "../plan/schema.ts";

/** What a text says of a link: what it comes from, as it was typed, and how. */
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

/** What a typed text says. A number at its end is a lag only where the text as a whole is no name.
 * @param isKnown Says whether something is called so. */
export function readLinkText(text: string, isKnown: (from: string) => boolean): LinkText | null {
  const trimmed = text.trim();
  const [words, kind] = kinds.find(([own]) => own.test(trimmed)) ?? [/^/, "FS" as const];
  const from = trimmed.replace(words, "").trim();
  if (from === "") return null;
  if (isKnown(from)) return { from, kind };
  const lag = LAG.exec(from);
  const name = lag && from.slice(0, lag.index).trim();
  if (!lag || !name || !isKnown(name)) return null;
  const days = (lag[1] === "+" ? 1 : -1) * Number(lag[2].replace(",", "."));
  return { from: name, kind, ...(days !== 0 && { lagDays: days }), ...(/^c/i.test(lag[3] ?? "") && { elapsed: true }) };
}

const written: Record<Link["kind"], string> = { FS: "", SS: "with ", FF: "finishes with ", SF: "until " };

/** A link as it is typed. @param from What it comes from: a row number, or a name. */
export function writeLinkText(from: string, { kind, lagDays = 0, elapsed }: Pick<Link, "kind" | "lagDays" | "elapsed">): string {
  const lag = lagDays === 0 ? "" : ` ${lagDays > 0 ? "+" : "−"} ${Math.abs(lagDays)} ${elapsed ? "cd" : "d"}`;
  return `${written[kind]}${from}${lag}`;
}

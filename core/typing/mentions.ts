// The mentions in a text: an @ before a person's or a team's name, or before a team's handle.
import type { Comment } from "../plan/schema.ts";

export interface MentionNames {
  people: readonly { id: string; name: string }[];
  teams: readonly { id: string; name: string; handle: string }[];
}

/** A stretch of a text; `subject` where it calls upon a person. */
export interface TextPart {
  text: string;
  subject?: { personId: string } | { teamId: string };
}

/** Splits a text at those it calls upon. Of names that begin alike the longest counts; case does not. */
export function mentionParts(text: string, names: MentionNames): TextPart[] {
  const known = callNames(names);
  const parts: TextPart[] = [];
  let plain = "";
  for (let at = 0; at < text.length; ) {
    const rest = text[at] === "@" && !isWordBefore(text, at) ? text.slice(at + 1).toLowerCase() : null;
    const hit = rest === null ? undefined : known.find(({ name }) => rest.startsWith(name) && !isWordAt(rest, name.length));
    if (!hit) {
      plain += text[at];
      at++;
      continue;
    }
    if (plain !== "") parts.push({ text: plain });
    plain = "";
    parts.push({ text: text.slice(at, at + 1 + hit.name.length), subject: hit.subject });
    at += 1 + hit.name.length;
  }
  if (plain !== "") parts.push({ text: plain });
  return parts;
}

/** The people and teams mentioned in a text, each once. */
export function mentionsIn(text: string, names: MentionNames): NonNullable<Comment["mentions"]> {
  const seen = new Map<string, NonNullable<Comment["mentions"]>[number]>();
  for (const { subject } of mentionParts(text, names)) if (subject) seen.set(JSON.stringify(subject), subject);
  return [...seen.values()];
}

function callNames({ people, teams }: MentionNames): { name: string; subject: NonNullable<TextPart["subject"]> }[] {
  return [
    ...people.map(({ id, name }) => ({ name: name.toLowerCase(), subject: { personId: id } })),
    ...teams.flatMap(({ id, name, handle }) => [name, handle].map((own) => ({ name: own.toLowerCase(), subject: { teamId: id } }))),
  ].sort((a, b) => b.name.length - a.name.length);
}

const isWordAt = (text: string, at: number): boolean => /[\p{L}\p{N}]/u.test(text[at] ?? "");
const isWordBefore = (text: string, at: number): boolean => at > 0 && isWordAt(text, at - 1);

// The predecessors of a task, typed as a list: existing links stay, others are added, changed or removed.
import type { Edit, SingleEdit } from "../edits/edit.ts";
import type { Link, Plan } from "../plan/schema.ts";
import { isSame } from "../values/same.ts";
import { readLinkText } from "./linkText.ts";
import { fitting } from "./taskLine.ts";

/** A row of the outline that can be referred to by its number or its name. */
export interface OutlineRow {
  id: string;
  name: string;
}

/** The task that a text calls: by number, else by name. */
function rowCalled(rows: readonly OutlineRow[], text: string): OutlineRow | null {
  const number = /^\d+$/.test(text) ? Number(text) : 0;
  return rows[number - 1] ?? fitting(text, rows);
}

/** The edit that makes a task follow what a text lists, or the part of it that is not understood. Links from other projects
 * stay as they are. Null where nothing changes.
 * @param rows The project's outline, in order.
 * @param text Such as "3, with 5 + 2 d"; apart by commas or semicolons. */
export function typeLinks(
  plan: Plan,
  { taskId, rows, text, newId }: { taskId: string; rows: readonly OutlineRow[]; text: string; newId: (at: number) => string },
): { edit: Edit | null } | { notUnderstood: string } {
  const inProject = new Set(rows.map(({ id }) => id));
  const known = plan.links.filter(({ to, from }) => to === taskId && inProject.has(from));
  const wanted = readLinks(rows, text);
  if ("notUnderstood" in wanted) return wanted;
  const edits = editsBetween(
    known,
    wanted.map((link) => ({ ...link, to: taskId })),
    newId,
  );
  if (edits.length === 0) return { edit: null };
  return { edit: edits.length === 1 ? edits[0] : { kind: "together", words: "change the predecessors of a task", edits } };
}

/** The links in a text, or the part of it that is not recognized. */
export function readLinks(rows: readonly OutlineRow[], text: string): Omit<Link, "id" | "to">[] | { notUnderstood: string } {
  const links: Omit<Link, "id" | "to">[] = [];
  for (const part of text.split(/[,;](?!\d)/).map((own) => own.trim())) {
    if (part === "") continue;
    const said = readLinkText(part, (from) => rowCalled(rows, from) !== null);
    const from = said && rowCalled(rows, said.from);
    if (!said || !from) return { notUnderstood: part };
    const { kind, lagDays, elapsed } = said;
    links.push({ from: from.id, kind, ...(lagDays !== undefined && { lagDays }), ...(elapsed && { elapsed }) });
  }
  return links;
}

function editsBetween(known: readonly Link[], wanted: readonly Omit<Link, "id">[], newId: (at: number) => string): SingleEdit[] {
  const left = [...known];
  const edits = wanted.flatMap((link, at): SingleEdit[] => {
    const same = left.findIndex(({ from }) => from === link.from);
    if (same < 0) return [{ kind: "addLink", link: { ...link, id: newId(at) } }];
    const [{ id, ...before }] = left.splice(same, 1);
    if (isSame(before, link)) return [];
    const { kind, lagDays = null, elapsed = null } = link;
    return [{ kind: "changeLink", id, set: { kind, lagDays, elapsed } }];
  });
  return [...left.map(({ id }): SingleEdit => ({ kind: "deleteLink", id })), ...edits];
}

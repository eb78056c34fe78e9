// The uses of a name, in words: "6 people, 40 tasks".
import type { NameRow } from "../../core/answers/nameList.ts";
import type { ListName } from "../../core/plan/lists.ts";
import { listWords } from "../../core/plan/listWords.ts";
import type { Use } from "../../core/plan/namedLists.ts";
import { countText } from "../../ui/format.ts";

/** Plurals that are not formed with an s. */
const plurals: Partial<Record<ListName, string>> = { people: "people", enquiries: "enquiries" };

export const countOfUse = ({ list, count }: Pick<Use, "list" | "count">): string => countText(count, listWords[list], plurals[list]);

export const usesText = ({ uses }: Pick<NameRow, "uses">): string => (uses.length === 0 ? "nothing" : uses.map(countOfUse).join(", "));

// The row of the plan that a cell names. For an unknown name the user can choose a row, or add a new one.
import { listWords } from "../plan/listWords.ts";
import type { Row } from "../plan/schema.ts";
import { plainText } from "../values/plainText.ts";
import { namedCell, type Read } from "./cells.ts";
import { type Draft, type MadeList, madeLists, type NamedList, NEW_ROW, type ReadOptions } from "./table.ts";

/** The row of a list that a cell names: the one chosen for its text, else by id or name. */
export function namedRow<L extends NamedList>(cell: string, list: L, draft: Draft): Read<Row<L>> {
  const chosen = chosenRow(cell, list, draft);
  if (chosen) return { value: chosen };
  const found = namedCell<Row<L>>(cell, draft.all(list), listWords[list]);
  if ("reason" in found) draft.addUnknown(list, cell);
  return found;
}

/** The row that was chosen for the text of a cell. */
export function chosenRow<L extends NamedList>(cell: string, list: L, draft: Draft): Row<L> | undefined {
  const id = draft.chosenFor(list, cell);
  const row = id === undefined ? undefined : draft.find(list, id);
  if (row) draft.addUnknown(list, cell);
  return row;
}

/** The row of a list of names that a cell names; one that is not there yet is made where that is asked for. */
export function namedOrMade(cell: string, list: MadeList, draft: Draft, { makesNames, idStem }: ReadOptions): Read<Row<MadeList>> {
  const found = namedRow(cell, list, draft);
  const name = cell.trim();
  const isToBeMade = makesNames || draft.chosenFor(list, cell) === NEW_ROW;
  if ("value" in found || !isToBeMade || name === "" || name.length > 300) return found;
  // Several rows have this name already: only an id can say which one is meant.
  if (draft.all(list).some((own) => plainText(own.name) === plainText(name))) return found;
  const made = { id: `${idStem}-${listWords[list]}-${draft.all(list).length}`, name };
  draft.put(list, made);
  return { value: made };
}

/** True of a list to which an import can add a row by its name alone. */
export const isMadeList = (list: NamedList): list is MadeList => madeLists.some((own) => own === list);

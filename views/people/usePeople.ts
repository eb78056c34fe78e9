"use client";
// Binds the roster to the plan: search, filters, groups, columns, who is selected or ticked, and the edits made there.
import { parseAsArrayOf, parseAsBoolean, parseAsInteger, parseAsString, parseAsStringLiteral, useQueryState, useQueryStates } from "nuqs";
import { useCallback, useMemo, useState } from "react";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import { useAnswer, usePlan } from "../../client/session.tsx";
import type { Edit, SingleEdit } from "../../core/edits/edit.ts";
import type { Person, RateTable } from "../../core/plan/schema.ts";
import { objectKeys } from "../../core/values/objectKeys.ts";
import { newId } from "../../ui/newId.ts";
import { usePlanWindow } from "../scope/windowed.ts";
import { type Filters, groupings, optionalColumns, rosterGroups } from "./rosterView.ts";

/** Is in the URL for a person who is about to be added. */
const NEW = "new";

const shallow = { shallow: true } as const;
const filterParsers = {
  find: parseAsString.withDefault(""),
  role: parseAsString.withDefault(""),
  skill: parseAsString.withDefault(""),
  level: parseAsInteger.withDefault(1),
  team: parseAsString.withDefault(""),
  place: parseAsString.withDefault(""),
  kind: parseAsString.withDefault(""),
  archived: parseAsBoolean.withDefault(false),
  group: parseAsStringLiteral(groupings).withDefault("none"),
  columns: parseAsArrayOf(parseAsStringLiteral(optionalColumns)).withDefault(["skills", "week", "place"]),
};

export function usePeople(initial: Initial<AnswerOf<"roster">>) {
  const { range, grain } = usePlanWindow();
  const rows = useAnswer("roster", { range, grain }, initial);
  const [personId, setPersonId] = useQueryState("person", parseAsString.withOptions(shallow));
  const [view, setView] = useQueryStates(filterParsers, shallow);
  const select = useCallback((id: string | null) => void setPersonId(id), [setPersonId]);
  const { find, role, skill, level, team, place, kind, archived, group } = view;
  const filters: Filters = useMemo(
    () => ({ search: find, role, skill, level, team, place, kind, archived }),
    [find, role, skill, level, team, place, kind, archived],
  );
  const groups = useMemo(() => rosterGroups(rows, filters, group), [rows, filters, group]);
  return {
    rows,
    groups,
    filters,
    isFiltered: role !== "" || skill !== "" || team !== "" || place !== "" || kind !== "" || archived,
    view,
    setView: (set: Partial<typeof view> | null) => void setView(set),
    selected: rows.find(({ person }) => person.id === personId) ?? null,
    isAdding: personId === NEW,
    select,
    add: () => select(NEW),
    ...useTicked(),
    ...usePersonEdits(select),
  };
}

/** The people that are ticked, to change together. */
function useTicked() {
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const tick = useCallback(
    (ids: readonly string[], isOn: boolean) =>
      setTicked((known) => {
        const next = new Set(known);
        for (const id of ids)
          if (isOn) next.add(id);
          else next.delete(id);
        return next;
      }),
    [],
  );
  return { ticked, tick, untickAll: () => setTicked(new Set()) };
}

function usePersonEdits(select: (id: string | null) => void) {
  const session = usePlan();
  const edit = async (made: Edit) => (await session.edit(made)).length === 0;
  const addPerson = async (fields: Omit<Person, "id">, rates: Record<RateTable["kind"], number | null>) => {
    const id = newId("person");
    const added: SingleEdit = { kind: "addPerson", person: { id, ...fields } };
    const tables = rates.cost === null && rates.bill === null ? [] : await session.ask("rateTables", {});
    const stated = objectKeys(rates).flatMap((kind): SingleEdit[] => {
      const table = tables.find((own) => own.kind === kind);
      const rate = rates[kind];
      return table && rate !== null ? [{ kind: "changeRates", tableId: table.id, added: [{ personId: id, rate }] }] : [];
    });
    const isAdded = await edit(stated.length === 0 ? added : { kind: "together", words: `add ${fields.name}`, edits: [added, ...stated] });
    if (isAdded) select(id);
    return isAdded;
  };
  const deletePerson = async (id: string) => {
    if (await edit({ kind: "deletePerson", id })) select(null);
  };
  const changePerson = (id: string, set: { [K in keyof Person]?: Person[K] | null }) => edit({ kind: "changePerson", id, set });
  return { edit, addPerson, deletePerson, changePerson };
}

export type PeopleHook = ReturnType<typeof usePeople>;

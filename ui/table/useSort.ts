"use client";
// By which column a table is sorted: in the address, so that a link shows what was seen, or here alone.
import type { SortingState, Updater } from "@tanstack/react-table";
import { createParser, useQueryState } from "nuqs";
import { useCallback, useState } from "react";

const parser = createParser<SortingState>({
  parse: (text) => [{ id: text.replace(/^-/, ""), desc: text.startsWith("-") }],
  serialize: ([sort]) => (sort ? `${sort.desc ? "-" : ""}${sort.id}` : ""),
  eq: (a, b) => a[0]?.id === b[0]?.id && a[0]?.desc === b[0]?.desc,
})
  .withDefault([])
  .withOptions({ shallow: true });

export function useSort(place: "address" | "here", columns: readonly { id: string }[]) {
  const [inAddress, setInAddress] = useQueryState("sort", parser);
  const [here, setHere] = useState<SortingState>([]);
  const known = place === "address" ? inAddress : here;
  const sorting = known.filter(({ id }) => columns.some((column) => column.id === id));
  const onSort = useCallback(
    (updater: Updater<SortingState>) => {
      const next = (state: SortingState) => (typeof updater === "function" ? updater(state) : updater);
      if (place === "here") setHere(next);
      else void setInAddress((state) => (next(state).length === 0 ? null : next(state)));
    },
    [place, setInAddress],
  );
  return { sorting: sorting.length === known.length ? known : sorting, onSort };
}

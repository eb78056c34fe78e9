"use client";
// A list of names kept in order: each made, renamed, merged into another one or deleted, with what uses it.
import { useMemo } from "react";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import type { NameList, NameRow } from "../../core/answers/nameList.ts";
import type { TableColumn } from "../../ui/table/column.ts";
import { DataTable } from "../../ui/table/dataTable.tsx";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { AddNames } from "./addNames.tsx";
import { NameSheet } from "./nameSheet.tsx";
import { listNames } from "./paths.ts";
import { SettingsTabs } from "./tabs.tsx";
import { type NameListHook, useNameList } from "./useNameList.ts";
import { usesText } from "./usesText.ts";
import { texts } from "./words.ts";

export function Names({ initial }: { initial: Initial<AnswerOf<"nameList">> }) {
  const names = useNameList(initial);
  const { list, rows, open } = names;
  const { one, many } = listNames[list];
  const isWritten = list === "categories" || list === "places";
  return (
    <Screen
      title={texts.settings}
      figures={
        <>
          <SettingsTabs />
          <Figure value={String(rows.length)} says={rows.length === 1 ? one : many.toLowerCase()} />
        </>
      }
      sheet={open && <NameSheet key={open.id} row={open} names={names} />}
    >
      {rows.length === 0 ? <Empty title={`No ${many.toLowerCase()} yet`}>{emptyTexts[list]}</Empty> : <NameTable names={names} />}
      {isWritten ? (
        <p className="pt-2 text-side">
          {list === "categories" ? texts.enterCategoriesInTheDetails : texts.enterPlacesInTheDetails} Unused names disappear from this list.
        </p>
      ) : (
        <AddNames names={names} />
      )}
    </Screen>
  );
}

function NameTable({ names }: { names: NameListHook }) {
  const { list, rows, open, setOpenId } = names;
  const columns = useMemo(() => columnsOf(list, names), [list, names]);
  return (
    <DataTable
      name={`name-${list}`}
      label={listNames[list].many}
      columns={columns}
      rows={rows}
      idOf={({ id }) => id}
      nameOf={({ name }) => name}
      selectedId={open?.id ?? null}
      onOpen={({ id }) => void setOpenId(id)}
      isShort
    />
  );
}

const emptyTexts: Record<NameList, string> = {
  roles:
    "A role is the work a person does, such as designer or carpenter. Capacity and openings are counted by role. Add the first one below.",
  skills: "A skill is an ability with a level from 1 to 5. Work can require it. Add the first one below.",
  clients: "Projects are done for clients. Add the first one below.",
  categories: "Projects can have a category, to group and filter them by.",
  places: "People can have a place, to group and filter them by.",
  materials: "Materials are used up in the work: timber, paint, sheets of acrylic, each with its unit. Add the first one below.",
  rateTables: "A rate table holds the cost or billing rates per hour, by role and person. Add the first one below.",
};

const detailHeads: Partial<Record<NameList, string>> = { skills: "Group", materials: "Unit", rateTables: "Kind" };

function columnsOf(list: NameList, names: NameListHook): TableColumn<NameRow>[] {
  const { one } = listNames[list];
  const detail = detailHeads[list];
  return [
    {
      id: "name",
      head: texts.name,
      width: 220,
      grow: 1,
      isRowHead: true,
      value: ({ name }) => name,
      cell: ({ name }) => <span className="truncate font-medium">{name}</span>,
      edit: () => ({
        write: ({ name }) => name,
        read: (text) => (text.trim() === "" || text.length > 300 ? null : { value: text.trim() }),
        says: `The name of the ${one}`,
        onSave: (row, text) => void names.rename(row, text.trim()),
      }),
    },
    ...(detail === undefined ? [] : [detailColumn(list, detail, names)]),
    {
      id: "uses",
      head: texts.usedBy,
      width: 260,
      grow: 1.4,
      value: ({ used }) => used,
      copied: (row) => usesText(row),
      cell: (row) => <span className="truncate text-ink-2">{usesText(row)}</span>,
    },
  ];
}

function detailColumn(list: NameList, head: string, names: NameListHook): TableColumn<NameRow> {
  return {
    id: "detail",
    head,
    width: 160,
    value: ({ detail }) => detail,
    cell: ({ detail }) => detail || <span className="text-ink-3">–</span>,
    ...(list !== "rateTables" && {
      edit: () => ({
        write: ({ detail }: NameRow) => detail,
        read: (text: string) => (text.length > 300 || (list === "materials" && text.trim() === "") ? null : { value: text.trim() }),
        says: list === "materials" ? texts.aUnitSuchAsM : texts.aGroupOfSkills,
        onSave: (row: NameRow, text: string) => void names.setDetail(row, text.trim()),
      }),
    }),
  };
}

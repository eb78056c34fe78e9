"use client";
// The tools above the board: rows, measure, filters, counting, order, and saved views.
import { Bookmark, Download, ListFilter, X } from "lucide-react";
import { useSearchParams } from "next/navigation";
import { useState } from "react";
import { useMaybeAnswer, usePlan } from "../../client/session.tsx";
import type { BoardOnly, BoardRowKind, BoardSort } from "../../core/board/view.ts";
import { formatDay } from "../../core/calendar/day.ts";
import type { Grain } from "../../core/calendar/periods.ts";
import { Button, IconButton } from "../../ui/button.tsx";
import { Choice } from "../../ui/choice.tsx";
import { DownloadLink } from "../../ui/downloadLink.tsx";
import { Field, TextInput } from "../../ui/field.tsx";
import { Menu } from "../../ui/menu.tsx";
import { newId } from "../../ui/newId.ts";
import { namedOptions, none, wordOptions } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { pageText, printPage } from "../../ui/savePage.tsx";
import { SignLegend } from "../../ui/signLegend.tsx";
import { takeOut } from "../../ui/takeOut.ts";
import { PipelineChoice } from "../periods/pipelineChoice.tsx";
import { useNames, usePlanFacts } from "../scope/facts.ts";
import { filterKeys, isWhole, type Measure, type ViewParams } from "./balanceParams.ts";
import { boardSigns } from "./boardSigns.tsx";
import type { useBalance } from "./useBalance.ts";
import { texts } from "./words.ts";

type Hook = ReturnType<typeof useBalance>;

const rowWords: Record<BoardRowKind, string> = {
  role: "People by role",
  team: "People by team",
  location: "People by place",
  none: "People",
  roles: "Roles",
  teams: "Teams",
  projects: "Projects with their people",
  peopleProjects: "People with their projects",
};
const measureOptions: Record<Measure, string> = {
  room: "Room",
  load: "Load",
  share: "Utilization, %",
  capacity: "Capacity",
  fte: "FTE",
  tasks: "Tasks",
};
const grainOptions: Record<Grain, string> = { day: "By day", week: "By week", month: "By month", quarter: "By quarter", year: "By year" };
const onlyOptions: Record<BoardOnly, string> = { all: "Everyone", over: "Only people over capacity", room: "Only people with room" };
const sortOptions: Record<BoardSort, string> = { plan: "Plan order", name: "By name", worst: "Worst first", room: "Most room first" };

export function BoardTools({ balance, onEvenOut }: { balance: Hook; onEvenOut: () => void }) {
  const { params, setParams, grain, setGrain } = balance;
  return (
    <>
      <Choice
        label={texts.rows}
        value={params.rows}
        onChange={(value) => setParams({ rows: value })}
        width={172}
        options={wordOptions(rowWords)}
      />
      <Choice label={texts.period} value={grain} onChange={(value) => setGrain(value)} width={98} options={wordOptions(grainOptions)} />
      <Choice
        label={texts.measure}
        value={params.show}
        onChange={(value) => setParams({ show: value })}
        width={92}
        options={wordOptions(measureOptions)}
      />
      <FilterMenu params={params} setParams={setParams} />
      <ViewMenu balance={balance} />
      <OutMenu balance={balance} />
      <Button onClick={onEvenOut}>{texts.evenOut}</Button>
      <SignLegend signs={boardSigns} />
    </>
  );
}

interface FilterProps {
  params: ViewParams;
  setParams: (set: Partial<ViewParams>) => void;
}

function FilterMenu({ params, setParams }: FilterProps) {
  const count =
    filterKeys.filter((key) => params[key] !== "").length +
    Number(!params.pencilled) +
    Number(params.pipeline !== "none") +
    Number(params.only !== "all");
  return (
    <Menu label={count > 0 ? `Filters, ${count}` : texts.filters} icon={<ListFilter size={14} />} isActive={count > 0}>
      <div className="w-[430px] space-y-3">
        <WhoAndWhat params={params} setParams={setParams} />
        <WhatCounts params={params} setParams={setParams} />
        <Field label={texts.show}>
          <Choice value={params.only} onChange={(value) => setParams({ only: value })} options={wordOptions(onlyOptions)} />
        </Field>
        <Field label={texts.order}>
          <Choice value={params.sort} onChange={(value) => setParams({ sort: value })} options={wordOptions(sortOptions)} />
        </Field>
        <Button
          disabled={count === 0}
          onClick={() =>
            setParams({ ...Object.fromEntries(filterKeys.map((key) => [key, ""])), pencilled: true, pipeline: "none", only: "all" })
          }
        >
          {texts.showAllPeople}
        </Button>
      </div>
    </Menu>
  );
}

/** The filters by people and by their work. */
function WhoAndWhat({ params, setParams }: FilterProps) {
  const { roles, skills, teams, projects, clients, places, categories } = useNames();
  const choice = (key: (typeof filterKeys)[number], label: string, list: readonly { id: string; name: string }[]) => (
    <Field label={label}>
      <Picker value={params[key]} onChange={(value) => setParams({ [key]: value })} options={[none("Any"), ...namedOptions(list)]} />
    </Field>
  );
  const named = (list: readonly string[]) => list.map((name) => ({ id: name, name }));
  return (
    <div className="field-pair">
      {choice("role", "Role", roles)}
      {choice("project", "On project", projects)}
      {choice("skill", "Skill", skills)}
      {choice("client", "For client", clients)}
      {choice("team", "Team", teams)}
      {choice("category", "On category", named(categories))}
      {choice("location", "Place", named(places))}
      {choice("stage", "On stage", stages)}
    </div>
  );
}

function WhatCounts({ params, setParams }: FilterProps) {
  return (
    <div className="field-pair">
      <Field label={texts.pencilledWork}>
        <Choice
          value={params.pencilled ? "yes" : "no"}
          onChange={(value) => setParams({ pencilled: value === "yes" })}
          options={[
            { value: "yes", text: texts.counts },
            { value: "no", text: texts.doesNotCount },
          ]}
        />
      </Field>
      <Field label={texts.pipeline}>
        <PipelineChoice value={params.pipeline} onChange={(value) => setParams({ pipeline: value })} />
      </Field>
    </div>
  );
}

const stages = [
  { id: "active", name: "Under way" },
  { id: "approved", name: "Approved" },
  { id: "pipeline", name: "Pipeline" },
  { id: "idea", name: "Idea" },
  { id: "done", name: "Done" },
];

function OutMenu({ balance }: { balance: Hook }) {
  const { board, params, grain, range } = balance;
  const { planName, periodSettings } = usePlanFacts();
  const sketch = useSearchParams().get("sketch");
  const file = (format: "csv" | "xlsx") => {
    const query = new URLSearchParams(balance.viewQuery());
    query.set("from", formatDay(range.start));
    query.set("to", formatDay(range.stop - 1));
    query.set("by", grain);
    query.set("format", format);
    if (sketch !== null) query.set("sketch", sketch);
    return `/api/board?${query}`;
  };
  const print = async () => {
    const { BoardPage } = await import("./boardPage.tsx");
    printPage(await pageText(<BoardPage board={board} measure={params.show} grain={grain} studio={planName} settings={periodSettings} />));
  };
  const printOverloads = async () => {
    const { OverloadPage } = await import("./overloadPage.tsx");
    printPage(await pageText(<OverloadPage board={board} grain={grain} studio={planName} />));
  };
  return (
    <Menu label={texts.export} icon={<Download size={14} />}>
      <div className="w-[190px]">
        <DownloadLink className="menu-line" href={file("csv")} name="balance.csv">
          {texts.thisWindowAsCsv}
        </DownloadLink>
        <DownloadLink className="menu-line" href={file("xlsx")} name="balance.xlsx">
          {texts.thisWindowAsXlsx}
        </DownloadLink>
        <button type="button" className="menu-line" disabled={!isWhole(board)} onClick={() => void print()}>
          {texts.print}
        </button>
        <button type="button" className="menu-line" disabled={!isWhole(board)} onClick={() => void printOverloads()}>
          {texts.printTheOverloads}
        </button>
      </div>
    </Menu>
  );
}

function ViewMenu({ balance }: { balance: Hook }) {
  const session = usePlan();
  const [name, setName] = useState("");
  const save = () => {
    const view = { id: newId("view"), name: name.trim(), screen: "balance" as const, query: balance.viewQuery() };
    return takeOut(name, setName, async () => (await session.edit({ kind: "saveView", view })).length === 0);
  };
  return (
    <Menu label={texts.views} icon={<Bookmark size={14} />}>
      <div className="w-[250px]">
        <KeptViews onTake={balance.takeView} />
        <KeepForm name={name} onName={setName} onKeep={() => void save()} />
      </div>
    </Menu>
  );
}

/** Asked for when the menu is opened. */
function KeptViews({ onTake }: { onTake: (query: string) => void }) {
  const session = usePlan();
  const views = useMaybeAnswer("views", { screen: "balance" }, null);
  if (views?.length === 0) return <p className="pb-2 text-ink-2">{texts.saveRowsFiltersMeasure}</p>;
  return (
    <ul>
      {views?.map(({ id, name, query }) => (
        <ViewLine key={id} name={name} onTake={() => onTake(query)} onDelete={() => void session.edit({ kind: "deleteView", id })} />
      ))}
    </ul>
  );
}

function KeepForm({ name, onName, onKeep }: { name: string; onName: (name: string) => void; onKeep: () => void }) {
  return (
    <form
      className="flex items-end gap-2 pt-2"
      onSubmit={(event) => {
        event.preventDefault();
        onKeep();
      }}
    >
      <div className="flex-1">
        <Field label={texts.saveThisViewAs}>
          <TextInput value={name} onChange={(event) => onName(event.target.value)} maxLength={80} />
        </Field>
      </div>
      <Button type="submit" disabled={name.trim() === ""}>
        {texts.save}
      </Button>
    </form>
  );
}

function ViewLine({ name, onTake, onDelete }: { name: string; onTake: () => void; onDelete: () => void }) {
  return (
    <li className="flex items-center gap-1">
      <button type="button" onClick={onTake} className="min-w-0 flex-1 truncate press px-2 py-1.5">
        {name}
      </button>
      <IconButton label={`Delete the view ${name}`} onClick={onDelete}>
        <X size={13} />
      </IconButton>
    </li>
  );
}

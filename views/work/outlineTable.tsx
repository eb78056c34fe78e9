"use client";
// The outline next to its time chart: folded and moved by keyboard, bars dragged, links drawn.
import { type KeyboardEvent, useCallback, useMemo, useRef } from "react";
import type { Redacted } from "../../client/seen.ts";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { OutlineLink, OutlineTask } from "../../core/answers/outline.ts";
import type { PromisedDates } from "../../core/answers/promised.ts";
import { writeLinkText } from "../../core/typing/linkText.ts";
import type { Mark } from "../../core/typing/markTasks.ts";
import { focusSoon } from "../../ui/focusSoon.ts";
import { hueOf } from "../../ui/format.ts";
import { TreeTable } from "../../ui/table/treeTable.tsx";
import { useChartColumn } from "../periods/chartColumn.tsx";
import { useChartPeriods } from "../periods/useChartPeriods.ts";
import { ChartLinks } from "./chartLinks.tsx";
import { type ChartEdits, ROW_HEIGHT } from "./outlineChart.ts";
import { columnsOf, type Follows } from "./outlineColumns.tsx";
import type { Step } from "./outlinePlace.ts";
import { TaskBar } from "./taskBar.tsx";
import type { ProjectHook } from "./useProject.ts";

const marks: Record<string, Mark | undefined> = { s: "started", d: "done" };
const steps: Record<string, Step> = { ArrowUp: "up", ArrowDown: "down", ArrowRight: "in", ArrowLeft: "out" };

export function OutlineTable({ project, edits }: { project: ProjectHook; edits: ChartEdits }) {
  const { outline, folded, selected, ticked, select } = project;
  const { range } = useChartPeriods();
  const hue = hueOf(outline?.projectRow ?? 0);
  const isPromised = project.columns.includes("promised") && outline !== null;
  const promised = useMaybeAnswer("promised", isPromised ? { projectId: outline.project.id } : null, null);
  const bar = useBars(hue, edits, promised);
  // Next to a sheet the chart keeps half, and columns give way.
  const chart = useChartColumn(160, bar, project.hasSheet ? 0.5 : 0.3);
  const links = outline?.links ?? [];
  const follows = useFollows(project);
  const columns = useMemo(
    () => [...columnsOf(project.columns, { follows, promised }, outline), chart],
    [project.columns, follows, promised, outline, chart],
  );
  const press = (event: KeyboardEvent, { task: { id } }: Redacted<OutlineTask>, column: string | null): boolean => {
    const letter = event.ctrlKey || event.metaKey || event.altKey || column === "follows" ? null : event.key.toLowerCase();
    if (event.altKey && steps[event.key]) void project.move(id, steps[event.key]).then(() => focusSoon(`task-${id}`));
    else if (event.key === "Enter" && !event.ctrlKey && !event.metaKey && !event.altKey) {
      select(id);
      requestAnimationFrame(() => document.getElementById("quick-entry")?.focus());
    } else if (letter === "m") focusSoon(`bar-${id}`);
    else if (letter !== null && marks[letter]) project.mark(ticked.size > 0 ? [...ticked] : [id], marks[letter]);
    else return false;
    return true;
  };
  return (
    <TreeTable
      name="task"
      label="Tasks"
      columns={columns}
      rows={project.tasks}
      idOf={({ task }) => task.id}
      nameOf={({ task }) => task.name}
      parentOf={({ task }) => task.parentId}
      folded={folded}
      onFold={project.fold}
      rowHeight={ROW_HEIGHT}
      selectedId={selected?.task.id ?? null}
      onOpen={({ task }) => select(task.id)}
      onKey={press}
      ticks={{ ticked, onTick: project.tick, what: "all tasks" }}
      rowLook={({ isSummary }) => isSummary && "rows-row-summary"}
      overlay={{
        column: "chart",
        draw: (rows, height) => <ChartLinks links={linksShown(links, rows)} tasks={rows} window={range} height={height} />,
      }}
    />
  );
}

/** The predecessors of the tasks, as texts to type over. */
function useFollows({ outline, typeLinks }: ProjectHook): Follows {
  const latest = useRef(typeLinks);
  latest.current = typeLinks;
  return useMemo(() => {
    const rows = (outline?.tasks ?? []).map(({ task: { id, name } }) => ({ id, name }));
    const numbers = new Map(rows.map(({ id }, at) => [id, at + 1]));
    const texts = new Map<string, string>();
    const elsewhere = new Map<string, string>();
    const note = (known: Map<string, string>, id: string, text: string) =>
      known.set(id, known.has(id) ? `${known.get(id)}, ${text}` : text);
    for (const { link, fromName, otherProject } of outline?.links ?? []) {
      const from = numbers.get(link.from);
      if (from === undefined) note(elsewhere, link.to, `${fromName} (${otherProject ?? ""})`);
      else note(texts, link.to, writeLinkText(String(from), link));
    }
    return { rows, numbers, texts, elsewhere, onType: (taskId, text) => void latest.current(taskId, rows, text) };
  }, [outline]);
}

/** The bars of the chart; the same function for as long as the hue and the baseline stay, no matter what may be dropped. */
function useBars(hue: string, edits: ChartEdits, promised: PromisedDates | null) {
  const latest = useRef(edits);
  latest.current = edits;
  const stable = useMemo<ChartEdits>(
    () => ({
      onDrop: (...dropped) => latest.current.onDrop(...dropped),
      onStretch: (stretch) => latest.current.onStretch(stretch),
      onLink: (...ends) => latest.current.onLink(...ends),
    }),
    [],
  );
  return useCallback(
    (entry: Redacted<OutlineTask>) => <TaskBar entry={entry} hue={hue} edits={stable} promised={promised} />,
    [hue, stable, promised],
  );
}

function linksShown(links: readonly OutlineLink[], tasks: readonly Redacted<OutlineTask>[]): OutlineLink[] {
  const shown = new Set(tasks.map(({ task }) => task.id));
  return links.filter(({ link }) => shown.has(link.from) && shown.has(link.to));
}

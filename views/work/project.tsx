"use client";
// One project: its outline with people and hours beside a time chart, and the task one works on in the side sheet.
import { Columns3, Plus } from "lucide-react";
import { useState } from "react";
import type { AnswerOf } from "../../client/questions.ts";
import { type Initial, usePlan } from "../../client/session.tsx";
import type { Drop } from "../../core/answers/drop.ts";
import { parseDay } from "../../core/calendar/day.ts";
import { TICKS_PER_DAY } from "../../core/calendar/workingLine.ts";
import { Button } from "../../ui/button.tsx";
import { countText, hoursText, shortDay } from "../../ui/format.ts";
import { useKeys } from "../../ui/keys.ts";
import Link from "../../ui/link.tsx";
import { ColumnChoice, Menu } from "../../ui/menu.tsx";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { useLinkTo } from "../frame/windowed.ts";
import { BulkTasks } from "./bulkTasks.tsx";
import { DropSheet } from "./dropSheet.tsx";
import { columnWords, outlineColumns } from "./outlineColumns.tsx";
import { OutlineTable } from "./outlineTable.tsx";
import { PageSheet } from "./page/pageSheet.tsx";
import { ProjectForm, projectSet } from "./projectForm.tsx";
import { QuickEntry } from "./quickEntry.tsx";
import { NewTaskSheet, TaskSheet } from "./taskSheet.tsx";
import { Templates } from "./templates.tsx";
import { TimeLeftSheet } from "./timeLeft.tsx";
import { DETAILS, PAGE, type ProjectHook, TIME_LEFT, useProject } from "./useProject.ts";

export function Project({ projectId, initial }: { projectId: string; initial: Initial<AnswerOf<"outline">> }) {
  const project = useProject(projectId, initial);
  const { outline, selected, isAdding, add, remove, ticked, finishMoved } = project;
  const linkTo = useLinkTo();
  const { drop, setDrop, onDrop } = useDrop(project);
  useKeys({ n: () => add(), delete: () => selected && void remove(selected.task.id) });
  if (!outline)
    return (
      <Screen title="Work">
        <Empty title="This project is not in the plan">
          It may have been deleted, or another plan was opened.{" "}
          <Link className="text-pine underline" href={linkTo("/work")}>
            See all projects
          </Link>
        </Empty>
      </Screen>
    );
  return (
    <Screen
      title={
        <span className="flex items-center gap-2.5">
          <Link href={linkTo("/work")} className="text-ink-2 hover:text-ink" title="All projects" aria-label="All projects">
            ‹
          </Link>
          {outline.project.name}
        </span>
      }
      figures={
        <>
          <Figure
            value={shortDay(outline.finish)}
            says={finishWords(outline.missed, finishMoved, outline.start)}
            isOver={outline.missed > 0 || finishMoved > 0}
          />
          <Figure
            value={`${hoursText(outline.asked)} h`}
            says={outline.asked === 0 ? "needed" : `needed · ${Math.round((1 - outline.open / outline.asked) * 100)}% with somebody`}
          />
          {outline.leadName && <Figure value={outline.leadName} says="lead" />}
        </>
      }
      actions={
        <>
          <Menu label="Columns" icon={<Columns3 size={14} />}>
            <ColumnChoice all={outlineColumns} words={columnWords} chosen={project.columns} onChoose={project.setColumns} />
          </Menu>
          <Button onClick={() => project.select(PAGE)}>Page</Button>
          <Button onClick={() => project.select(TIME_LEFT)}>Time left</Button>
          <Button onClick={() => project.select(DETAILS)}>Details</Button>
          <Button look="main" onClick={() => add()}>
            <Plus size={15} /> Add task <kbd className="font-sans opacity-75">N</kbd>
          </Button>
        </>
      }
      sheet={
        drop && outline.tasks.some(({ task }) => task.id === drop.taskId) ? (
          <DropSheet
            key={`${drop.taskId} ${drop.start}`}
            drop={drop}
            taskName={outline.tasks.find(({ task }) => task.id === drop.taskId)?.task.name ?? ""}
            onTake={({ edit }) => void project.edit(edit).then(() => setDrop(null))}
            onClose={() => setDrop(null)}
          />
        ) : ticked.size > 0 ? (
          <BulkTasks project={project} />
        ) : project.isShowingTimeLeft ? (
          <TimeLeftSheet
            projectId={projectId}
            until={outline.project.deadline === undefined ? outline.finish : parseDay(outline.project.deadline)}
            onClose={() => project.select(null)}
          />
        ) : project.isShowingPage ? (
          <PageSheet outline={outline} onClose={() => project.select(null)} />
        ) : project.isShowingDetails ? (
          <Sheet title={outline.project.name} subtitle="The project itself" onClose={() => project.select(null)}>
            <SheetSection>
              <ProjectForm
                key={JSON.stringify(outline.project)}
                project={outline.project}
                isNew={false}
                saveText="Save"
                onSave={async (fields) => void (await project.edit({ kind: "changeProject", id: projectId, set: projectSet(fields) }))}
              />
            </SheetSection>
            <Templates projectId={projectId} projectName={outline.project.name} />
          </Sheet>
        ) : isAdding ? (
          <NewTaskSheet outline={outline} project={project} />
        ) : (
          selected && <TaskSheet key={selected.task.id} outline={outline} entry={selected} project={project} />
        )
      }
    >
      {outline.tasks.length === 0 ? (
        <Empty title="No tasks yet">
          A project’s work is written down as tasks.{" "}
          <button type="button" className="text-pine underline" onClick={() => add()}>
            Add the first one
          </button>{" "}
          or press N.
        </Empty>
      ) : (
        <OutlineTable project={project} edits={{ onDrop, onLink: (from, to) => void project.addLink({ from, to, kind: "FS" }) }} />
      )}
      <QuickEntry tasks={outline.tasks} place={placeWords(project)} onAdd={project.addLines} />
    </Screen>
  );
}

/** Where written tasks go. */
function placeWords({ selected }: ProjectHook): string {
  if (!selected) return "to the end";
  return `${selected.isSummary ? "into" : "after"} “${selected.task.name}”`;
}

function finishWords(missed: number, moved: number, start: number): string {
  if (missed > 0) return `finish · ${countText(Math.round((missed / TICKS_PER_DAY) * 10) / 10, "working day")} past the deadline`;
  if (moved !== 0) return `finish · ${countText(Math.abs(moved), "day")} ${moved > 0 ? "later" : "earlier"} than when you came`;
  return `finish · from ${shortDay(start)}`;
}

/** A bar let go on another day: done at once where it can only mean one thing, else asked. */
function useDrop(project: ProjectHook) {
  const session = usePlan();
  const [drop, setDrop] = useState<Drop | null>(null);
  const onDrop = async (taskId: string, day: number) => {
    const found = await session.ask("drop", { taskId, day });
    if (!found) return;
    const [first] = found.options;
    if (first.way === "move" || first.way === "notBefore") void project.edit(first.edit);
    else setDrop(found);
  };
  return { drop, setDrop, onDrop: (taskId: string, day: number) => void onDrop(taskId, day) };
}

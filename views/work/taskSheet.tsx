"use client";
import { type Redacted, withoutHidden } from "../../client/seen.ts";
import type { Outline, OutlineTask } from "../../core/answers/outline.ts";
import type { Task } from "../../core/plan/schema.ts";
import { Button } from "../../ui/button.tsx";
import { countText, longDay, shortDay } from "../../ui/format.ts";
import { RichText } from "../../ui/richText.tsx";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { RowTrail } from "../changes/rowTrail.tsx";
import { LockTick } from "../planFields/lockTick.tsx";
import { RemedyList } from "../remedies/remedyList.tsx";
import { remedyEdit } from "../remedies/remedyWords.ts";
import { SignalsOf } from "../today/signalsOf.tsx";
import { Comments } from "./comments.tsx";
import { TaskLinks } from "./links.tsx";
import { MarkButtons } from "./markTasks.tsx";
import { Review } from "./review.tsx";
import { newTaskOf, setOf, type TaskFields } from "./taskForm.ts";
import { TaskForm } from "./taskFormView.tsx";
import { TaskWork } from "./taskWork.tsx";
import type { useProject } from "./useProject.ts";
import { useWhy, WhySection } from "./whySection.tsx";
import { texts } from "./words.ts";

type ProjectHook = ReturnType<typeof useProject>;

export function NewTaskSheet({ outline, project }: { outline: Redacted<Outline>; project: ProjectHook }) {
  const save = async (fields: TaskFields) => (await project.addTask(newTaskOf(fields))).length === 0;
  return (
    <Sheet title={texts.newTask} subtitle={outline.project.name} onClose={() => project.select(null)}>
      <SheetSection>
        <TaskForm outline={outline} task={{ sizing: "duration", durationDays: 5 }} isSummary={false} saveText="Add task" onSave={save} />
      </SheetSection>
    </Sheet>
  );
}

interface TaskProps {
  outline: Redacted<Outline>;
  entry: Redacted<OutlineTask>;
  project: ProjectHook;
}

export function TaskSheet({ outline, entry, project }: TaskProps) {
  const { isSummary } = entry;
  const task = withoutHidden<Task>(entry.task);
  const why = useWhy(entry, project.initialWhy);
  const save = async (fields: TaskFields) =>
    (await project.changeTask(task.id, isSummary ? summarySet(fields) : setOf(fields))).length === 0;
  return (
    <Sheet title={task.name} subtitle={subtitleOf(entry)} onClose={() => project.select(null)}>
      {!isSummary && <Review key={`${task.state} ${task.review?.state}`} task={task} />}
      {!isSummary && <MarkButtons entry={entry} project={project} />}
      {why && <WhySection entry={entry} why={why} onChange={(set) => void project.changeTask(task.id, set)} />}
      {entry.conflicts.some(({ kind }) => kind === "deadline" || kind === "finishNotAfter") && (
        <RemedyList problem={{ about: "deadline", missed: { taskId: task.id } }} onApply={(line) => void project.edit(remedyEdit(line))} />
      )}
      {!isSummary && !entry.isMilestone && <TaskWork entry={entry} project={project} />}
      <TaskLinks outline={outline} entry={entry} project={project} />
      {task.notes && (
        <SheetSection title={texts.notes}>
          <RichText text={task.notes} />
        </SheetSection>
      )}
      <Comments taskId={task.id} comments={entry.comments} />
      <SheetSection title={texts.theTask}>
        <TaskForm key={task.id} outline={outline} task={task} isSummary={isSummary} saveText="Save" onSave={save} />
      </SheetSection>
      <SignalsOf taskId={task.id} />
      {!isSummary && (
        <SheetSection>
          <LockTick list="tasks" id={task.id} isLocked={task.locked === true} />
        </SheetSection>
      )}
      <SheetSection>
        <Deletion taskId={task.id} isBetween={isBetween(outline, task.id)} project={project} />
      </SheetSection>
      <RowTrail id={task.id} />
    </Sheet>
  );
}

/** @param isBetween It follows something, and something follows it. */
function Deletion({ taskId, isBetween, project }: { taskId: string; isBetween: boolean; project: ProjectHook }) {
  return (
    <div className="flex flex-wrap gap-2">
      <Button look="danger" onClick={() => void project.remove(taskId)}>
        {texts.deleteTask}
      </Button>
      {isBetween && (
        <Button look="danger" onClick={() => void project.remove(taskId, true)} title={texts.linksItsPredecessors}>
          {texts.deleteAndLinkItsNeighbours}
        </Button>
      )}
    </div>
  );
}

/** Of a task with children only these can be set; its dates and hours come from below it. */
function summarySet(fields: TaskFields) {
  const { name, parentId, notBefore, deadline, notes } = setOf(fields);
  return { name, parentId, notBefore, deadline, notes };
}

function subtitleOf({ dates, isSummary, isMilestone, task }: Redacted<OutlineTask>): string {
  if (!dates) return "No dates yet";
  const range = dates.start === dates.finish ? longDay(dates.start) : `${shortDay(dates.start)} – ${longDay(dates.finish)}`;
  if (isMilestone) return `${range} · milestone`;
  if (isSummary) return `${range} · total of its subtasks`;
  return task.sizing === "duration" ? `${range} · ${countText(task.durationDays ?? 0, "working day")}` : range;
}

/** True for a task that follows some and comes before others. */
function isBetween({ links }: Redacted<Outline>, id: string): boolean {
  return links.some(({ link }) => link.to === id) && links.some(({ link }) => link.from === id);
}

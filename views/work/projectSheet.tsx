"use client";
// The content of the side sheet of a project: a dropped bar, the selected tasks, a part of the project, or the open task.
import { type Redacted, withoutHidden } from "../../client/seen.ts";
import type { Outline } from "../../core/answers/outline.ts";
import type { Drop } from "../../core/bars/drop.ts";
import { parseDay } from "../../core/calendar/day.ts";
import type { Project } from "../../core/plan/schema.ts";
import { Button } from "../../ui/button.tsx";
import { countText } from "../../ui/format.ts";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { RowTrail } from "../changes/rowTrail.tsx";
import { DropSheet } from "../effect/dropSheet.tsx";
import { LockTick } from "../planFields/lockTick.tsx";
import { RemedyList } from "../remedies/remedyList.tsx";
import { remedyEdit } from "../remedies/remedyWords.ts";
import { SignalsOf } from "../today/signalsOf.tsx";
import { BulkTasks } from "./bulkTasks.tsx";
import { MarkSheet } from "./markTasks.tsx";
import { PageSheet } from "./page/pageSheet.tsx";
import { projectSet } from "./projectFields.ts";
import { ProjectForm } from "./projectForm.tsx";
import { NewTaskSheet, TaskSheet } from "./taskSheet.tsx";
import { Templates } from "./templates.tsx";
import { TimeLeftSheet } from "./timeLeft.tsx";
import type { ProjectHook } from "./useProject.ts";
import { texts } from "./words.ts";

interface PartProps {
  outline: Redacted<Outline>;
  project: ProjectHook;
}

interface ProjectSheetProps extends PartProps {
  drop: Drop | null;
  onDropped: () => void;
}

export function ProjectSheet({ outline, project, drop, onDropped }: ProjectSheetProps) {
  const dropped = outline.tasks.find(({ task }) => task.id === drop?.taskId);
  if (drop && dropped)
    return (
      <DropSheet
        key={`${drop.taskId} ${drop.start}`}
        drop={drop}
        taskName={dropped.task.name}
        onTake={({ edit }) => void project.edit(edit).then(onDropped)}
        onClose={onDropped}
      />
    );
  if (project.marking) return <MarkSheet key={project.marking.mark} project={project} {...project.marking} />;
  return project.ticked.size > 0 ? <BulkTasks project={project} /> : <Selected outline={outline} project={project} />;
}

function Selected({ outline, project }: PartProps) {
  const { selected, select } = project;
  const { deadline, id } = outline.project;
  const close = () => select(null);
  if (project.isShowingTimeLeft)
    return <TimeLeftSheet projectId={id} until={deadline === undefined ? outline.finish : parseDay(deadline)} onClose={close} />;
  if (project.isShowingPage) return <PageSheet outline={outline} onClose={close} />;
  if (project.isShowingDetails) return <Details outline={outline} project={project} />;
  if (project.isAdding) return <NewTaskSheet outline={outline} project={project} />;
  return selected && <TaskSheet key={selected.task.id} outline={outline} entry={selected} project={project} />;
}

/** Takes the project off all lists, or brings it back; one that is still under way cannot go. */
function Archive({ outline: { project: own }, project }: PartProps) {
  const isOver = own.stage === "done" || own.stage === "cancelled";
  const set = (archived: true | null) => project.edit({ kind: "changeProject", id: own.id, set: { archived } });
  if (own.archived) return <Button onClick={() => void set(null)}>{texts.restoreToTheLists}</Button>;
  return (
    <Button disabled={!isOver} title={isOver ? undefined : texts.onceItsStageIsDone} onClick={() => void set(true)}>
      {texts.archive}
    </Button>
  );
}

function Details({ outline, project }: PartProps) {
  const { id, name } = outline.project;
  return (
    <Sheet title={name} subtitle="The project itself" onClose={() => project.select(null)}>
      {outline.missed > 0 && (
        <RemedyList problem={{ about: "deadline", missed: { projectId: id } }} onApply={(line) => void project.edit(remedyEdit(line))} />
      )}
      <SheetSection>
        <ProjectForm
          key={id}
          project={withoutHidden<Project>(outline.project)}
          isNew={false}
          saveText="Save"
          editOf={(fields) => ({ kind: "changeProject", id, set: projectSet(fields) })}
          onSave={(fields) => project.edit({ kind: "changeProject", id, set: projectSet(fields) })}
        />
      </SheetSection>
      <SignalsOf projectId={id} />
      <SheetSection>
        <LockTick list="projects" id={id} isLocked={outline.project.locked === true} />
      </SheetSection>
      <Templates projectId={id} projectName={name} />
      <SheetSection>
        <div className="flex gap-2">
          <Archive outline={outline} project={project} />
          <Button look="danger" onClick={() => void project.edit({ kind: "deleteProject", id })}>
            {texts.deleteProject}
          </Button>
        </div>
        <p className="pt-1 text-side">
          Deleted: with its {countText(outline.tasks.length, "task")}, their work, links and comments, and its expenses. One undo restores
          everything.
        </p>
      </SheetSection>
      <RowTrail id={id} />
    </Sheet>
  );
}

"use client";
// A task in the side sheet: what it is, who works on it, and how to change both.
import { zodResolver } from "@hookform/resolvers/zod";
import { useForm } from "react-hook-form";
import type { Outline, OutlineTask } from "../../core/answers/outline.ts";
import type { Task } from "../../core/plan/schema.ts";
import { Button } from "../../ui/button.tsx";
import { Field, NamedOptions, Select, TextArea, TextInput } from "../../ui/field.tsx";
import { countText, longDay, shortDay } from "../../ui/format.ts";
import { RichText } from "../../ui/richText.tsx";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { useNames } from "../frame/facts.ts";
import { Comments } from "./comments.tsx";
import { TaskLinks } from "./links.tsx";
import { Review } from "./review.tsx";
import { fieldsOf, newTaskOf, setOf, sizings, type TaskFields, taskFields } from "./taskForm.ts";
import { TaskWork } from "./taskWork.tsx";
import type { useProject } from "./useProject.ts";
import { WhySection } from "./whySection.tsx";

type ProjectHook = ReturnType<typeof useProject>;

export function NewTaskSheet({ outline, project }: { outline: Outline; project: ProjectHook }) {
  const save = async (fields: TaskFields) => (await project.addTask(newTaskOf(fields))).length === 0;
  return (
    <Sheet title="New task" subtitle={outline.project.name} onClose={() => project.select(null)}>
      <SheetSection>
        <TaskForm outline={outline} task={{ sizing: "duration", durationDays: 5 }} isSummary={false} saveText="Add task" onSave={save} />
      </SheetSection>
    </Sheet>
  );
}

export function TaskSheet({ outline, entry, project }: { outline: Outline; entry: OutlineTask; project: ProjectHook }) {
  const { task, isSummary } = entry;
  const save = async (fields: TaskFields) =>
    (await project.changeTask(task.id, isSummary ? summarySet(fields) : setOf(fields))).length === 0;
  return (
    <Sheet title={task.name} subtitle={subtitleOf(entry)} onClose={() => project.select(null)}>
      {!isSummary && <Review key={`${task.state} ${task.review?.state}`} task={task} />}
      {entry.dates && !isSummary && <WhySection entry={entry} onChange={(set) => void project.changeTask(task.id, set)} />}
      {!isSummary && !entry.isMilestone && <TaskWork entry={entry} project={project} />}
      <TaskLinks outline={outline} entry={entry} project={project} />
      {task.notes && (
        <SheetSection title="Notes">
          <RichText text={task.notes} />
        </SheetSection>
      )}
      <Comments taskId={task.id} comments={entry.comments} />
      <SheetSection title="The task">
        <TaskForm key={JSON.stringify(fieldsOf(task))} outline={outline} task={task} isSummary={isSummary} saveText="Save" onSave={save} />
      </SheetSection>
      <SheetSection>
        <div className="flex flex-wrap gap-2">
          <Button look="danger" onClick={() => void project.remove(task.id)}>
            Delete task
          </Button>
          {isBetween(outline, task.id) && (
            <Button look="danger" onClick={() => void project.remove(task.id, true)} title="What it follows is linked to what follows it">
              Delete, link its neighbours
            </Button>
          )}
        </div>
      </SheetSection>
    </Sheet>
  );
}

/** Of a task with children only these can be set; its dates and hours come from below it. */
function summarySet(fields: TaskFields) {
  const { name, parentId, notBefore, deadline, notes } = setOf(fields);
  return { name, parentId, notBefore, deadline, notes };
}

function subtitleOf({ dates, isSummary, isMilestone, task }: OutlineTask): string {
  if (!dates) return "No dates yet";
  const range = dates.start === dates.finish ? longDay(dates.start) : `${shortDay(dates.start)} – ${longDay(dates.finish)}`;
  if (isMilestone) return `${range} · milestone`;
  if (isSummary) return `${range} · adds up the tasks below it`;
  return task.sizing === "duration" ? `${range} · ${countText(task.durationDays ?? 0, "working day")}` : range;
}

/** True for a task that follows some and comes before others. */
function isBetween({ links }: Outline, id: string): boolean {
  return links.some(({ link }) => link.to === id) && links.some(({ link }) => link.from === id);
}

function TaskForm({
  outline,
  task,
  isSummary,
  saveText,
  onSave,
}: {
  outline: Outline;
  task: Partial<Task>;
  isSummary: boolean;
  saveText: string;
  onSave: (fields: TaskFields) => Promise<boolean>;
}) {
  const { roles } = useNames();
  const { register, handleSubmit, watch, formState } = useForm<TaskFields>({
    resolver: zodResolver(taskFields),
    defaultValues: fieldsOf(task),
  });
  const { errors, isDirty, isSubmitting } = formState;
  const sizing = watch("sizing");
  const parents = outline.tasks.filter(
    (other) => other.task.id !== task.id && (other.isSummary || other.work.length === 0) && !isBelow(outline, other, task.id),
  );
  return (
    <form className="space-y-3" noValidate onSubmit={(event) => void handleSubmit(onSave)(event)}>
      <Field label="Name" fault={errors.name?.message}>
        <TextInput {...register("name")} autoFocus={task.id === undefined} aria-invalid={errors.name !== undefined} />
      </Field>
      <Field label="Below">
        <Select {...register("parentId")}>
          <option value="">The project itself</option>
          {parents.map((other) => (
            <option key={other.task.id} value={other.task.id}>
              {"\u2003".repeat(other.depth)}
              {other.task.name}
            </option>
          ))}
        </Select>
      </Field>
      {!isSummary && (
        <>
          <div className="grid grid-cols-2 gap-3">
            <Field label="Role">
              <Select {...register("roleId")}>
                <option value="">No role</option>
                <NamedOptions list={roles} />
              </Select>
            </Field>
            <Field label="Effort, hours" fault={errors.effortHours?.message}>
              <TextInput {...register("effortHours")} inputMode="decimal" aria-invalid={errors.effortHours !== undefined} />
            </Field>
          </div>
          <Field label="Dates">
            <Select {...register("sizing")}>
              {sizings.map(({ value, text }) => (
                <option key={value} value={value}>
                  {text}
                </option>
              ))}
            </Select>
          </Field>
          {sizing === "dates" && (
            <div className="grid grid-cols-2 gap-3">
              <Field label="Start" fault={errors.start?.message}>
                <TextInput placeholder="8 Feb 2027" {...register("start")} aria-invalid={errors.start !== undefined} />
              </Field>
              <Field label="Finish" fault={errors.finish?.message}>
                <TextInput placeholder="8 Feb 2027" {...register("finish")} aria-invalid={errors.finish !== undefined} />
              </Field>
            </div>
          )}
          {sizing === "duration" && (
            <Field label="Working days" fault={errors.durationDays?.message} hint="0 is a milestone">
              <TextInput {...register("durationDays")} inputMode="decimal" aria-invalid={errors.durationDays !== undefined} />
            </Field>
          )}
        </>
      )}
      <div className="grid grid-cols-2 gap-3">
        <Field label="Not before" fault={errors.notBefore?.message}>
          <TextInput placeholder="8 Feb 2027" {...register("notBefore")} />
        </Field>
        <Field label="Deadline" fault={errors.deadline?.message}>
          <TextInput placeholder="8 Feb 2027" {...register("deadline")} />
        </Field>
      </div>
      {!isSummary && (
        <>
          <div className="grid grid-cols-3 gap-2">
            <Field label="State">
              <Select {...register("state")}>
                <option value="notStarted">Not begun</option>
                <option value="underWay">Under way</option>
                <option value="done">Done</option>
              </Select>
            </Field>
            <Field label="Done, %" fault={errors.percentComplete?.message}>
              <TextInput {...register("percentComplete")} inputMode="decimal" />
            </Field>
            <Field label="Priority">
              <Select {...register("priority")}>
                {["1", "2", "3", "4", "5"].map((value) => (
                  <option key={value}>{value}</option>
                ))}
              </Select>
            </Field>
          </div>
          <label className="flex items-center gap-2">
            <input type="checkbox" {...register("atRisk")} className="accent-pine" /> At risk
          </label>
          <Field label="Tags, between commas">
            <TextInput {...register("tags")} />
          </Field>
        </>
      )}
      <Field label="Notes" hint="**bold**, *slanted*, - a list, # a heading, [text](address)">
        <TextArea {...register("notes")} rows={3} />
      </Field>
      <Button type="submit" look="main" disabled={isSubmitting || (task.id !== undefined && !isDirty)}>
        {saveText}
      </Button>
    </form>
  );
}

function isBelow({ tasks }: Outline, entry: OutlineTask, ancestorId: string | undefined): boolean {
  const parent = tasks.find(({ task }) => task.id === entry.task.parentId);
  return parent !== undefined && (parent.task.id === ancestorId || isBelow({ tasks } as Outline, parent, ancestorId));
}

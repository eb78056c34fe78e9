"use client";
// The people of a task and their amounts: the list, and a line to add to it.
import { X } from "lucide-react";
import { useState } from "react";
import type { Redacted } from "../../client/seen.ts";
import type { OutlineTask, OutlineWork } from "../../core/answers/outline.ts";
import type { Assignment } from "../../core/plan/schema.ts";
import { readAmount } from "../../ui/amount.ts";
import { OpenSign } from "../../ui/avatar.tsx";
import { IconButton } from "../../ui/button.tsx";
import { DraftInput } from "../../ui/draftInput.tsx";
import { hoursText, wholeText } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { SheetSection } from "../../ui/sheet.tsx";
import { useLinkTo } from "../scope/windowed.ts";
import { AddWork } from "./addWork.tsx";
import { StaffChoice } from "./staffChoice.tsx";
import { TaskMaterials } from "./taskMaterials.tsx";
import type { ProjectHook } from "./useProject.ts";
import type { Setting } from "./useTaskEdits.ts";
import { texts } from "./words.ts";
import { statements, WorkShape } from "./workShape.tsx";

export function TaskWork({ entry, project }: { entry: Redacted<OutlineTask>; project: ProjectHook }) {
  const labour = entry.work.filter(({ kind }) => kind !== "material");
  const implicit = entry.open - labour.reduce((sum, { kind, asked }) => sum + (kind === "opening" ? asked : 0), 0);
  return (
    <>
      <SheetSection title={texts.who}>
        {labour.map((work) => (
          <WorkLine
            key={work.assignment.id}
            work={work}
            isEffort={entry.task.sizing === "effort"}
            isShared={entry.task.sizing === "effort" && labour.length > 1}
            project={project}
          />
        ))}
        {implicit > 0 && (
          <div className="flex items-center gap-2 py-1">
            <OpenSign label={texts.unassigned} />
            <span className="flex-1 text-ink-2">{entry.roleName ?? "No role"}, rest of the effort</span>
            <span className="figure-bad">{hoursText(implicit)} h</span>
          </div>
        )}
        {labour.length === 0 && implicit <= 0 && <p className="pb-1 text-ink-2">{texts.nobodyAssignedAddAPerson}</p>}
        <AddWork entry={entry} project={project} />
      </SheetSection>
      <TaskMaterials entry={entry} project={project} />
    </>
  );
}

interface WorkLineProps {
  work: Redacted<OutlineWork>;
  isEffort: boolean;
  /** Others work on it whom taking this one off would leave with more, or with less. */
  isShared: boolean;
  project: ProjectHook;
}

function WorkLine({ work, isEffort, isShared, project }: WorkLineProps) {
  const { assignment, name, unplaced } = work;
  const [isOpen, setOpen] = useState(false);
  const [isLeaving, setLeaving] = useState(false);
  return (
    <div className="py-1">
      <WorkHead
        work={work}
        isOpen={isOpen}
        onToggle={() => setOpen(!isOpen)}
        onAmount={(set) => void project.changeWork(assignment.id, set)}
        onLeave={() => (isShared ? setLeaving(!isLeaving) : void project.removeWork(assignment.id))}
      />
      {isLeaving && (
        <StaffChoice
          title={`If ${name} is removed, what changes?`}
          query={{ taskId: assignment.taskId, leaves: assignment.id }}
          onTake={(edit) => project.edit(edit)}
          onCancel={() => setLeaving(false)}
        />
      )}
      {isOpen && (
        <WorkShape assignment={assignment} name={name} isEffort={isEffort} onChange={(set) => project.changeWork(assignment.id, set)} />
      )}
      {unplaced > 0 && <Unplaced work={work} />}
    </div>
  );
}

interface WorkHeadProps {
  work: Redacted<OutlineWork>;
  isOpen: boolean;
  onToggle: () => void;
  onAmount: (set: Setting<Assignment>) => void;
  onLeave: () => void;
}

/** The person, the amount, and the button that removes it. */
function WorkHead({ work: { assignment, name, kind, asked }, isOpen, onToggle, onAmount, onLeave }: WorkHeadProps) {
  const stated = statements.find(({ key }) => assignment[key] !== undefined);
  return (
    <div className="flex items-center gap-2">
      {kind === "opening" && <OpenSign label={texts.unassigned} />}
      <button
        type="button"
        aria-expanded={isOpen}
        title={texts.amountAndDistribution}
        onClick={onToggle}
        className="min-w-0 flex-1 truncate press"
      >
        {name}
        {assignment.firmness === "pencilled" && <span className="text-ochre-ink">{texts.pencilled2}</span>}
      </button>
      {stated ? (
        <AmountInput
          key={assignment[stated.key]}
          name={`${name}, ${stated.says}`}
          value={assignment[stated.key] ?? 0}
          most={stated.most}
          onSave={(value) => onAmount({ [stated.key]: value })}
        />
      ) : (
        <span>{hoursText(asked)} h</span>
      )}
      <span className="w-[58px] text-side">{stated?.text ?? "by period"}</span>
      <IconButton label={`Remove ${name} from this task`} onClick={onLeave} className="size-6!">
        <X size={13} />
      </IconButton>
    </div>
  );
}

function Unplaced({ work: { assignment, unplaced } }: { work: Redacted<OutlineWork> }) {
  const linkTo = useLinkTo();
  return (
    <p className="text-small text-over">
      {hoursText(unplaced)} h cannot be worked then.{" "}
      {assignment.personId !== undefined && (
        <Link
          href={linkTo(`/people/person/${encodeURIComponent(assignment.personId)}`, { part: `unplaced:${assignment.id}` })}
          className="text-link"
        >
          {texts.reasonAndOptions}
        </Link>
      )}
    </p>
  );
}

/** A number that is saved on Enter or on leaving it; Esc puts it back. */
function AmountInput({ name, value, most, onSave }: { name: string; value: number; most: number; onSave: (value: number) => void }) {
  return (
    <DraftInput
      value={value}
      write={String}
      read={(text) => readAmount(text, 0, most)}
      onSave={onSave}
      says={`A number from 0 to ${wholeText(most)}`}
      aria-label={name}
      inputMode="decimal"
      width={58}
      isSmall
      isFigure
    />
  );
}

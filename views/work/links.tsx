"use client";
// The links of a task: what it follows and what follows it, to change, to remove and to add.
import { Plus, X } from "lucide-react";
import { useState } from "react";
import type { Redacted } from "../../client/seen.ts";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { Outline, OutlineLink, OutlineTask } from "../../core/answers/outline.ts";
import type { Link, Task } from "../../core/plan/schema.ts";
import { readAmount } from "../../ui/amount.ts";
import { Button, IconButton } from "../../ui/button.tsx";
import { Choice } from "../../ui/choice.tsx";
import { DraftInput } from "../../ui/draftInput.tsx";
import { Field, FormFault } from "../../ui/field.tsx";
import { namedOptions, none, wordOptions } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { SheetSection } from "../../ui/sheet.tsx";
import { useNames } from "../scope/facts.ts";
import type { useProject } from "./useProject.ts";
import { texts } from "./words.ts";

type Hook = ReturnType<typeof useProject>;

export const linkKinds: Record<Link["kind"], string> = {
  FS: "starts after it finishes",
  SS: "starts after it starts",
  FF: "finishes after it finishes",
  SF: "finishes after it starts",
};

export function TaskLinks({ outline, entry, project }: { outline: Redacted<Outline>; entry: Redacted<OutlineTask>; project: Hook }) {
  const [isAdding, setAdding] = useState(false);
  const into = outline.links.filter(({ link }) => link.to === entry.task.id);
  const outOf = outline.links.filter(({ link }) => link.from === entry.task.id);
  return (
    <SheetSection title={texts.links}>
      {into.map((own) => (
        <LinkLine key={own.link.id} own={own} way="into" project={project} />
      ))}
      {outOf.map((own) => (
        <LinkLine key={own.link.id} own={own} way="outOf" project={project} />
      ))}
      {into.length + outOf.length === 0 && <p className="pb-1 text-ink-2">{texts.itHasNoLinks}</p>}
      {isAdding ? (
        <AddLink entry={entry} outline={outline} project={project} onDone={() => setAdding(false)} />
      ) : (
        <Button look="quiet" className="px-1!" onClick={() => setAdding(true)}>
          <Plus size={14} /> Link it to a predecessor
        </Button>
      )}
    </SheetSection>
  );
}

function LinkLine({
  own: { link, fromName, toName, otherProject },
  way,
  project,
}: {
  own: OutlineLink;
  way: "into" | "outOf";
  project: Hook;
}) {
  const name = way === "into" ? fromName : toName;
  const label = `${way === "into" ? "Follows" : "Before"} ${name}`;
  return (
    <div className="mb-1.5 rounded-card border border-line px-2 py-1">
      <div className="flex items-center gap-1">
        <span className="min-w-0 flex-1 truncate" title={name}>
          <span className="text-ink-2">{way === "into" ? "follows" : "before"}</span> {name}
          {otherProject && <span className="text-side"> · {otherProject}</span>}
        </span>
        <IconButton label={`Remove the link: ${label}`} className="size-7!" onClick={() => void project.removeLink(link.id)}>
          <X size={13} />
        </IconButton>
      </div>
      <div className="grid grid-cols-[auto_54px_minmax(0,1fr)] items-center gap-1.5">
        <span className="col-span-3">
          <Choice
            label={`${label}, how`}
            value={link.kind}
            onChange={(value) => void project.changeLink(link.id, { kind: value })}
            isSmall
            options={wordOptions(linkKinds)}
          />
        </span>
        <Lag link={link} label={label} project={project} />
      </div>
    </div>
  );
}

function Lag({ link, label, project }: { link: Link; label: string; project: Hook }) {
  return (
    <>
      <span className="text-side">{texts.andThen}</span>
      <LagInput
        key={link.lagDays ?? 0}
        label={`${label}, lag in days`}
        value={link.lagDays ?? 0}
        onSave={(lagDays) => void project.changeLink(link.id, { lagDays })}
      />
      <Choice
        label={`${label}, lag in`}
        value={link.elapsed ? "elapsed" : "working"}
        onChange={(value) => void project.changeLink(link.id, { elapsed: value === "elapsed" ? true : null })}
        isSmall
        options={[
          { value: "working", text: texts.workingDays2 },
          { value: "elapsed", text: texts.calendarDays },
        ]}
      />
    </>
  );
}

/** Days of lag, saved on Enter or on leaving it; negative ones overlap. */
function LagInput({ label, value, onSave }: { label: string; value: number; onSave: (value: number) => void }) {
  return (
    <DraftInput
      value={value}
      write={String}
      read={(text) => readAmount(text, -10_000, 10_000)}
      onSave={onSave}
      says={texts.daysNegativeForALead}
      aria-label={label}
      title={texts.lagInDaysNegative}
      inputMode="decimal"
      isSmall
      isFigure
    />
  );
}

const othersOf = (tasks: readonly Redacted<OutlineTask>[], own: Pick<Task, "id">) =>
  tasks.filter(({ task }) => task.id !== own.id).map(({ task: { id, name }, depth }) => ({ value: id, text: name, depth }));

function AddLink({
  entry,
  outline,
  project,
  onDone,
}: {
  entry: Redacted<OutlineTask>;
  outline: Redacted<Outline>;
  project: Hook;
  onDone: () => void;
}) {
  const { projects } = useNames();
  const [projectId, setProjectId] = useState(outline.project.id);
  const other = useMaybeAnswer("outline", projectId === outline.project.id ? null : { projectId }, null);
  const [from, setFrom] = useState("");
  const [kind, setKind] = useState<Link["kind"]>("FS");
  const [fault, setFault] = useState<string | null>(null);
  const tasks = (projectId === outline.project.id ? outline : other)?.tasks ?? [];
  const add = async () => {
    if (from === "") return setFault("Choose the predecessor.");
    const faults = await project.addLink({ from, to: entry.task.id, kind });
    setFault(faults[0]?.message ?? null);
    if (faults.length === 0) onDone();
  };
  return (
    <div className="space-y-2 rounded-card border border-line p-2">
      <Field label={texts.inTheProject}>
        <Picker
          value={projectId}
          onChange={(value) => {
            setProjectId(value);
            setFrom("");
          }}
          options={namedOptions(projects)}
        />
      </Field>
      <Field label={texts.predecessor}>
        <Picker value={from} onChange={setFrom} options={[none("Choose"), ...othersOf(tasks, entry.task)]} />
      </Field>
      <Field label={texts.thisTask}>
        <Choice value={kind} onChange={(value) => setKind(value)} options={wordOptions(linkKinds)} />
      </Field>
      <FormFault>{fault}</FormFault>
      <div className="flex gap-2">
        <Button onClick={() => void add()}>{texts.link}</Button>
        <Button onClick={onDone}>{texts.back}</Button>
      </div>
    </div>
  );
}

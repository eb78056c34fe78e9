"use client";
// Who works on a task and how much: the list, and a line to add to it.
import { X } from "lucide-react";
import { useState } from "react";
import type { OutlineTask, OutlineWork } from "../../core/answers/outline.ts";
import type { Assignment } from "../../core/plan/schema.ts";
import { OpenSign } from "../../ui/avatar.tsx";
import { Button, IconButton } from "../../ui/button.tsx";
import { Field, KindOptions, kindOf, Select, TextInput } from "../../ui/field.tsx";
import { hoursText, wholeText } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { newId } from "../../ui/newId.ts";
import { SheetSection } from "../../ui/sheet.tsx";
import { readAmount, useDraft } from "../../ui/useDraft.ts";
import { useNames } from "../frame/facts.ts";
import { useLinkTo } from "../frame/windowed.ts";
import { StaffChoice } from "./staffChoice.tsx";
import { decimal } from "./taskForm.ts";
import type { useProject } from "./useProject.ts";
import { type Statement, statements, WorkShape } from "./workShape.tsx";

type Hook = ReturnType<typeof useProject>;

export function TaskWork({ entry, project }: { entry: OutlineTask; project: Hook }) {
  const labour = entry.work.filter(({ kind }) => kind !== "material");
  const materials = entry.work.filter(({ kind }) => kind === "material");
  const implicit = entry.open - labour.reduce((sum, { kind, asked }) => sum + (kind === "opening" ? asked : 0), 0);
  return (
    <>
      <SheetSection title="Who">
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
            <OpenSign label="Nobody yet" />
            <span className="flex-1 text-ink-2">{entry.roleName ?? "No role"}, rest of the effort</span>
            <span className="font-semibold text-over">{hoursText(implicit)} h</span>
          </div>
        )}
        {labour.length === 0 && implicit <= 0 && <p className="pb-1 text-ink-2">Nobody yet. Add a person, or the role that is needed.</p>}
        <AddWork entry={entry} project={project} />
      </SheetSection>
      {materials.length > 0 && (
        <SheetSection title="Material">
          {materials.map(({ assignment, name, unit }) => (
            <div key={assignment.id} className="flex justify-between gap-3 py-[3px]">
              <span>{name}</span>
              <span className="whitespace-nowrap text-ink-2">
                {assignment.quantity === undefined ? `${assignment.quantityPerDay} ${unit} a day` : `${assignment.quantity} ${unit}`}
                {assignment.wastePercent ? ` + ${assignment.wastePercent}% waste` : ""}
              </span>
            </div>
          ))}
        </SheetSection>
      )}
    </>
  );
}

function WorkLine({
  work: { assignment, name, kind, asked, unplaced },
  isEffort,
  isShared,
  project,
}: {
  work: OutlineWork;
  isEffort: boolean;
  /** Others work on it whom taking this one off would leave with more, or with less. */
  isShared: boolean;
  project: Hook;
}) {
  const [isOpen, setOpen] = useState(false);
  const [isLeaving, setLeaving] = useState(false);
  const linkTo = useLinkTo();
  const stated = statements.find(({ key }) => assignment[key] !== undefined);
  return (
    <div className="py-1">
      <div className="flex items-center gap-2">
        {kind === "opening" && <OpenSign label="Nobody yet" />}
        <button
          type="button"
          aria-expanded={isOpen}
          title="How it is stated and spread"
          onClick={() => setOpen(!isOpen)}
          className="min-w-0 flex-1 truncate rounded-[4px] text-left hover:bg-well"
        >
          {name}
          {assignment.firmness === "pencilled" && <span className="text-ochre-ink"> · pencilled</span>}
        </button>
        {stated ? (
          <AmountInput
            key={assignment[stated.key]}
            name={`${name}, ${stated.says}`}
            value={assignment[stated.key] ?? 0}
            most={stated.most}
            onSave={(value) => void project.changeWork(assignment.id, { [stated.key]: value })}
          />
        ) : (
          <span>{hoursText(asked)} h</span>
        )}
        <span className="w-[58px] text-[12.5px] text-ink-2">{stated?.text ?? "by period"}</span>
        <IconButton
          label={`Take ${name} off this task`}
          onClick={() => (isShared ? setLeaving(!isLeaving) : void project.removeWork(assignment.id))}
          className="size-6!"
        >
          <X size={13} />
        </IconButton>
      </div>
      {isLeaving && (
        <StaffChoice
          title={`When ${name} leaves, what gives?`}
          query={{ taskId: assignment.taskId, leaves: assignment.id }}
          onTake={(edit) => project.edit(edit)}
          onCancel={() => setLeaving(false)}
        />
      )}
      {isOpen && (
        <WorkShape
          assignment={assignment}
          name={name}
          isEffort={isEffort}
          onChange={(set) => void project.changeWork(assignment.id, set)}
        />
      )}
      {unplaced > 0 && (
        <p className="text-[12.5px] text-over">
          {hoursText(unplaced)} h cannot be worked then.{" "}
          {assignment.personId !== undefined && (
            <Link
              href={linkTo(`/people/person/${encodeURIComponent(assignment.personId)}`, { part: `unplaced:${assignment.id}` })}
              className="text-pine underline"
            >
              Why, and ways out
            </Link>
          )}
        </p>
      )}
    </div>
  );
}

/** A number that is saved on Enter or on leaving it; Esc puts it back. */
function AmountInput({ name, value, most, onSave }: { name: string; value: number; most: number; onSave: (value: number) => void }) {
  const { props, isSound } = useDraft({ value, write: String, read: (text) => readAmount(text, 0, most), onSave });
  return (
    <TextInput
      {...props}
      aria-label={name}
      title={isSound ? undefined : `A number from 0 to ${most}`}
      inputMode="decimal"
      className="h-7! w-[58px]! text-right"
    />
  );
}

function AddWork({ entry, project }: { entry: OutlineTask; project: Hook }) {
  const linkTo = useLinkTo();
  const { people, roles, teams } = useNames();
  const isEffort = entry.task.sizing === "effort";
  const isShared = isEffort && entry.work.some(({ kind }) => kind !== "material");
  const [who, setWho] = useState("");
  const [amount, setAmount] = useState("");
  const [statement, setStatement] = useState<Statement>("hours");
  const [isPencilled, setPencilled] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const [share, setShare] = useState("100");
  const sharePercent = readAmount(share, 1, 1000);
  const [joinId, setJoinId] = useState(() => newId("work"));
  const ownRole = entry.task.roleId;
  const fitting = people.filter(({ roleIds }) => ownRole !== undefined && roleIds.includes(ownRole));
  const others = people.filter((person) => !fitting.includes(person));
  const subjectOf = (): Partial<Assignment> => {
    const { kind, id } = kindOf(who);
    return kind === "person" ? { personId: id } : kind === "team" ? { teamId: id } : { roleId: id };
  };
  const firmness = isPencilled ? { firmness: "pencilled" as const } : {};
  const add = async () => {
    const value = Number(decimal(amount));
    const { most } = statements.find(({ key }) => key === statement) ?? statements[0];
    if (who === "") return setFault("Choose who, or the role that is needed.");
    if (amount.trim() === "" || !(value >= 0 && value <= most)) return setFault(`Write how much: a number from 0 to ${wholeText(most)}.`);
    const faults = await project.addWork({ taskId: entry.task.id, ...subjectOf(), [statement]: value, ...firmness });
    setFault(faults[0]?.message ?? null);
    if (faults.length === 0) {
      setWho("");
      setAmount("");
    }
  };
  return (
    <details className="mt-1" open={entry.work.length === 0}>
      <summary className="cursor-pointer py-1 font-medium text-pine">Add somebody</summary>
      <div className="space-y-2 pt-1">
        <Field label="Who">
          <Select value={who} onChange={(event) => setWho(event.target.value)}>
            <option value="">Choose</option>
            {fitting.length > 0 && <KindOptions label={`${entry.roleName}`} kind="person" list={fitting} />}
            <KindOptions label="Needs somebody" kind="role" list={roles} />
            <KindOptions label={fitting.length > 0 ? "Other people" : "People"} kind="person" list={others} />
            {teams.length > 0 && <KindOptions label="Teams" kind="team" list={teams} />}
          </Select>
        </Field>
        {isShared ? (
          <Field label="Share of the day, %">
            <TextInput inputMode="decimal" value={share} onChange={(event) => setShare(event.target.value)} aria-invalid={!sharePercent} />
          </Field>
        ) : (
          <div className="grid grid-cols-[90px_1fr] gap-2">
            <Field label="How much">
              <TextInput
                inputMode="decimal"
                value={amount}
                onChange={(event) => setAmount(event.target.value)}
                onKeyDown={(event) => event.key === "Enter" && void add()}
              />
            </Field>
            <Field label="As">
              <Select value={statement} onChange={(event) => setStatement(event.target.value as Statement)} disabled={isEffort}>
                {statements.map(({ key, says }) => (
                  <option key={key} value={key}>
                    {says}
                  </option>
                ))}
              </Select>
            </Field>
          </div>
        )}
        <label className="flex items-center gap-2">
          <input type="checkbox" checked={isPencilled} onChange={(event) => setPencilled(event.target.checked)} className="accent-pine" />{" "}
          Pencilled
        </label>
        {fault && (
          <p role="alert" className="text-[12.5px] text-over">
            {fault}
          </p>
        )}
        {isShared ? (
          who !== "" &&
          sharePercent && (
            <StaffChoice
              title="What gives?"
              query={{
                taskId: entry.task.id,
                joins: { id: joinId, taskId: entry.task.id, ...subjectOf(), percent: sharePercent.value, ...firmness },
              }}
              onTake={async (edit) => {
                const isMade = await project.edit(edit);
                if (isMade) {
                  setWho("");
                  setJoinId(newId("work"));
                }
                return isMade;
              }}
            />
          )
        ) : (
          <Button onClick={() => void add()}>Add</Button>
        )}
        <Link href={linkTo("/openings/requests", { ask: entry.task.id })} className="ml-3 text-pine underline">
          Ask the manager instead
        </Link>
      </div>
    </details>
  );
}

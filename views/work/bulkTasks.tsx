"use client";
// Many tasks at once: what is left as it is stays.
import { useState } from "react";
import type { Redacted } from "../../client/seen.ts";
import type { OutlineTask } from "../../core/answers/outline.ts";
import type { Edit, SingleEdit } from "../../core/edits/edit.ts";
import { type FillKey, fillDown, fillKeys } from "../../core/typing/fillDown.ts";
import { Button } from "../../ui/button.tsx";
import { Choice } from "../../ui/choice.tsx";
import { Field, TextInput } from "../../ui/field.tsx";
import { countText, hoursText } from "../../ui/format.ts";
import { useKeys } from "../../ui/keys.ts";
import { ColumnChoice } from "../../ui/menu.tsx";
import { newId } from "../../ui/newId.ts";
import { namedOptions, none, wordOptions } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { ImpactView, useImpact } from "../effect/impact.tsx";
import { usePeopleWithRoom } from "../planFields/peopleWithRoom.ts";
import { useNames } from "../scope/facts.ts";
import { taskStates } from "./taskStates.ts";
import type { ProjectHook } from "./useProject.ts";
import { texts } from "./words.ts";

export function BulkTasks({ project }: { project: ProjectHook }) {
  const entries = project.tasks.filter(({ task, isSummary }) => project.ticked.has(task.id) && !isSummary);
  return (
    <Sheet title={countText(entries.length, "task")} subtitle="Empty fields stay unchanged" onClose={project.untickAll}>
      <ChangeTicked entries={entries} project={project} />
      {entries.length > 1 && <LinkInRow entries={entries} project={project} />}
      <DeleteTicked project={project} />
      {entries.length > 1 && <FillDown entries={entries} project={project} />}
    </Sheet>
  );
}

const asItIs = { roleId: "", personId: "", state: "", days: "" };

/** The values given to all selected tasks at once, and their effect. */
function ChangeTicked({ entries, project }: { entries: readonly Redacted<OutlineTask>[]; project: ProjectHook }) {
  const { roles } = useNames();
  const [fields, setFields] = useState(asItIs);
  const set = (key: keyof typeof asItIs) => (value: string) => setFields({ ...fields, [key]: value });
  const edit = together(entries, editsOf(entries, fields));
  const impact = useImpact(edit);
  const open = entries.reduce((sum, entry) => sum + entry.open, 0);
  const save = async () => {
    if (edit && (await project.edit(edit))) project.untickAll();
  };
  const { roleId, personId, state, days } = fields;
  const isNumber = days.trim() === "" || /^\d+([.,]\d+)?$/.test(days.trim());
  return (
    <>
      <SheetSection>
        <div className="space-y-3">
          <Field label={texts.role}>
            <Picker value={roleId} onChange={set("roleId")} options={[none("Unchanged"), ...namedOptions(roles)]} />
          </Field>
          <OpenWorkField open={open} personId={personId} onChange={set("personId")} />
          <div className="field-pair">
            <Field label={texts.state}>
              <Choice value={state} onChange={set("state")} options={[none("Unchanged"), ...wordOptions(taskStates)]} />
            </Field>
            <DaysField text={days} isSound={isNumber} onChange={set("days")} />
          </div>
          <Button look="main" disabled={edit === null || !isNumber} onClick={() => void save()}>
            Change {countText(entries.length, "task")}
          </Button>
        </div>
      </SheetSection>
      {edit && <ImpactView impact={impact} />}
    </>
  );
}

/** @param open Minutes that nobody is to work yet. */
function OpenWorkField({ open, personId, onChange }: { open: number; personId: string; onChange: (personId: string) => void }) {
  const { people, onOpen } = usePeopleWithRoom();
  return (
    <Field label={texts.assignTheUnassignedWorkTo} hint={`${hoursText(open)} h of it are unassigned`}>
      <Picker
        value={personId}
        onOpen={onOpen}
        onChange={onChange}
        disabled={open === 0}
        options={[none("Nobody"), ...namedOptions(people)]}
      />
    </Field>
  );
}

function DaysField({ text, isSound, onChange }: { text: string; isSound: boolean; onChange: (text: string) => void }) {
  return (
    <Field label={texts.workingDays} fault={isSound ? undefined : "Enter a number."}>
      <TextInput value={text} onChange={(event) => onChange(event.target.value)} placeholder="unchanged" inputMode="decimal" />
    </Field>
  );
}

function together(entries: readonly Redacted<OutlineTask>[], edits: SingleEdit[]): Edit | null {
  if (edits.length < 2) return edits[0] ?? null;
  return { kind: "together", words: `change ${countText(entries.length, "task")}`, edits };
}

/** Each of them follows the one above it, where it does not yet. */
function LinkInRow({ entries, project }: { entries: readonly Redacted<OutlineTask>[]; project: ProjectHook }) {
  const links = project.outline?.links ?? [];
  const edits = entries.slice(1).flatMap(({ task }, at): SingleEdit[] => {
    const from = entries[at].task.id;
    if (links.some(({ link }) => link.from === from && link.to === task.id)) return [];
    return [{ kind: "addLink", link: { id: newId("link"), from, to: task.id, kind: "FS" } }];
  });
  const link = async () => {
    const words = `link ${countText(entries.length, "task")} in a row`;
    if (await project.edit({ kind: "together", words, edits })) project.untickAll();
  };
  return (
    <SheetSection title={texts.links}>
      <Button disabled={edits.length === 0} onClick={() => void link()}>
        {texts.linkInSequence}
      </Button>
      <p className="pt-1 text-side">{edits.length === 0 ? texts.eachAlreadyFollowsTheOne : texts.inOutlineOrderEachStarts}</p>
    </SheetSection>
  );
}

/** All ticked rows go, with what lies below them. */
function DeleteTicked({ project }: { project: ProjectHook }) {
  const ids = [...project.ticked];
  const [isDeleting, setDeleting] = useState(false);
  const deleteAll = async () => {
    setDeleting(true);
    if (await project.edit({ kind: "deleteTasks", ids })) project.untickAll();
    setDeleting(false);
  };
  return (
    <SheetSection>
      <Button disabled={isDeleting} onClick={() => void deleteAll()}>
        {isDeleting ? texts.deleting : `Delete ${countText(ids.length, "task")}`}
      </Button>
      <p className="pt-1 text-side">{texts.deletesTheirSubtasksWorkLinks}</p>
    </SheetSection>
  );
}

const fillWords: Record<FillKey, string> = {
  who: "Who",
  role: "Role",
  days: "Working days",
  state: "State and progress",
  priority: "Priority",
  tags: "Tags",
  deadline: "Deadline",
  notBefore: "Start no earlier than",
  material: "Material",
};

/** The values of the first task apply to the others; F does it from the keyboard. */
function FillDown({ entries, project }: { entries: readonly Redacted<OutlineTask>[]; project: ProjectHook }) {
  const [keys, setKeys] = useState<FillKey[]>(["who"]);
  const [first] = entries;
  const edits = fillDown(entries, keys, newId);
  const fill = async () => {
    if (edits.length === 0) return;
    const words = `fill ${countText(entries.length - 1, "task")} down from "${first.task.name}"`;
    if (await project.edit({ kind: "together", words, edits })) project.untickAll();
  };
  useKeys({ f: () => void fill() });
  return (
    <SheetSection title={`Fill down from “${first.task.name}”`}>
      <ColumnChoice all={fillKeys} words={fillWords} chosen={keys} onChoose={setKeys} />
      <Button onClick={() => void fill()} disabled={edits.length === 0} className="mt-2">
        Fill down <kbd className="font-sans opacity-75">F</kbd>
      </Button>
      {edits.length === 0 && <p className="pt-1 text-side">{texts.theOthersAlreadyHaveThese}</p>}
    </SheetSection>
  );
}

function editsOf(entries: readonly Redacted<OutlineTask>[], { roleId, personId, state, days }: typeof asItIs): SingleEdit[] {
  const ids = entries.map(({ task }) => task.id);
  const set: Record<string, unknown> = {
    ...(roleId && { roleId }),
    ...(state && { state, ...(state === "done" && { percentComplete: 100 }) }),
    ...(days.trim() && { sizing: "duration", durationDays: Number(days.replace(",", ".")), start: null, finish: null }),
  };
  const edits: SingleEdit[] = ids.length > 0 && Object.keys(set).length > 0 ? [{ kind: "changeTasks", ids, set }] : [];
  const staff = personId === "" ? null : staffEdit(entries, personId);
  return staff ? [...edits, staff] : edits;
}

/** Openings that are stated are taken over; what only the effort states becomes an assignment. */
function staffEdit(entries: readonly Redacted<OutlineTask>[], personId: string): SingleEdit | null {
  const openings = entries.flatMap(({ work }) => work.filter(({ kind }) => kind === "opening").map(({ assignment }) => assignment.id));
  const assignments = entries.flatMap(({ task, open, work }) => {
    const rest = open - work.reduce((sum, { kind, asked }) => sum + (kind === "opening" ? asked : 0), 0);
    return rest > 0 ? [{ id: newId("work"), taskId: task.id, personId, hours: Math.round(rest / 0.6) / 100 }] : [];
  });
  return openings.length + assignments.length > 0 ? { kind: "staffTasks", personId, openings, assignments } : null;
}

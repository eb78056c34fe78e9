"use client";
// The fields that expenses and bookings have alike.
import { useMaybeAnswer } from "../../client/session.tsx";
import { DraftInput } from "../../ui/draftInput.tsx";
import { Field } from "../../ui/field.tsx";
import { namedOptions, none } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { texts } from "./words.ts";

/** The task of a project, or the project as a whole. */
export function TaskField({
  projectId,
  taskId = "",
  onChange,
}: {
  projectId: string;
  taskId?: string;
  onChange: (taskId: string | null) => void;
}) {
  const outline = useMaybeAnswer("outline", { projectId }, null);
  const tasks = (outline?.tasks ?? []).map(({ task }) => task);
  return (
    <Field label={texts.task}>
      <Picker value={taskId} options={[none("Whole project"), ...namedOptions(tasks)]} onChange={(id) => onChange(id || null)} />
    </Field>
  );
}

interface TypedProps {
  label: string;
  value: string;
  read: (text: string) => { value: string } | null;
  says: string;
  list?: readonly string[];
  onSave: (value: string) => void;
}

/** A text that is saved when the field is left; known texts are offered. */
export function TypedField({ label, value, read, says, list, onSave }: TypedProps) {
  const listId = `list-${label}`;
  return (
    <Field label={label}>
      <DraftInput value={value} write={(text) => text} read={read} onSave={onSave} says={says} {...(list && { list: listId })} />
      {list && (
        <datalist id={listId}>
          {list.map((own) => (
            <option key={own} value={own} />
          ))}
        </datalist>
      )}
    </Field>
  );
}

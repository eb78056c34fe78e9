"use client";
// A team in the side sheet: name, handle, the team above it, project, members, description.
import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import type { UseFormReturn } from "react-hook-form";
import * as z from "zod";
import type { TeamRow } from "../../../core/answers/teamBoard.ts";
import type { Edit } from "../../../core/edits/edit.ts";
import { Button } from "../../../ui/button.tsx";
import { CheckboxField } from "../../../ui/checkbox.tsx";
import { Field, TextInput } from "../../../ui/field.tsx";
import { FormChoice, FormPicker } from "../../../ui/form.tsx";
import { hoursText } from "../../../ui/format.ts";
import { FormEnd } from "../../../ui/formEnd.tsx";
import { newId } from "../../../ui/newId.ts";
import { namedOptions, none } from "../../../ui/options.ts";
import { Sheet, SheetSection, SumLine } from "../../../ui/sheet.tsx";
import { toggledList } from "../../../ui/toggled.ts";
import { useFormOver } from "../../../ui/useFormOver.ts";
import { useUnderWay } from "../../notices/underWay.ts";
import { useNames } from "../../scope/facts.ts";
import { texts } from "../words.ts";

const fieldsSchema = z.object({
  name: z.string().trim().min(1, { error: texts.enterANameForTheTeam }).max(300),
  handle: z
    .string()
    .trim()
    .regex(/^[\w-]{1,60}$/, { error: texts.lettersDigitsAndDashesWithout }),
  parentId: z.string(),
  projectId: z.string(),
  description: z.string().max(2_000),
  memberIds: z.array(z.string()),
});
type Fields = z.infer<typeof fieldsSchema>;

interface TeamSheetProps {
  row: TeamRow | null;
  rows: readonly TeamRow[];
  onEdit: (edit: Edit) => Promise<boolean>;
  onClose: () => void;
  onAdded: (id: string) => void;
}

export function TeamSheet({ row, rows, onEdit, onClose, onAdded }: TeamSheetProps) {
  const save = async (typed: Fields) => {
    const text = (value: string) => (value.trim() === "" ? null : value.trim());
    const set = { ...typed, parentId: text(typed.parentId), projectId: text(typed.projectId), description: text(typed.description) };
    if (row) return onEdit({ kind: "changeTeam", id: row.team.id, set });
    const id = newId("team");
    const stated = Object.fromEntries(Object.entries(set).filter(([, value]) => value !== null));
    const { name, handle, memberIds } = typed;
    const isAdded = await onEdit({ kind: "addTeam", team: { ...stated, id, name, handle, memberIds } });
    if (isAdded) onAdded(id);
    return isAdded;
  };
  const remove = async () => {
    if (row && (await onEdit({ kind: "deleteTeam", id: row.team.id }))) onClose();
  };
  const below = new Set(row ? rowsBelow(rows, row.team.id) : []);
  return (
    <Sheet
      title={row?.team.name ?? "New team"}
      subtitle={row ? `@${row.team.handle}` : "People who can be assigned work together"}
      onClose={onClose}
    >
      {row && <Sums row={row} />}
      <SheetSection>
        <TeamForm
          key={row?.team.id ?? "new"}
          row={row}
          parents={rows.filter(({ team }) => team.id !== row?.team.id && !below.has(team.id))}
          onSave={save}
          onDelete={() => void remove()}
        />
      </SheetSection>
    </Sheet>
  );
}

function rowsBelow(rows: readonly TeamRow[], id: string): string[] {
  return rows.filter(({ team }) => team.parentId === id).flatMap(({ team }) => [team.id, ...rowsBelow(rows, team.id)]);
}

/** The window's figures of the team, adding up. */
function Sums({ row: { capacity, toTeam, toMembers } }: { row: TeamRow }) {
  const sum = (minutes: readonly number[]) => minutes.reduce((total, own) => total + own, 0);
  const free = sum(capacity) - sum(toTeam) - sum(toMembers);
  return (
    <SheetSection title={texts.inTheWindow}>
      <SumLine figure={`${hoursText(sum(capacity))} h`} isTotal>
        {texts.capacityOfItsPeople}
      </SumLine>
      <SumLine figure={`${hoursText(sum(toMembers))} h`}>{texts.assignedToThemByName}</SumLine>
      <SumLine figure={`${hoursText(sum(toTeam))} h`}>{texts.assignedToTheTeam}</SumLine>
      <SumLine figure={`${hoursText(free)} h`} isTotal isOver={free < 0}>
        {texts.free}
      </SumLine>
    </SheetSection>
  );
}

interface TeamFormProps {
  row: TeamRow | null;
  parents: readonly TeamRow[];
  /** True where it was saved. */
  onSave: (fields: Fields) => Promise<boolean>;
  onDelete: () => void;
}

function TeamForm({ row, parents, onSave, onDelete }: TeamFormProps) {
  const form = useFormOver<Fields>(`teams ${row?.team.id ?? "new"}`, fieldsOf(row), zodResolver(fieldsSchema));
  useUnderWay("teams", row?.team.id, form.formState.isDirty);
  const save = async (fields: Fields) => {
    if (await onSave(fields)) form.forget();
  };
  return (
    <form noValidate className="space-y-3" onSubmit={(event) => void form.handleSubmit(save)(event)}>
      <TeamFields form={form} parents={parents} isNew={!row} />
      <Members form={form} />
      <FormEnd form={form} saveText={row ? "Save" : "Add team"} isNew={!row}>
        {row && (
          <Button look="danger" onClick={onDelete}>
            Delete
          </Button>
        )}
      </FormEnd>
    </form>
  );
}

const fieldsOf = (row: TeamRow | null): Fields => ({
  name: row?.team.name ?? "",
  handle: row?.team.handle ?? "",
  parentId: row?.team.parentId ?? "",
  projectId: row?.team.projectId ?? "",
  description: row?.team.description ?? "",
  memberIds: row?.team.memberIds ?? [],
});

interface TeamFieldsProps {
  form: UseFormReturn<Fields>;
  parents: readonly TeamRow[];
  isNew: boolean;
}

function TeamFields({ form: { register, control, formState }, parents, isNew }: TeamFieldsProps) {
  const { projects } = useNames();
  const { errors } = formState;
  return (
    <>
      <div className="field-pair">
        <Field label={texts.name} fault={errors.name?.message}>
          <TextInput {...register("name")} autoFocus={isNew} />
        </Field>
        <Field label={texts.handle} fault={errors.handle?.message}>
          <TextInput {...register("handle")} placeholder="workshop" />
        </Field>
      </div>
      <Field label={texts.partOf}>
        <FormChoice
          control={control}
          name="parentId"
          options={[none("No other team"), ...parents.map(({ team }) => ({ value: team.id, text: team.name }))]}
        />
      </Field>
      <Field label={texts.forTheProject}>
        <FormPicker control={control} name="projectId" options={[none("No single project"), ...namedOptions(projects)]} />
      </Field>
      <Field label={texts.description}>
        <TextInput {...register("description")} />
      </Field>
    </>
  );
}

/** The members; search results can be added. */
function Members({ form: { watch, setValue } }: { form: UseFormReturn<Fields> }) {
  const { people } = useNames();
  const [search, setSearch] = useState("");
  const memberIds = watch("memberIds");
  const text = search.trim().toLowerCase();
  const listed = people.filter(({ id, name }) => (text === "" ? memberIds.includes(id) : name.toLowerCase().includes(text))).slice(0, 40);
  const toggle = (id: string) => setValue("memberIds", toggledList(memberIds, id), { shouldDirty: true });
  return (
    <fieldset>
      <legend className="field-label">Members, {memberIds.length}</legend>
      <TextInput
        aria-label={texts.findPeopleForTheTeam}
        placeholder={texts.findAPersonToAdd}
        value={search}
        onChange={(event) => setSearch(event.target.value)}
      />
      <div className="max-h-[200px] overflow-y-auto pt-1">
        {listed.map(({ id, name }) => (
          <CheckboxField key={id} checked={memberIds.includes(id)} onChange={() => toggle(id)}>
            {name}
          </CheckboxField>
        ))}
        {listed.length === 0 && <p className="py-1 text-ink-2">{text === "" ? texts.noMembersYet : texts.noResults}</p>}
      </div>
    </fieldset>
  );
}

"use client";
// Making a project: empty, from a template, or from the tasks of another one.
import { useRouter } from "next/navigation";
import { usePlan } from "../../client/session.tsx";
import { formatDay } from "../../core/calendar/day.ts";
import type { Project } from "../../core/plan/schema.ts";
import type { CopyOptions } from "../../core/projects/copyProject.ts";
import { withSet } from "../../core/values/stated.ts";
import { newId } from "../../ui/newId.ts";
import { kindOf } from "../../ui/options.ts";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { usePlanFacts } from "../scope/facts.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { type ProjectFields, projectSet } from "./projectFields.ts";
import { ProjectForm } from "./projectForm.tsx";
import { texts } from "./words.ts";

export function NewProject({ onClose }: { onClose: () => void }) {
  const session = usePlan();
  const router = useRouter();
  const linkTo = useLinkTo();
  const { today } = usePlanFacts();
  const save = async (fields: ProjectFields) => {
    const { name, calendarId, stage, start, ...facts } = projectSet(fields);
    const project = withSet<Project>({ id: newId("project"), name, calendarId, stage, start }, facts);
    const edit = await session.ask("projectFrom", {
      project,
      source: sourceOf(fields.sourceId),
      keepsPeople: fields.keepsPeople,
      idStem: newId("copy"),
    });
    if ((await session.edit(edit)).length > 0) return false;
    router.push(linkTo(`/work/${encodeURIComponent(project.id)}`));
    return true;
  };
  return (
    <Sheet title={texts.newProject} subtitle="Empty, from a template, or with the tasks of another one" onClose={onClose}>
      <SheetSection>
        <ProjectForm project={{ start: formatDay(today) }} isNew saveText="Add project" onSave={save} />
      </SheetSection>
    </Sheet>
  );
}

function sourceOf(value: string): CopyOptions["source"] {
  const { kind, id } = kindOf(value);
  return kind === "template" ? { templateId: id } : kind === "project" ? { projectId: id } : null;
}

"use client";
// Keeping a project as a template, and the templates there are.
import { X } from "lucide-react";
import { useState } from "react";
import { usePlan } from "../../client/session.tsx";
import { Button, IconButton } from "../../ui/button.tsx";
import { Field, TextInput } from "../../ui/field.tsx";
import { newId } from "../../ui/newId.ts";
import { SheetSection } from "../../ui/sheet.tsx";
import { useNames } from "../scope/facts.ts";
import { texts } from "./words.ts";

export function Templates({ projectId, projectName }: { projectId: string; projectName: string }) {
  const session = usePlan();
  const { templates } = useNames();
  const [name, setName] = useState(projectName);
  const isTaken = templates.some((template) => template.name === name.trim());
  const save = () => void session.edit({ kind: "addTemplate", id: newId("template"), name: name.trim(), projectId });
  return (
    <SheetSection title={texts.templates}>
      <p className="pb-2 text-side">{texts.savesTheCurrentTasksLinks}</p>
      <div className="flex items-end gap-2">
        <div className="flex-1">
          <Field label={texts.saveAs} fault={isTaken ? "A template with this name already exists." : undefined}>
            <TextInput value={name} onChange={(event) => setName(event.target.value)} maxLength={300} />
          </Field>
        </div>
        <Button onClick={save} disabled={isTaken || name.trim() === ""} className={isTaken ? "mb-[22px]" : ""}>
          {texts.saveTemplate}
        </Button>
      </div>
      {templates.length > 0 && (
        <ul className="pt-2">
          {templates.map((template) => (
            <li key={template.id} className="flex items-center gap-2 line-above py-0.5">
              <span className="flex-1 truncate">{template.name}</span>
              <IconButton
                label={`Delete the template ${template.name}`}
                onClick={() => void session.edit({ kind: "deleteTemplate", id: template.id })}
              >
                <X size={13} />
              </IconButton>
            </li>
          ))}
        </ul>
      )}
    </SheetSection>
  );
}

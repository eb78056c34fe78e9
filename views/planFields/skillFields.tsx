"use client";
// Skills with their levels, as fields of a form: a person's, or what a task asks for.
import { Plus, X } from "lucide-react";
import { type Control, useFieldArray } from "react-hook-form";
import * as z from "zod";
import type { Person } from "../../core/plan/schema.ts";
import { Button, IconButton } from "../../ui/button.tsx";
import { FormFault } from "../../ui/field.tsx";
import { FormChoice, FormPicker } from "../../ui/form.tsx";
import { namedOptions, none, textOptions } from "../../ui/options.ts";
import { useNames } from "../scope/facts.ts";
import { texts } from "./words.ts";

export const skillFieldsSchema = z
  .array(z.object({ skillId: z.string(), level: z.string() }))
  .refine((skills) => new Set(namedIds(skills)).size === namedIds(skills).length, { error: texts.aSkillIsListedTwice });
type SkillRows = z.infer<typeof skillFieldsSchema>;

const namedIds = (skills: readonly { skillId: string }[]): string[] => skills.flatMap(({ skillId }) => skillId || []);

/** Levels as they are now in the form. */
export const skillRowsOf = (skills: Person["skills"] = []): SkillRows =>
  skills.map(({ skillId, level }) => ({ skillId, level: String(level) }));

/** The typed skills; null for none. Lines without a skill are left out. */
export function skillsOf(rows: SkillRows): Person["skills"] | null {
  const skills = rows.filter(({ skillId }) => skillId !== "").map(({ skillId, level }) => ({ skillId, level: Number(level) }));
  return skills.length > 0 ? skills : null;
}

/** @param control Of a form that has such rows as its field `skills`. */
export function SkillFields<F extends { skills: SkillRows }>({ control: own, fault }: { control: Control<F>; fault: string | undefined }) {
  // The name of the field does not depend on the other fields of the form, which the compiler cannot follow.
  const control = own as unknown as Control<{ skills: SkillRows }>;
  const { skills } = useNames();
  const levels = useFieldArray({ control, name: "skills" });
  return (
    <fieldset>
      <legend className="field-label">{texts.skills}</legend>
      {levels.fields.map((field, at) => (
        <div key={field.id} className="mb-1 flex gap-1.5">
          <FormPicker
            label={`Skill ${at + 1}`}
            control={control}
            name={`skills.${at}.skillId`}
            options={[none("Choose"), ...namedOptions(skills)]}
          />
          <FormChoice
            label={`Level of skill ${at + 1}`}
            control={control}
            name={`skills.${at}.level`}
            width={62}
            options={textOptions(["1", "2", "3", "4", "5"])}
          />
          <IconButton label={texts.removeThisSkill} onClick={() => levels.remove(at)}>
            <X size={14} />
          </IconButton>
        </div>
      ))}
      <FormFault>{fault}</FormFault>
      <Button look="quiet" onClick={() => levels.append({ skillId: "", level: "3" })} className="px-1!">
        <Plus size={14} /> Add a skill
      </Button>
    </fieldset>
  );
}

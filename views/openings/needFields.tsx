"use client";
// One need in "Free when?": a role, a skill, hours.
import { X } from "lucide-react";
import { readAmount } from "../../ui/amount.ts";
import { IconButton } from "../../ui/button.tsx";
import { Choice } from "../../ui/choice.tsx";
import { Field, TextInput } from "../../ui/field.tsx";
import { namedOptions, none, textOptions } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { useNames } from "../scope/facts.ts";
import { texts } from "./words.ts";

const levels = ["1", "2", "3", "4", "5"] as const;

export interface TypedNeed {
  key: string;
  roleId: string;
  skillId: string;
  level: (typeof levels)[number];
  hours: string;
}

export const hoursOfNeed = ({ hours }: TypedNeed) => readAmount(hours, 0.1, 100_000);

interface NeedFieldsProps {
  need: TypedNeed;
  onChange: (set: Partial<TypedNeed>) => void;
  /** Left out of the first one. */
  onRemove?: () => void;
}

export function NeedFields({ need, onChange, onRemove }: NeedFieldsProps) {
  const { roles, skills } = useNames();
  return (
    <fieldset className="space-y-3">
      <div className="flex items-end gap-2">
        <div className="min-w-0 flex-1">
          <Field label={texts.role}>
            <Picker value={need.roleId} onChange={(roleId) => onChange({ roleId })} options={[none("Any role"), ...namedOptions(roles)]} />
          </Field>
        </div>
        {onRemove && (
          <IconButton label={texts.removeThisRole} onClick={onRemove}>
            <X size={14} />
          </IconButton>
        )}
      </div>
      <div className="grid grid-cols-[1fr_66px_72px] gap-2">
        <Field label={texts.skill}>
          <Picker
            value={need.skillId}
            onChange={(skillId) => onChange({ skillId })}
            options={[none("Any skill"), ...namedOptions(skills)]}
          />
        </Field>
        <Field label={texts.level}>
          <Choice
            value={need.level}
            onChange={(level) => onChange({ level })}
            disabled={need.skillId === ""}
            options={textOptions(levels)}
          />
        </Field>
        <Field label={texts.hours} fault={hoursOfNeed(need) ? undefined : "Enter a number."}>
          <TextInput inputMode="decimal" value={need.hours} onChange={(event) => onChange({ hours: event.target.value })} />
        </Field>
      </div>
    </fieldset>
  );
}

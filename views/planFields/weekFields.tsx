"use client";
// Seven fields for the hours of a week.
import type { FieldErrors, Path, UseFormRegister } from "react-hook-form";
import * as z from "zod";
import { FormFault, TextInput } from "../../ui/field.tsx";
import { WEEKDAYS } from "../../ui/format.ts";
import { texts } from "./words.ts";

const read = (text: string) => Number(text.trim() === "" ? 0 : text.replace(",", "."));

/** Seven typed hours, each 0 to 24. */
export const weekSchema = z.array(z.string().refine((text) => read(text) >= 0 && read(text) <= 24, { error: texts.n0To24 })).length(7);

/** The hours that were typed. */
export const weekHours = (week: readonly string[]): number[] => week.map(read);

export function WeekFields<T extends { week: string[] }>({
  register,
  name,
  faults,
}: {
  register: UseFormRegister<T>;
  name: Path<T>;
  faults: FieldErrors<{ week: string[] }>["week"];
}) {
  return (
    <div>
      <div className="grid grid-cols-7 gap-1">
        {WEEKDAYS.map((day, at) => (
          <label key={day} className="text-center text-[12px] text-ink-2">
            {day}
            <TextInput {...register(`${name}.${at}` as Path<T>)} inputMode="decimal" aria-invalid={faults?.[at] !== undefined} />
          </label>
        ))}
      </div>
      <FormFault>{faults && "Enter 0 to 24 hours for a day."}</FormFault>
    </div>
  );
}

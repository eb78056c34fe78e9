"use client";
// A weekly pattern: the hours of each weekday, from when and until when; none at all is a gap in the work.
import { zodResolver } from "@hookform/resolvers/zod";
import { useForm } from "react-hook-form";
import * as z from "zod";
import type { PersonYear } from "../../../core/answers/personYear.ts";
import { formatDay } from "../../../core/calendar/day.ts";
import type { Edit } from "../../../core/edits/edit.ts";
import type { Person } from "../../../core/plan/schema.ts";
import { Button } from "../../../ui/button.tsx";
import { DATE_HINT, isDateText, readDate, writeDate } from "../../../ui/dateText.ts";
import { FormDate } from "../../../ui/form.tsx";
import { useImpact } from "../../effect/impact.tsx";
import { WeekFields, weekHours, weekSchema } from "../../planFields/weekFields.tsx";
import { usePlanFacts } from "../../scope/facts.ts";
import { texts } from "../words.ts";
import { PartForm } from "./partForm.tsx";
import type { PersonHook } from "./usePerson.ts";

const fieldsSchema = z
  .object({ week: weekSchema, from: z.string(), to: z.string().refine(isDateText, { error: DATE_HINT }) })
  .superRefine(({ from, to }, context) => {
    const [first, last] = [readDate(from), readDate(to)];
    if (first === null) context.addIssue({ code: "custom", path: ["from"], message: texts.enterTheDate });
    else if (last !== null && last < first) context.addIssue({ code: "custom", path: ["to"], message: texts.theLastDayMust });
  });
type Fields = z.infer<typeof fieldsSchema>;
type Pattern = NonNullable<Person["patterns"]>[number];

interface WeekProps {
  answer: PersonYear;
  at: number | null;
  hook: PersonHook;
  onClose: () => void;
}

export function WeekForm(props: WeekProps) {
  const { register, control, formState, setNoWork, ...acts } = useWeek(props);
  const { errors } = formState;
  const isNew = props.at === null;
  return (
    <PartForm
      title={isNew ? texts.anotherWeek : texts.ownWorkingWeek}
      personName={props.answer.person.name}
      isNew={isNew}
      addText="Add this week"
      deleteText="Remove"
      state={formState}
      onClose={props.onClose}
      {...acts}
    >
      <WeekFields register={register} name="week" faults={errors.week} />
      <div className="field-pair">
        <FormDate label={texts.fromText} control={control} name="from" />
        <FormDate label={texts.until} control={control} name="to" placeholder={texts.noEnd} />
      </div>
      <Button look="quiet" className="px-1!" onClick={setNoWork}>
        {texts.noWorkOnTheseDates}
      </Button>
    </PartForm>
  );
}

/** The typed values, their edit and its effect. */
function useWeek({ answer: { person, spans }, at, hook, onClose }: WeekProps) {
  const { today } = usePlanFacts();
  const known = at === null ? null : (person.patterns?.[at] ?? null);
  const { register, control, handleSubmit, watch, setValue, formState } = useForm<Fields>({
    resolver: zodResolver(fieldsSchema),
    mode: "onChange",
    defaultValues: {
      week: (known?.week ?? spans.at(-1)?.week ?? [8, 8, 8, 8, 8, 0, 0]).map(String),
      from: writeDate(known?.from ?? formatDay(today)),
      to: writeDate(known?.to),
    },
  });
  const fields = watch();
  const edit = (typed: Fields): Edit => ({
    kind: "changePerson",
    id: person.id,
    set: { patterns: withPattern(person.patterns ?? [], at, typed) },
  });
  const impact = useImpact(fieldsSchema.safeParse(fields).success && (at === null || formState.isDirty) ? edit(fields) : null);
  const save = async (typed: Fields) => {
    if (await hook.edit(edit(typed))) onClose();
  };
  const onDelete = async () => {
    const kept = (person.patterns ?? []).filter((_, own) => own !== at);
    if (await hook.changePerson({ patterns: kept.length > 0 ? kept : null })) onClose();
  };
  const setNoWork = () => setValue("week", ["0", "0", "0", "0", "0", "0", "0"], { shouldDirty: true, shouldValidate: true });
  return { register, control, formState, impact, onSubmit: handleSubmit(save), onDelete, setNoWork };
}

/** The patterns with one changed or added, in order of their first days, so that later ones win over earlier ones. */
function withPattern(patterns: readonly Pattern[], at: number | null, { week, from, to }: Fields): Pattern[] {
  const last = readDate(to);
  const pattern: Pattern = { from: readDate(from) ?? "", ...(last !== null && { to: last }), week: weekHours(week) };
  if (at !== null) return patterns.map((own, row) => (row === at ? pattern : own));
  const before = patterns.findLastIndex((own) => own.from <= pattern.from);
  // One with an end is a stretch inside what there is: it has to be behind all it covers.
  return pattern.to === undefined ? patterns.toSpliced(before + 1, 0, pattern) : [...patterns, pattern];
}

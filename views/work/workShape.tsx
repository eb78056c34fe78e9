"use client";
// The statement and distribution of an assignment's work: the five ways, the shape, its own dates, and the resulting weeks.
import { toast } from "sonner";
import { useMaybeAnswer, usePlan } from "../../client/session.tsx";
import type { WorkWeeks } from "../../core/answers/workWeeks.ts";
import type { Assignment } from "../../core/plan/schema.ts";
import { type Way, wayOf } from "../../core/plan/workStated.ts";
import { readAmount } from "../../ui/amount.ts";
import { Choice } from "../../ui/choice.tsx";
import { DATE_HINT, readDate, writeDate } from "../../ui/dateText.ts";
import { DraftInput } from "../../ui/draftInput.tsx";
import { Field } from "../../ui/field.tsx";
import { hoursText, shortDay } from "../../ui/format.ts";
import { wordOptions } from "../../ui/options.ts";
import { useInTurn } from "../scope/useInTurn.ts";
import { formerStatement, keepFormer } from "./formerStatement.ts";
import type { Setting } from "./useTaskEdits.ts";
import { texts } from "./words.ts";

export const statements = [
  { key: "hours", text: texts.hInTotal, says: texts.totalHours, most: 1_000_000 },
  { key: "percent", text: texts.percentOfTime, says: texts.percentOfTheirTime, most: 1_000 },
  { key: "hoursPerDay", text: texts.hADay, says: texts.hoursADay, most: 24 },
  { key: "hoursPerWeek", text: texts.hAWeek, says: texts.hoursAWeek, most: 168 },
] as const;
export type Statement = (typeof statements)[number]["key"];

const shapes: Record<NonNullable<Assignment["shape"]>, string> = {
  even: "Evenly",
  early: "More at the start",
  late: "More at the end",
  peak: "Most in the middle",
};
const firmnesses: Record<NonNullable<Assignment["firmness"]>, string> = {
  pencilled: "Pencilled",
  asked: "Requested",
  confirmed: "Confirmed",
};

interface ShapeProps {
  assignment: Assignment;
  name: string;
  onChange: (set: Setting<Assignment>) => Promise<unknown>;
}

export function WorkShape({ assignment, name, isEffort, onChange }: ShapeProps & { isEffort: boolean }) {
  const weeks = useMaybeAnswer("workWeeks", { assignmentId: assignment.id }, null);
  const known = weeks?.assignmentId === assignment.id ? weeks : null;
  const stated = wayOf(assignment);
  const restate = useRestate(assignment.id, name, onChange);
  const typeWeek = (at: number, hours: number) =>
    onChange({ custom: (assignment.custom ?? []).map((bucket, own) => (own === at ? { ...bucket, hours } : bucket)) });
  return (
    <div className="mb-1 space-y-2 rounded-card border border-line p-2">
      <div className="grid grid-cols-2 gap-2">
        <Field label={texts.enteredAs} hint={known ? `Needs ${hoursText(known.asked)} h` : undefined}>
          <Choice<Way>
            value={stated}
            disabled={isEffort}
            onChange={restate}
            label={`${name}, entered as`}
            options={[...statements.map(({ key, says }) => ({ value: key, text: says })), { value: "custom", text: texts.weekByWeek }]}
          />
        </Field>
        <Field label={texts.firmness}>
          <Choice
            value={assignment.firmness ?? "confirmed"}
            onChange={(value) => onChange({ firmness: value })}
            label={`${name}, firmness`}
            options={wordOptions(firmnesses)}
          />
        </Field>
        {!isEffort && stated !== "custom" && <Spread assignment={assignment} name={name} onChange={onChange} />}
      </div>
      {known && known.weeks.length > 0 && (
        <WeekBars weeks={known} buckets={assignment.custom} name={name} onType={stated === "custom" ? typeWeek : undefined} />
      )}
    </div>
  );
}

/** The distribution over its dates, and its own dates. */
function Spread({ assignment, name, onChange }: ShapeProps) {
  return (
    <>
      <Field label={texts.spread}>
        <Choice
          value={assignment.shape ?? "even"}
          onChange={(value) => onChange({ shape: value })}
          label={`${name}, spread`}
          options={wordOptions(shapes)}
        />
      </Field>
      <span />
      <DateInput label={`${name}, from`} text={texts.fromText} value={assignment.from} onSave={(from) => onChange({ from })} />
      <DateInput label={`${name}, until`} text={texts.until} value={assignment.to} onSave={(to) => onChange({ to })} />
    </>
  );
}

/** States the same work in another way; back in a former way it says what it said there. */
function useRestate(assignmentId: string, name: string, onChange: (set: Setting<Assignment>) => Promise<unknown>) {
  const session = usePlan();
  // A choice on top of another one starts from that, not from the state that the screen shows yet.
  const inTurn = useInTurn();
  const restate = async (way: Way) => {
    const made = await session.ask("restatement", { assignmentId, way });
    if (!made) return;
    const { from, now } = made;
    const next = formerStatement(assignmentId, now, way) ?? made.next;
    if (!next) {
      toast(`${name} has no working day in the window, so this work cannot be entered that way.`);
      return;
    }
    keepFormer(assignmentId, { from: { way: from, set: now }, to: next });
    await onChange(next);
  };
  return (way: Way) => inTurn(() => restate(way));
}

/** A day of its own, saved on leaving it; empty for the task's. */
function DateInput({
  label,
  text,
  value,
  onSave,
}: {
  label: string;
  text: string;
  value: string | undefined;
  onSave: (date: string | null) => void;
}) {
  return (
    <Field label={text}>
      <DraftInput<string | null>
        value={value ?? null}
        write={(date) => writeDate(date ?? undefined)}
        read={(typed) => (typed.trim() === "" ? { value: null } : readDate(typed) === null ? null : { value: readDate(typed) })}
        onSave={onSave}
        says={DATE_HINT}
        aria-label={label}
        placeholder={texts.asTheTask}
      />
    </Field>
  );
}

/** The hours of each week as columns; typed over where they are stated week by week. */
function WeekBars({
  weeks: { weeks },
  buckets,
  name,
  onType,
}: {
  weeks: WorkWeeks;
  buckets: Assignment["custom"];
  name: string;
  onType?: (at: number, hours: number) => void;
}) {
  const most = Math.max(1, ...weeks.map(({ minutes }) => minutes));
  return (
    <figure>
      <figcaption className="pb-1 text-side">{texts.hoursAWeek2}</figcaption>
      <div className="flex h-[46px] items-end gap-[3px]">
        {weeks.slice(0, 40).map(({ week, minutes, over }) => (
          <span key={week.start} title={`week of ${shortDay(week.start)}: ${hoursText(minutes)} h`} className="week-column">
            {weeks.length <= 9 && <span className={over ? "figure-bad" : ""}>{hoursText(minutes)}</span>}
            <span className={`w-full ${over ? "sign-over" : "bg-room"}`} style={{ height: Math.max(1, (minutes / most) * 28) }} />
          </span>
        ))}
      </div>
      <div className="flex justify-between pt-0.5 text-[11.5px] text-ink-2">
        <span>{shortDay(weeks[0].week.start)}</span>
        <span>{shortDay((weeks.at(-1)?.week.stop ?? 1) - 1)}</span>
      </div>
      {onType && buckets && (
        <div className="grid grid-cols-3 gap-1.5 pt-2">
          {buckets.map((bucket, at) => (
            <BucketInput key={`${bucket.from} ${bucket.hours}`} name={name} bucket={bucket} onSave={(hours) => onType(at, hours)} />
          ))}
        </div>
      )}
    </figure>
  );
}

function BucketInput({
  name,
  bucket,
  onSave,
}: {
  name: string;
  bucket: { from: string; to: string; hours: number };
  onSave: (hours: number) => void;
}) {
  return (
    <div className="text-[11.5px] text-ink-2">
      {writeDate(bucket.from).replace(/ \d{4}$/, "")}
      <DraftInput
        value={bucket.hours}
        write={String}
        read={(typed) => readAmount(typed, 0, 1_000_000)}
        onSave={onSave}
        says={texts.hoursFrom0To1}
        aria-label={`${name}, hours from ${writeDate(bucket.from)}`}
        inputMode="decimal"
        isSmall
        isFigure
      />
    </div>
  );
}

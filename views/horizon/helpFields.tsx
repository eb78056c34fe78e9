"use client";
// The figures of a help, to be changed before it is tried: number, dates, rate, learning time.
import { formatDay, parseDay } from "../../core/calendar/day.ts";
import type { Help } from "../../core/forecast/help.ts";
import { readAmount } from "../../ui/amount.ts";
import { meantDate, writeDate } from "../../ui/dateText.ts";
import { DraftInput } from "../../ui/draftInput.tsx";
import { Field } from "../../ui/field.tsx";
import { usePlanFacts } from "../scope/facts.ts";
import { texts } from "./words.ts";

interface Props<K extends Help["kind"]> {
  help: Help & { kind: K };
  onChange: (help: Help) => void;
}

/** The fields of one help; none for work that is lent, which has no figures. */
export function HelpFields({ help, onChange }: { help: Help; onChange: (help: Help) => void }) {
  switch (help.kind) {
    case "hire":
      return <HireFields help={help} onChange={onChange} />;
    case "train":
      return <TrainFields help={help} onChange={onChange} />;
    case "later":
      return (
        <FigureField
          label={texts.weeksLater}
          value={help.days / 7}
          least={0}
          most={260}
          onSave={(weeks) => onChange({ ...help, days: weeks * 7 })}
        />
      );
    case "lend":
      return null;
  }
}

function HireFields({ help, onChange }: Props<"hire">) {
  const { currency } = usePlanFacts();
  return (
    <div className="field-pair">
      <FigureField label={texts.people} value={help.people} least={1} most={50} onSave={(people) => onChange({ ...help, people })} />
      <FigureField
        label={texts.weeksToLearn}
        value={help.learningWeeks}
        least={0}
        most={52}
        onSave={(learningWeeks) => onChange({ ...help, learningWeeks })}
      />
      <DayField label={texts.firstDay} value={help.from} onSave={(from) => from !== null && onChange({ ...help, from })} />
      <DayField label={texts.lastDay} value={help.to} isOptional onSave={(to) => onChange({ ...help, to })} />
      <Field label={`Cost rate, ${currency}/h`} hint={texts.emptyTheRate}>
        <DraftInput
          value={help.rate}
          write={(rate) => (rate === null ? "" : String(rate))}
          read={(text) => (text.trim() === "" ? { value: null } : readAmount(text, 0, 1e6))}
          onSave={(rate) => onChange({ ...help, rate })}
          says={texts.aRateOf0}
          isFigure
        />
      </Field>
    </div>
  );
}

function TrainFields({ help, onChange }: Props<"train">) {
  return (
    <div className="field-pair">
      <DayField label={texts.firstDay} value={help.from} onSave={(from) => from !== null && onChange({ ...help, from })} />
      <FigureField label={texts.weeks} value={help.weeks} least={1} most={104} onSave={(weeks) => onChange({ ...help, weeks })} />
      <FigureField
        label={texts.hoursADay}
        value={help.hoursPerDay}
        least={0.5}
        most={24}
        isDecimal
        onSave={(hoursPerDay) => onChange({ ...help, hoursPerDay })}
      />
    </div>
  );
}

interface FigureFieldProps {
  label: string;
  value: number;
  least: number;
  most: number;
  isDecimal?: boolean;
  onSave: (value: number) => void;
}

function FigureField({ label, value, least, most, isDecimal = false, onSave }: FigureFieldProps) {
  const read = (text: string) => {
    const found = readAmount(text, least, most);
    return found && (isDecimal || Number.isInteger(found.value)) ? found : null;
  };
  return (
    <Field label={label}>
      <DraftInput value={value} write={String} read={read} onSave={onSave} says={`From ${least} to ${most}`} isFigure />
    </Field>
  );
}

interface DayFieldProps {
  label: string;
  value: number | null;
  isOptional?: boolean;
  onSave: (day: number | null) => void;
}

function DayField({ label, value, isOptional = false, onSave }: DayFieldProps) {
  const { today } = usePlanFacts();
  const read = (text: string) => {
    if (text.trim() === "") return isOptional ? { value: null } : null;
    const date = meantDate(text, today);
    return date === null ? null : { value: parseDay(date) };
  };
  return (
    <Field label={label}>
      <DraftInput
        value={value}
        write={(day) => (day === null ? "" : writeDate(formatDay(day)))}
        read={read}
        onSave={onSave}
        says={texts.aDaySuchAs8}
        placeholder={isOptional ? texts.noEnd : undefined}
      />
    </Field>
  );
}

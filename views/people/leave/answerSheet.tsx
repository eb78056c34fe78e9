"use client";
// Answering a request for time off: what approving it would do comes first, then approve, decline or other dates.
import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { useForm } from "react-hook-form";
import * as z from "zod";
import { usePlan } from "../../../client/session.tsx";
import { parseDay } from "../../../core/calendar/day.ts";
import type { Edit } from "../../../core/edits/edit.ts";
import type { TimeOff } from "../../../core/plan/schema.ts";
import { Button, TextButton } from "../../../ui/button.tsx";
import { readDate, writeDate } from "../../../ui/dateText.ts";
import { Field, FormFooter, TextInput } from "../../../ui/field.tsx";
import { FormDate } from "../../../ui/form.tsx";
import { rangeText } from "../../../ui/format.ts";
import { Sheet, SheetSection } from "../../../ui/sheet.tsx";
import { ImpactView, useImpact } from "../../effect/impact.tsx";
import { RemedyList } from "../../remedies/remedyList.tsx";
import { remedyEdit } from "../../remedies/remedyWords.ts";
import { timeOffKinds } from "../dayWords.ts";
import { dateRangeFields } from "../person/rangeFields.ts";
import { texts } from "../words.ts";

type Way = "answer" | "decline" | "suggest";

interface AnswerProps {
  personId: string;
  name: string;
  timeOff: TimeOff;
  alsoAway?: readonly string[];
  onClose: () => void;
}

export function AnswerSheet({ personId, name, timeOff, alsoAway = [], onClose }: AnswerProps) {
  const session = usePlan();
  const [way, setWay] = useState<Way>("answer");
  const make = async (edit: Edit) => {
    if ((await session.edit(edit)).length === 0) onClose();
  };
  const approval = { kind: "answerTimeOff", personId, id: timeOff.id, state: "approved" } as const;
  const impact = useImpact(approval);
  return (
    <Sheet title={`Leave request from ${name}`} subtitle={`${timeOffKinds[timeOff.kind]} · ${rangeOf(timeOff)}`} onClose={onClose}>
      <Asked timeOff={timeOff} alsoAway={alsoAway} onAgreed={(agreed) => void make({ kind: "setTimeOff", personId, timeOff: agreed })} />
      <ImpactView impact={impact} title={texts.effectOfApproval} />
      <SheetSection>
        {way === "answer" && (
          <div className="flex flex-wrap gap-2">
            <Button look="main" onClick={() => void make(approval)}>
              {texts.approve}
            </Button>
            <Button onClick={() => setWay("decline")}>{texts.decline}</Button>
            <Button onClick={() => setWay("suggest")}>{texts.otherDates}</Button>
          </div>
        )}
        {way === "decline" && (
          <Decline onAnswer={(reason) => void make({ ...approval, state: "declined", reason })} onBack={() => setWay("answer")} />
        )}
        {way === "suggest" && (
          <Suggest
            timeOff={timeOff}
            onAnswer={(suggested, reason) => void make({ ...approval, state: "requested", suggested, ...(reason && { reason }) })}
            onBack={() => setWay("answer")}
          />
        )}
      </SheetSection>
      {way === "answer" && (
        <RemedyList problem={{ about: "leave", personId, timeOffId: timeOff.id }} onApply={(line) => void make(remedyEdit(line))} />
      )}
    </Sheet>
  );
}

interface AskedProps {
  timeOff: TimeOff;
  alsoAway: readonly string[];
  /** The same, approved on the dates that were suggested. */
  onAgreed: (timeOff: TimeOff) => void;
}

/** The request, the other people away, and suggested dates. */
function Asked({ timeOff, alsoAway, onAgreed }: AskedProps) {
  const { suggested, reason, ...rest } = timeOff;
  return (
    <SheetSection>
      {timeOff.hoursPerDay !== undefined && <p>{timeOff.hoursPerDay} h a day</p>}
      {timeOff.note && <p>“{timeOff.note}”</p>}
      {alsoAway.length > 0 && <p className="text-ochre-ink">Team members away at the same time: {alsoAway.join(", ")}.</p>}
      {suggested && (
        <p className="pt-1 text-ochre-ink">
          You suggested {rangeOf(suggested)}
          {reason && ` (“${reason}”)`}.{" "}
          <TextButton onClick={() => onAgreed({ ...rest, ...suggested, state: "approved" })}>{texts.agreedApproveTheseDates}</TextButton>
        </p>
      )}
    </SheetSection>
  );
}

const rangeOf = ({ from, to }: { from: string; to: string }) => rangeText({ start: parseDay(from), stop: parseDay(to) + 1 });

function Decline({ onAnswer, onBack }: { onAnswer: (reason: string) => void; onBack: () => void }) {
  const { register, handleSubmit, formState } = useForm({
    resolver: zodResolver(z.object({ reason: z.string().trim().min(1, { error: texts.enterAReason }).max(2_000) })),
    defaultValues: { reason: "" },
  });
  return (
    <form noValidate className="space-y-3" onSubmit={(event) => void handleSubmit(({ reason }) => onAnswer(reason))(event)}>
      <Field label={texts.reasonForDeclining} fault={formState.errors.reason?.message}>
        <TextInput {...register("reason")} autoFocus />
      </Field>
      <FormFooter>
        <Button type="submit" look="danger">
          {texts.decline2}
        </Button>
        <Button onClick={onBack}>{texts.back}</Button>
      </FormFooter>
    </form>
  );
}

const suggestion = dateRangeFields({ reason: z.string().max(2_000) });

interface SuggestProps {
  timeOff: TimeOff;
  onAnswer: (suggested: { from: string; to: string }, reason: string) => void;
  onBack: () => void;
}

function Suggest({ timeOff, onAnswer, onBack }: SuggestProps) {
  const { register, control, handleSubmit } = useForm<z.infer<typeof suggestion>>({
    resolver: zodResolver(suggestion),
    defaultValues: {
      from: writeDate(timeOff.suggested?.from ?? timeOff.from),
      to: writeDate(timeOff.suggested?.to ?? timeOff.to),
      reason: "",
    },
  });
  return (
    <form
      noValidate
      className="space-y-3"
      onSubmit={(event) =>
        void handleSubmit(({ from, to, reason }) => onAnswer({ from: readDate(from) ?? "", to: readDate(to) ?? "" }, reason.trim()))(event)
      }
    >
      <div className="field-pair">
        <FormDate label={texts.suggestedFirstDay} control={control} name="from" autoFocus />
        <FormDate label={texts.suggestedLastDay} control={control} name="to" />
      </div>
      <Field label={texts.reason}>
        <TextInput {...register("reason")} />
      </Field>
      <FormFooter>
        <Button type="submit" look="main">
          {texts.suggestTheseDates}
        </Button>
        <Button onClick={onBack}>{texts.back}</Button>
      </FormFooter>
    </form>
  );
}

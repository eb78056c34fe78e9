"use client";
// The steps of an enquiry: into the pipeline with a probability, approved into work, declined with a reason, reopened.
import { useState } from "react";
import { usePlan } from "../../client/session.tsx";
import { formatDay } from "../../core/calendar/day.ts";
import type { Edit } from "../../core/edits/edit.ts";
import type { Enquiry } from "../../core/plan/schema.ts";
import { readAmount } from "../../ui/amount.ts";
import { Button } from "../../ui/button.tsx";
import { DateField } from "../../ui/dateField.tsx";
import { DATE_HINT, isDateText, readDate } from "../../ui/dateText.ts";
import { Field, FormFault, TextArea, TextInput } from "../../ui/field.tsx";
import { momentOn } from "../../ui/momentOn.ts";
import { newId } from "../../ui/newId.ts";
import { SheetSection } from "../../ui/sheet.tsx";
import { useTyped } from "../../ui/typed.ts";
import { useFrame, usePlanFacts } from "../scope/facts.ts";
import { texts } from "./words.ts";

interface DecideProps {
  enquiry: Enquiry;
  /** The first day, as it is typed. */
  start: string;
  onStart: (text: string) => void;
}

const USUAL_PROBABILITY = "50";

export function Decide({ enquiry, start, onStart }: DecideProps) {
  const [probability, setProbability] = useState(USUAL_PROBABILITY);
  const [text, setText] = useTyped(`enquiry ${enquiry.id}`);
  const { fault, isSending, step } = useSteps(enquiry, { start, probability, text: text.trim(), onDone: () => setText(() => "") });
  const { state } = enquiry;
  if (state === "approved") return text === "" || isSending ? null : <NotSent text={text} onDiscard={() => setText(() => "")} />;
  return (
    <SheetSection title={texts.decide}>
      <div className="space-y-3">
        {state !== "declined" && (
          <div className="field-pair">
            <Field label={texts.start} fault={isDateText(start) ? undefined : DATE_HINT}>
              <DateField value={start} onChange={onStart} />
            </Field>
            {state === "received" && (
              <Field label={texts.probabilityPercent} fault={readAmount(probability, 0, 100) ? undefined : "Enter a number from 0 to 100."}>
                <TextInput value={probability} onChange={(event) => setProbability(event.target.value)} inputMode="decimal" />
              </Field>
            )}
          </div>
        )}
        <Field label={state === "declined" ? texts.message : texts.messageOrReason}>
          <TextArea value={text} onChange={(event) => setText(() => event.target.value)} />
        </Field>
        <FormFault>{fault}</FormFault>
        <Steps state={state} onStep={(to) => void step(to)} />
      </div>
    </SheetSection>
  );
}

/** The text that was being typed when another person approved the enquiry. */
function NotSent({ text, onDiscard }: { text: string; onDiscard: () => void }) {
  return (
    <SheetSection title={texts.yourMessageWasNotSent}>
      <p className="pb-1 text-side">{texts.theEnquiryHasBeenApproved}</p>
      <p className="whitespace-pre-wrap pb-2">{text}</p>
      <Button onClick={onDiscard}>{texts.discard}</Button>
    </SheetSection>
  );
}

type Step = "accepted" | "approved" | "declined" | "reopened";

function Steps({ state, onStep }: { state: Enquiry["state"]; onStep: (to: Step) => void }) {
  return (
    <div className="flex flex-wrap gap-2">
      {state === "received" && (
        <Button look="main" onClick={() => onStep("accepted")}>
          {texts.acceptIntoThePipeline}
        </Button>
      )}
      {state === "accepted" && (
        <Button look="main" onClick={() => onStep("approved")}>
          {texts.approve}
        </Button>
      )}
      {state === "declined" ? (
        <Button onClick={() => onStep("reopened")}>{texts.reopen}</Button>
      ) : (
        <Button look="danger" onClick={() => onStep("declined")}>
          {texts.decline}
        </Button>
      )}
    </div>
  );
}

function useSteps(
  { id: enquiryId }: Enquiry,
  { start, probability, text, onDone }: { start: string; probability: string; text: string; onDone: () => void },
) {
  const session = usePlan();
  const { user } = useFrame();
  const { today } = usePlanFacts();
  const [fault, setFault] = useState<string | null>(null);
  const [isSending, setSending] = useState(false);
  const editOf = async (step: Step): Promise<Edit | string> => {
    const said = { by: user.name, at: momentOn(today), ...(text !== "" && { text }) };
    const date = readDate(start) ?? undefined;
    if (step === "declined" && text === "") return "Enter the reason for declining.";
    if (step === "declined" || step === "reopened") return { kind: "stepEnquiry", id: enquiryId, entry: { ...said, step } };
    if (!isDateText(start)) return DATE_HINT;
    if (step === "approved") return (await session.ask("approveEnquiry", { enquiryId, start: date, ...said })) ?? GONE;
    const likely = readAmount(probability, 0, 100);
    if (!likely) return "Enter a probability from 0 to 100%.";
    const options = { enquiryId, probability: likely.value, start: date, today: formatDay(today), idStem: newId("enquiry"), ...said };
    return (await session.ask("acceptEnquiry", options)) ?? GONE;
  };
  const step = async (next: Step) => {
    const edit = await editOf(next);
    if (typeof edit === "string") return setFault(edit);
    setSending(true);
    const faults = await session.edit(edit);
    setFault(faults[0]?.message ?? null);
    if (faults.length === 0) onDone();
    setSending(false);
  };
  return { fault, isSending, step };
}

const GONE = "Its project is no longer in the plan. Decline the enquiry, or undo the deletion of the project.";

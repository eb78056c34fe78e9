"use client";
// Work that is said to be done is accepted, or sent back with a reason.
import { useEffect, useRef, useState } from "react";
import { usePlan } from "../../client/session.tsx";
import type { Task } from "../../core/plan/schema.ts";
import { Button } from "../../ui/button.tsx";
import { Field, FormFooter, TextArea } from "../../ui/field.tsx";
import { SheetSection } from "../../ui/sheet.tsx";
import { texts } from "./words.ts";

export function Review({ task }: { task: Task }) {
  const session = usePlan();
  const [isSendingBack, setSendingBack] = useState(false);
  const answer = (said: string | null) => void session.edit({ kind: "reviewTask", id: task.id, reason: said });
  if (task.review?.state === "sentBack")
    return (
      <SheetSection title={texts.sentBack}>
        <p className="whitespace-pre-wrap border-over border-l-2 pl-2">{task.review.reason}</p>
        <p className="pt-1 text-side">{texts.setItsStateToDone}</p>
      </SheetSection>
    );
  if (task.state !== "done") return null;
  if (task.review?.state === "accepted")
    return (
      <SheetSection title={texts.done}>
        <p>{texts.accepted}</p>
      </SheetSection>
    );
  return (
    <SheetSection title={texts.doneNotAcceptedYet}>
      {isSendingBack ? (
        <SendBack onSend={answer} onLeave={() => setSendingBack(false)} />
      ) : (
        <div className="flex gap-2">
          <Button look="main" onClick={() => answer(null)}>
            {texts.accept}
          </Button>
          <Button onClick={() => setSendingBack(true)}>{texts.sendBack}</Button>
        </div>
      )}
    </SheetSection>
  );
}

function SendBack({ onSend, onLeave }: { onSend: (reason: string) => void; onLeave: () => void }) {
  const [reason, setReason] = useState("");
  const field = useRef<HTMLTextAreaElement>(null);
  useEffect(() => field.current?.focus(), []);
  return (
    <form
      className="space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        onSend(reason.trim());
      }}
    >
      <Field label={texts.whatIsMissing}>
        <TextArea ref={field} value={reason} onChange={(event) => setReason(event.target.value)} />
      </Field>
      <FormFooter>
        <Button type="submit" look="main" disabled={reason.trim() === ""}>
          {texts.sendBack2}
        </Button>
        <Button onClick={onLeave}>{texts.cancel}</Button>
      </FormFooter>
    </form>
  );
}

"use client";
// A signal handed to a colleague: a note that goes to the outbox.
import { useState } from "react";
import { toast } from "sonner";
import type { Redacted } from "../../client/seen.ts";
import { usePlan } from "../../client/session.tsx";
import type { Attention } from "../../core/signals/kinds.ts";
import { Button } from "../../ui/button.tsx";
import { Field, TextArea } from "../../ui/field.tsx";
import { newId } from "../../ui/newId.ts";
import { namedOptions, none } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { useFrame, useNames } from "../scope/facts.ts";
import { sentenceOf } from "./attentionWords.ts";
import { texts } from "./words.ts";

/** Sends a note that says what a signal says, and what is added. */
function useNote(signal: Redacted<Attention>, onSent: () => void) {
  const session = usePlan();
  const { user } = useFrame();
  const sentence = sentenceOf(signal);
  return async (personId: string, added: string) => {
    const text = added === "" ? sentence : `${sentence}\n${added}`;
    const note = { id: newId("note"), signal: signal.key, personId, by: user.name, at: new Date().toISOString(), text };
    if ((await session.edit({ kind: "sendNote", note })).length > 0) return;
    toast("The note is in the outbox.");
    onSent();
  };
}

export function HandSheet({ signal, onClose }: { signal: Redacted<Attention>; onClose: () => void }) {
  const { people } = useNames();
  const [personId, setPersonId] = useState("");
  const [text, setText] = useState("");
  const send = useNote(signal, onClose);
  return (
    <Sheet title={texts.sendToAColleague} subtitle={sentenceOf(signal)} onClose={onClose}>
      <SheetSection>
        <form
          className="space-y-3"
          onSubmit={(event) => {
            event.preventDefault();
            void send(personId, text.trim());
          }}
        >
          <Field label={texts.to}>
            <Picker value={personId} options={[none("Choose"), ...namedOptions(people)]} onChange={setPersonId} />
          </Field>
          <Field label={texts.noteToAdd}>
            <TextArea value={text} onChange={(event) => setText(event.target.value)} rows={4} maxLength={2_000} />
          </Field>
          <p className="text-side">{texts.theNoteContainsTheText}</p>
          <Button type="submit" look="main" disabled={personId === ""}>
            {texts.send}
          </Button>
        </form>
      </SheetSection>
    </Sheet>
  );
}

"use client";
// The public form: where it is, and whether it is open.
import { usePlan } from "../../client/session.tsx";
import { Button } from "../../ui/button.tsx";
import { texts } from "./words.ts";

export function PublicForm({ isOpen }: { isOpen: boolean }) {
  const session = usePlan();
  const set = (enquiryForm: true | null) => void session.edit({ kind: "changeSettings", set: { enquiryForm } });
  return (
    <div className="flex items-center gap-2">
      {isOpen && (
        <a href="/enquire" target="_blank" rel="noreferrer" className="text-link">
          {texts.publicForm}
        </a>
      )}
      <Button title={isOpen ? texts.thePublicFormIsClosed : texts.anyoneWithThisAddressCan} onClick={() => set(isOpen ? null : true)}>
        {isOpen ? texts.closeThePublicForm : texts.openThePublicForm}
      </Button>
    </div>
  );
}

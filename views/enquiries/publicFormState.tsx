"use client";
// The public form: where it is, and whether it is open.
import { usePlan } from "../../client/session.tsx";
import { Button } from "../../ui/button.tsx";

export function PublicForm({ isOpen }: { isOpen: boolean }) {
  const session = usePlan();
  const set = (enquiryForm: true | null) => void session.edit({ kind: "changeSettings", set: { enquiryForm } });
  return (
    <div className="flex items-center gap-2">
      {isOpen && (
        <a href="/enquire" target="_blank" rel="noreferrer" className="text-link">
          Public form
        </a>
      )}
      <Button
        title={isOpen ? "The public form is closed" : "Anyone with this address can send an enquiry"}
        onClick={() => set(isOpen ? null : true)}
      >
        {isOpen ? "Close the public form" : "Open the public form"}
      </Button>
    </div>
  );
}

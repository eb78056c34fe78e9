"use client";
// Enquiries: what has come in, by the public form or recorded here, and what is decided about each.
import { parseAsString, useQueryStates } from "nuqs";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import { useAnswer, usePlan } from "../../client/session.tsx";
import { AddButton } from "../../ui/addButton.tsx";
import { TextButton } from "../../ui/button.tsx";
import { useKeys } from "../../ui/keys.ts";
import { momentOn } from "../../ui/momentOn.ts";
import { newId } from "../../ui/newId.ts";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { useFrame, usePlanFacts } from "../scope/facts.ts";
import { type EnquiryFields, newEnquiry } from "./enquiryFields.ts";
import { EnquiryForm } from "./enquiryForm.tsx";
import { EnquirySheet } from "./enquirySheet.tsx";
import { EnquiryTable } from "./enquiryTable.tsx";
import { PublicForm } from "./publicFormState.tsx";
import { texts } from "./words.ts";

export function Enquiries({ initial }: { initial: Initial<AnswerOf<"enquiries">> }) {
  const { rows, waiting, isFormOpen } = useAnswer("enquiries", {}, initial);
  const { today, currency } = usePlanFacts();
  const [view, setView] = useQueryStates({ enquiry: parseAsString, add: parseAsString }, { shallow: true });
  const add = () => void setView({ add: "yes", enquiry: null });
  useKeys({ n: add });
  const selected = rows.find(({ enquiry }) => enquiry.id === view.enquiry);
  const close = () => void setView({ enquiry: null, add: null });
  return (
    <Screen
      title={texts.enquiries}
      figures={<Figure value={String(waiting)} says={texts.waitingForAnAnswer} isOver={waiting > 0} />}
      actions={
        <>
          <PublicForm isOpen={isFormOpen} />
          <AddButton onAdd={add}>{texts.newEnquiry}</AddButton>
        </>
      }
      sheet={
        view.add !== null ? (
          <NewEnquiry onDone={(id) => void setView({ add: null, enquiry: id })} onClose={close} />
        ) : (
          selected && <EnquirySheet key={selected.enquiry.id} row={selected} onClose={close} />
        )
      }
    >
      {rows.length === 0 ? (
        <NoEnquiries onAdd={add} />
      ) : (
        <EnquiryTable
          rows={rows}
          today={today}
          currency={currency}
          selectedId={view.enquiry}
          onOpen={(id) => void setView({ enquiry: id, add: null })}
        />
      )}
    </Screen>
  );
}

function NoEnquiries({ onAdd }: { onAdd: () => void }) {
  return (
    <Empty title={texts.noEnquiriesYet}>
      Clients send enquiries through the public form, or you <TextButton onClick={onAdd}>{texts.addOne}</TextButton>. You see its effect on
      the plan before you decide.
    </Empty>
  );
}

function NewEnquiry({ onDone, onClose }: { onDone: (id: string) => void; onClose: () => void }) {
  const session = usePlan();
  const { user } = useFrame();
  const { today } = usePlanFacts();
  const save = async (fields: EnquiryFields) => {
    const enquiry = newEnquiry(fields, { id: newId("enquiry"), at: momentOn(today), by: user.name });
    if ((await session.edit({ kind: "addEnquiry", enquiry })).length > 0) return false;
    onDone(enquiry.id);
    return true;
  };
  return (
    <Sheet title={texts.newEnquiry} subtitle="Received by phone, by letter or in person" onClose={onClose}>
      <SheetSection>
        <EnquiryForm enquiry={{}} saveText="Add enquiry" onSave={save} />
      </SheetSection>
    </Sheet>
  );
}

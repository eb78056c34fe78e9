"use client";
// A baseline is named and taken, of all projects or of one.
import { useState } from "react";
import { usePlan } from "../../../client/session.tsx";
import { formatDay } from "../../../core/calendar/day.ts";
import { Button } from "../../../ui/button.tsx";
import { Field, FormFault, FormFooter, TextArea, TextInput } from "../../../ui/field.tsx";
import { longDay } from "../../../ui/format.ts";
import { newId } from "../../../ui/newId.ts";
import { namedOptions, none } from "../../../ui/options.ts";
import { Picker } from "../../../ui/picker.tsx";
import { Sheet, SheetSection } from "../../../ui/sheet.tsx";
import { useToday } from "../../../ui/today.ts";
import { useNames } from "../../scope/facts.ts";
import { texts } from "./words.ts";

export function TakeBaseline({ onTaken, onClose }: { onTaken: (id: string) => void; onClose: () => void }) {
  const session = usePlan();
  const today = useToday();
  const { projects } = useNames();
  const [name, setName] = useState(`Plan of ${longDay(today)}`);
  const [note, setNote] = useState("");
  const [projectId, setProjectId] = useState("");
  const [isTaking, setTaking] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const take = async () => {
    const id = newId("baseline");
    setTaking(true);
    const faults = await session.edit({
      kind: "addBaseline",
      id,
      name: name.trim(),
      asOf: formatDay(today),
      ...(note.trim() !== "" && { note: note.trim() }),
      ...(projectId !== "" && { projectIds: [projectId] }),
    });
    setTaking(false);
    setFault(faults[0]?.message ?? null);
    if (faults.length === 0) onTaken(id);
  };
  return (
    <Sheet title={texts.takeABaseline} onClose={onClose}>
      <SheetSection>
        <form
          className="space-y-3"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            void take();
          }}
        >
          <p className="text-side">{texts.keepsWhatIsPromised}</p>
          <Field label={texts.name} fault={name.trim() === "" ? texts.enterAName : undefined}>
            <TextInput value={name} onChange={(event) => setName(event.target.value)} maxLength={300} autoFocus />
          </Field>
          <Field label={texts.note}>
            <TextArea value={note} onChange={(event) => setNote(event.target.value)} rows={3} />
          </Field>
          <Field label={texts.ofProjects}>
            <Picker value={projectId} onChange={setProjectId} options={[none("All projects"), ...namedOptions(projects)]} />
          </Field>
          {fault && <FormFault>{fault}</FormFault>}
          <FormFooter>
            <Button type="submit" look="main" disabled={isTaking || name.trim() === ""}>
              {texts.take}
            </Button>
            <Button onClick={onClose}>{texts.cancel}</Button>
          </FormFooter>
        </form>
      </SheetSection>
    </Sheet>
  );
}

"use client";
// Asking for people: a task of one's project, a role or a person, hours, dates and a note.
import { Button } from "../../../ui/button.tsx";
import { DateField } from "../../../ui/dateField.tsx";
import { DATE_HINT, isDateText } from "../../../ui/dateText.ts";
import { Field, FormFault, TextArea, TextInput } from "../../../ui/field.tsx";
import { kindOptions, namedOptions, none } from "../../../ui/options.ts";
import { Picker } from "../../../ui/picker.tsx";
import { Sheet, SheetSection } from "../../../ui/sheet.tsx";
import { usePeopleWithRoom } from "../../planFields/peopleWithRoom.ts";
import { useNames } from "../../scope/facts.ts";
import { texts } from "../words.ts";
import { useAsk } from "./useAsk.ts";

interface AskSheetProps {
  taskId: string | null;
  onDone: (requestId: string) => void;
  onClose: () => void;
}

type Asked = ReturnType<typeof useAsk>;

export function AskSheet({ taskId, onDone, onClose }: AskSheetProps) {
  const asked = useAsk(taskId, onDone);
  const { outline, lead, note, fault, from, until } = asked;
  return (
    <Sheet title={texts.requestPeople} subtitle={outline ? `On behalf of ${lead}` : "For a task of a project"} onClose={onClose}>
      <SheetSection>
        <form
          className="space-y-3"
          onSubmit={(event) => {
            event.preventDefault();
            void asked.ask();
          }}
        >
          <Whom asked={asked} />
          <HowMuch asked={asked} />
          <Field label={texts.note}>
            <TextArea rows={3} value={note.text} onChange={(event) => note.set(event.target.value)} />
          </Field>
          <FormFault>{fault}</FormFault>
          <Button type="submit" look="main" disabled={!isDateText(from.text) || !isDateText(until.text)}>
            {texts.sendRequest}
          </Button>
        </form>
      </SheetSection>
    </Sheet>
  );
}

function Whom({ asked }: { asked: Asked }) {
  const { projects, roles } = useNames();
  const { people, onOpen } = usePeopleWithRoom();
  const { tasks, projectId, chosenTask, wanted } = asked;
  return (
    <>
      <Field label={texts.project}>
        <Picker value={projectId} onChange={asked.setProject} options={[none("Choose"), ...namedOptions(projects)]} />
      </Field>
      <Field label={texts.task}>
        <Picker
          value={chosenTask}
          onChange={asked.setTask}
          disabled={tasks.length === 0}
          options={[none("Choose"), ...namedOptions(tasks.map((own) => own.task))]}
        />
      </Field>
      <Field label={texts.roleOrPerson}>
        <Picker
          value={wanted}
          onOpen={onOpen}
          onChange={asked.setWho}
          options={[none("Choose"), ...kindOptions("Roles", "role", roles), ...kindOptions("People", "person", people)]}
        />
      </Field>
    </>
  );
}

function HowMuch({ asked: { hours, from, until, isEffort, task } }: { asked: Asked }) {
  const date = (label: string, { text, set }: { text: string; set: (text: string) => void }) => (
    <Field label={label} fault={isDateText(text) ? undefined : DATE_HINT}>
      <DateField value={text} onChange={set} placeholder={texts.asTheTask} disabled={isEffort} />
    </Field>
  );
  return (
    <>
      <Field label={texts.hours}>
        <TextInput
          inputMode="decimal"
          value={hours.text}
          onChange={(event) => hours.set(event.target.value)}
          aria-invalid={!hours.isSound}
        />
      </Field>
      <div className="grid grid-cols-2 gap-2">
        {date("From", from)}
        {date("Until", until)}
      </div>
      {(task?.skills?.length ?? 0) > 0 && <p className="text-side">{texts.theRequestIncludesTheTasks}</p>}
    </>
  );
}

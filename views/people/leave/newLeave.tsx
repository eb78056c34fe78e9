"use client";
// Leave entered on the leave screen: for whom, and then as on a person's page, with what it does to the plan.
import { useState } from "react";
import { useMaybeAnswer, usePlan } from "../../../client/session.tsx";
import { type Day, formatDay } from "../../../core/calendar/day.ts";
import type { Edit } from "../../../core/edits/edit.ts";
import { Field } from "../../../ui/field.tsx";
import { namedOptions, none } from "../../../ui/options.ts";
import { Picker } from "../../../ui/picker.tsx";
import { Sheet, SheetSection } from "../../../ui/sheet.tsx";
import { yearRange } from "../../../ui/years.ts";
import { useNames, usePlanFacts } from "../../scope/facts.ts";
import { TimeOffForm } from "../person/timeOffForm.tsx";
import { texts } from "../words.ts";

/** The known parts of new leave: its person and its days. */
export interface NewLeave {
  personId?: string;
  from?: Day;
  to?: Day;
}

export function NewLeaveSheet({ leave, onClose }: { leave: NewLeave; onClose: () => void }) {
  const [personId, setPersonId] = useState(leave.personId ?? "");
  const { people } = useNames();
  const { today } = usePlanFacts();
  const session = usePlan();
  const known = useMaybeAnswer("personYear", personId === "" ? null : { personId, range: yearRange(YEAR_OF_NO_MATTER) }, null);
  if (!known || known.person.id !== personId)
    return (
      <Sheet title={texts.newLeave} onClose={onClose}>
        <SheetSection>
          <Field label={texts.whoIsAway}>
            <Picker value={personId} options={[none("Choose a person"), ...namedOptions(people)]} onChange={setPersonId} />
          </Field>
        </SheetSection>
      </Sheet>
    );
  const [from, to] = [formatDay(leave.from ?? today), formatDay(leave.to ?? leave.from ?? today)];
  const hook = { edit: async (made: Edit) => (await session.edit(made)).length === 0 };
  return (
    <TimeOffForm
      key={personId}
      person={known.person}
      entry={{ id: "new", from, to, kind: "holiday", state: "approved" }}
      isNew
      hook={hook}
      onClose={onClose}
    />
  );
}

/** The person alone is wanted, whose entries do not depend on a year. */
const YEAR_OF_NO_MATTER = 2000;

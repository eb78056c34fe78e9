"use client";
// A line to put a person on a task, or the role that is needed.
import { useState } from "react";
import type { Redacted } from "../../client/seen.ts";
import type { OutlineTask } from "../../core/answers/outline.ts";
import type { Assignment } from "../../core/plan/schema.ts";
import { readAmount } from "../../ui/amount.ts";
import { Button } from "../../ui/button.tsx";
import { CheckboxField } from "../../ui/checkbox.tsx";
import { Choice } from "../../ui/choice.tsx";
import { Field, FormFault, TextInput } from "../../ui/field.tsx";
import { wholeText } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { newId } from "../../ui/newId.ts";
import { kindOf, kindOptions, none } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { Unfold } from "../../ui/unfold.tsx";
import { ImpactView, useImpact } from "../effect/impact.tsx";
import { usePeopleWithRoom } from "../planFields/peopleWithRoom.ts";
import { useNames } from "../scope/facts.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { StaffChoice } from "./staffChoice.tsx";
import type { ProjectHook } from "./useProject.ts";
import { texts } from "./words.ts";
import { type Statement, statements } from "./workShape.tsx";

interface AddWorkProps {
  entry: Redacted<OutlineTask>;
  project: ProjectHook;
}

type Subject = Pick<Assignment, "personId" | "teamId" | "roleId" | "firmness">;

export function AddWork({ entry, project }: AddWorkProps) {
  const linkTo = useLinkTo();
  const [who, setWho] = useState("");
  const [isPencilled, setPencilled] = useState(false);
  const isShared = entry.task.sizing === "effort" && entry.work.some(({ kind }) => kind !== "material");
  const subject = { ...subjectOf(who), ...(isPencilled && { firmness: "pencilled" as const }) };
  const parts = { entry, project, subject, onAdded: () => setWho("") };
  return (
    <Unfold title={texts.assignAPerson} look="action" isOpenAtFirst={entry.work.length === 0}>
      <div className="space-y-2">
        <Field label={texts.who} hint={entry.dates ? texts.roomCostAndMargin : undefined}>
          <WhoPicker entry={entry} value={who} onChange={setWho} />
        </Field>
        <CheckboxField checked={isPencilled} onChange={setPencilled}>
          {texts.pencilled}
        </CheckboxField>
        {isShared ? <Share {...parts} /> : <Amount {...parts} />}
        <Link href={linkTo("/openings/requests", { ask: entry.task.id })} className="text-link">
          {texts.sendARequest}
        </Link>
      </div>
    </Unfold>
  );
}

/** Null until a person is chosen. */
function subjectOf(who: string): Subject | null {
  const { kind, id } = kindOf(who);
  if (who === "") return null;
  return kind === "person" ? { personId: id } : kind === "team" ? { teamId: id } : { roleId: id };
}

/** People with the task's role first, then the role itself, then everyone else. */
function WhoPicker({ entry, value, onChange }: { entry: Redacted<OutlineTask>; value: string; onChange: (who: string) => void }) {
  const { roles, teams } = useNames();
  const { people, onOpen } = usePeopleWithRoom(
    entry.dates
      ? { taskId: entry.task.id, roleId: entry.task.roleId, days: { start: entry.dates.start, stop: entry.dates.finish + 1 } }
      : undefined,
  );
  const ownRole = entry.task.roleId;
  const fitting = people.filter(({ roleIds }) => ownRole !== undefined && roleIds.includes(ownRole));
  const others = people.filter((person) => !fitting.includes(person));
  const options = [
    none("Choose"),
    ...kindOptions(`${entry.roleName}`, "person", fitting),
    ...kindOptions("Unassigned work", "role", roles),
    ...kindOptions(fitting.length > 0 ? "Other people" : "People", "person", others),
    ...kindOptions("Teams", "team", teams),
  ];
  return <Picker value={value} onOpen={onOpen} onChange={onChange} options={options} />;
}

interface PartProps extends AddWorkProps {
  subject: Partial<Subject>;
  onAdded: () => void;
}

const isChosen = ({ personId, teamId, roleId }: Partial<Subject>) => (personId ?? teamId ?? roleId) !== undefined;

/** Id of the assignment while its effect is calculated. */
const ASKED = "asked";

/** The amount of work, in one of the ways of stating it. */
function Amount({ entry, project, subject, onAdded }: PartProps) {
  const [amount, setAmount] = useState("");
  const [statement, setStatement] = useState<Statement>("hours");
  const [fault, setFault] = useState<string | null>(null);
  const { most } = statements.find(({ key }) => key === statement) ?? statements[0];
  const written = readAmount(amount, 0, most);
  const assignment = { id: ASKED, taskId: entry.task.id, ...subject, [statement]: written?.value };
  const impact = useImpact(isChosen(subject) && written ? { kind: "addAssignment", assignment } : null);
  const add = async () => {
    if (!isChosen(subject)) return setFault("Choose a person, or the role that is needed.");
    if (!written) return setFault(`Enter an amount from 0 to ${wholeText(most)}.`);
    const faults = await project.addWork({ taskId: entry.task.id, ...subject, [statement]: written.value });
    setFault(faults[0]?.message ?? null);
    if (faults.length > 0) return;
    setAmount("");
    onAdded();
  };
  return (
    <>
      <div className="grid grid-cols-[90px_1fr] gap-2">
        <Field label={texts.howMuch}>
          <TextInput
            inputMode="decimal"
            value={amount}
            onChange={(event) => setAmount(event.target.value)}
            onKeyDown={(event) => event.key === "Enter" && void add()}
          />
        </Field>
        <Field label={texts.unit}>
          <Choice
            value={statement}
            onChange={setStatement}
            disabled={entry.task.sizing === "effort"}
            options={statements.map(({ key, says }) => ({ value: key, text: says }))}
          />
        </Field>
      </div>
      <FormFault>{fault}</FormFault>
      {isChosen(subject) && written && <ImpactView impact={impact} />}
      <Button onClick={() => void add()}>{texts.add}</Button>
    </>
  );
}

/** A person joins work that others share: what gives is asked. */
function Share({ entry, project, subject, onAdded }: PartProps) {
  const [share, setShare] = useState("100");
  const [joinId, setJoinId] = useState(() => newId("work"));
  const percent = readAmount(share, 1, 1000);
  const taskId = entry.task.id;
  return (
    <>
      <Field label={texts.shareOfTheDayPercent}>
        <TextInput inputMode="decimal" value={share} onChange={(event) => setShare(event.target.value)} aria-invalid={!percent} />
      </Field>
      {isChosen(subject) && percent && (
        <StaffChoice
          title={texts.whatShouldChange}
          query={{ taskId, joins: { id: joinId, taskId, ...subject, percent: percent.value } }}
          onTake={async (edit) => {
            const isMade = await project.edit(edit);
            if (isMade) {
              onAdded();
              setJoinId(newId("work"));
            }
            return isMade;
          }}
        />
      )}
    </>
  );
}

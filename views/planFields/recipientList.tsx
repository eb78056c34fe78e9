"use client";
// Choosing who takes an assignment: a list to type in and walk through by keyboard.
import { Command } from "cmdk";
import type { Recipients } from "../../core/answers/recipients.ts";
import { Button } from "../../ui/button.tsx";
import { hoursText } from "../../ui/format.ts";
import { SheetSection } from "../../ui/sheet.tsx";
import { texts } from "./words.ts";

export function RecipientList({
  recipients,
  onGive,
  onBack,
}: {
  recipients: Recipients;
  onGive: (personId: string) => void;
  onBack: () => void;
}) {
  const groups = [
    { heading: "With the role, most room first", people: recipients.people.filter(({ hasRole }) => hasRole) },
    { heading: "Others", people: recipients.people.filter(({ hasRole }) => !hasRole) },
  ].filter(({ people }) => people.length > 0);
  return (
    <>
      <SheetSection title={texts.reassign}>
        <p className="font-semibold">{recipients.taskName}</p>
        <p className="text-ink-2">
          {recipients.projectName} · {hoursText(recipients.need)} h
        </p>
      </SheetSection>
      <Command label={texts.assignTo} className="line-above pt-3">
        <Command.Input autoFocus placeholder={texts.typeAName} className="h-8 w-full box-strong px-2" />
        <Command.List className="pt-2">
          <Command.Empty className="py-2 text-ink-2">{texts.noResults}</Command.Empty>
          {groups.map(({ heading, people }) => (
            <Command.Group
              key={heading}
              heading={heading}
              className="[&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:pb-1 [&_[cmdk-group-heading]]:text-small [&_[cmdk-group-heading]]:text-ink-2"
            >
              {people.map((person) => (
                <PersonItem key={person.personId} person={person} need={recipients.need} onGive={onGive} />
              ))}
            </Command.Group>
          ))}
        </Command.List>
      </Command>
      <div className="pt-3">
        <Button onClick={onBack}>{texts.back}</Button>
      </div>
    </>
  );
}

interface PersonItemProps {
  person: Recipients["people"][number];
  /** Minutes that want a person. */
  need: number;
  onGive: (personId: string) => void;
}

function PersonItem({ person: { personId, name, roleName, cover }, need, onGive }: PersonItemProps) {
  return (
    <Command.Item value={`${name} ${personId}`} onSelect={() => onGive(personId)} className="options-item justify-between gap-3">
      <span className="min-w-0 truncate">
        {name} <span className="text-side">{roleName}</span>
      </span>
      <span className={`whitespace-nowrap text-[13px] ${cover >= need ? "text-level-ink" : "text-ink-2"}`}>{hoursText(cover)} h fit</span>
    </Command.Item>
  );
}

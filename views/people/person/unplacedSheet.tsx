"use client";
// Hours that cannot be worked as planned: why, and the ways out one press away.
import { useState } from "react";
import { useMaybeAnswer, usePlan } from "../../../client/session.tsx";
import { parseDay } from "../../../core/calendar/day.ts";
import type { Edit } from "../../../core/edits/edit.ts";
import type { Unplaceable } from "../../../core/placing/unplaceable.ts";
import { Button } from "../../../ui/button.tsx";
import { hoursText, longDay } from "../../../ui/format.ts";
import Link from "../../../ui/link.tsx";
import { newId } from "../../../ui/newId.ts";
import { Sheet, SheetSection } from "../../../ui/sheet.tsx";
import { ImpactView, useImpact } from "../../effect/impact.tsx";
import { RecipientList } from "../../planFields/recipientList.tsx";
import { RemedyList } from "../../remedies/remedyList.tsx";
import { remedyEdit } from "../../remedies/remedyWords.ts";
import { useNames } from "../../scope/facts.ts";
import { useLinkTo } from "../../scope/windowed.ts";
import { texts } from "../words.ts";

type Way = "give" | "move" | "split";

interface UnplacedProps {
  entry: Unplaceable;
  onClose: () => void;
}

export function UnplacedSheet({ entry, onClose }: UnplacedProps) {
  const session = usePlan();
  const [way, setWay] = useState<Way | null>(null);
  const [newAssignmentId] = useState(() => newId("assignment"));
  const recipients = useMaybeAnswer("recipients", way === "give" ? { assignmentId: entry.assignmentId } : null, null);
  const edit = way === "move" ? moveEdit(entry) : way === "split" ? splitEdit(entry, newAssignmentId) : null;
  const make = async (made: Edit) => {
    const faults = await session.edit(made);
    if (faults.length === 0) onClose();
  };
  if (way === "give" && recipients)
    return (
      <Sheet title={entry.taskName} subtitle={entry.projectName} onClose={onClose}>
        <RecipientList
          recipients={recipients}
          onGive={(personId) => void make({ kind: "reassign", id: entry.assignmentId, personId })}
          onBack={() => setWay(null)}
        />
      </Sheet>
    );
  return (
    <Sheet title={`${hoursText(entry.minutes)} h cannot be worked`} subtitle={`${entry.taskName} · ${entry.projectName}`} onClose={onClose}>
      <SheetSection title={texts.reason}>
        <p>{whyText(entry)}</p>
        <p className="pt-1 text-ink-2">
          {hoursText(entry.minutes)} of {hoursText(entry.asked)} h cannot be worked.
        </p>
      </SheetSection>
      <WaysOut entry={entry} way={way} onWay={setWay} />
      {edit ? (
        <Tried
          edit={edit}
          text={way === "move" ? texts.moveIt : texts.splitIt}
          onMake={() => void make(edit)}
          onBack={() => setWay(null)}
        />
      ) : (
        <RemedyList problem={{ about: "unplaced", assignmentId: entry.assignmentId }} onApply={(line) => void make(remedyEdit(line))} />
      )}
    </Sheet>
  );
}

interface WaysProps {
  entry: Unplaceable;
  way: Way | null;
  onWay: (way: Way) => void;
}

function WaysOut({ entry, way, onWay }: WaysProps) {
  const { roles } = useNames();
  const linkTo = useLinkTo();
  const roleName = roles.find(({ id }) => id === entry.split?.roleId)?.name ?? "the role";
  return (
    <SheetSection title={texts.options}>
      <div className="flex flex-col items-start gap-2">
        <Button onClick={() => onWay("give")}>{texts.reassignAllOfIt}</Button>
        {entry.split && (
          <Button onClick={() => onWay("split")} aria-pressed={way === "split"}>
            {entry.split.gives === "later" ? texts.fromText : texts.before} {longDay(parseDay(entry.split.date))}: unassigned, for a{" "}
            {roleName.toLowerCase()}
          </Button>
        )}
        {entry.move && (
          <Button onClick={() => onWay("move")} aria-pressed={way === "move"}>
            Start the task on {longDay(parseDay(entry.move.from))}
          </Button>
        )}
        <Link
          href={linkTo(`/work/${encodeURIComponent(entry.projectId)}`, { task: entry.taskId })}
          className="inline-flex h-8 items-center rounded-card px-1 text-link"
        >
          {texts.openTheTask}
        </Link>
      </div>
    </SheetSection>
  );
}

interface TriedProps {
  edit: Edit;
  text: string;
  onMake: () => void;
  onBack: () => void;
}

/** The effect of an option, and the button that applies it. */
function Tried({ edit, text, onMake, onBack }: TriedProps) {
  const impact = useImpact(edit);
  return (
    <>
      <ImpactView impact={impact} />
      <SheetSection>
        <div className="flex gap-2">
          <Button look="main" disabled={!impact || impact.faults.length > 0} onClick={onMake}>
            {text}
          </Button>
          <Button onClick={onBack}>{texts.back}</Button>
        </div>
      </SheetSection>
    </>
  );
}

function moveEdit({ taskId, move }: Unplaceable): Edit | null {
  return move && { kind: "changeTask", id: taskId, set: move.set };
}

function splitEdit({ assignmentId, split }: Unplaceable, newId: string): Edit | null {
  return (
    split && {
      kind: "splitAssignment",
      id: assignmentId,
      date: split.date,
      gives: split.gives,
      newId,
      personId: null,
      ...(split.roleId !== null && { roleId: split.roleId }),
      ...(split.hours !== null && { hours: split.hours }),
      ...(split.shiftDays !== 0 && { shiftDays: split.shiftDays }),
    }
  );
}

/** The reason why hours cannot be worked, as a sentence. */
export function whyText({ reason, day, personName }: Pick<Unplaceable, "reason" | "day" | "personName">): string {
  const on = day === null ? "" : longDay(day);
  switch (reason) {
    case "notYet":
      return `${personName} is employed from ${on} on, after this begins.`;
    case "left":
      return `${personName} leaves on ${on}, before this ends.`;
    case "away":
      return `${personName} is away until ${on}.`;
    case "noDates":
      return "The task has no dates yet.";
    case "noWorkingTime":
      return `${personName || "Nobody"} has no working time on these days.`;
  }
}

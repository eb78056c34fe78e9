"use client";
// A request in the side sheet: its history, who could do it, what saying yes does to everyone's load, and the answers.
import { useState } from "react";
import { useMaybeAnswer, usePlan } from "../../../client/session.tsx";
import type { RequestRow } from "../../../core/answers/requests.ts";
import type { Edit } from "../../../core/edits/edit.ts";
import type { WorkRequest } from "../../../core/plan/schema.ts";
import { Button } from "../../../ui/button.tsx";
import { Field, FormFault, TextArea } from "../../../ui/field.tsx";
import { dateTimeText, hoursText, longDay, shareText, shortDay } from "../../../ui/format.ts";
import Link from "../../../ui/link.tsx";
import { momentOn } from "../../../ui/momentOn.ts";
import { namedOptions, none } from "../../../ui/options.ts";
import { Picker } from "../../../ui/picker.tsx";
import { Sheet, SheetSection } from "../../../ui/sheet.tsx";
import { ImpactView, useImpact } from "../../effect/impact.tsx";
import { usePeopleWithRoom } from "../../planFields/peopleWithRoom.ts";
import { useFrame, usePlanFacts } from "../../scope/facts.ts";
import { useLinkTo } from "../../scope/windowed.ts";
import { texts } from "../words.ts";

type Step = WorkRequest["state"];

const stepWords: Record<Step, string> = { asked: "asked", offered: "offered a person", confirmed: "confirmed", declined: "declined it" };

export function AnswerSheet({ row, onClose }: { row: RequestRow; onClose: () => void }) {
  const { request, taskName, projectName, projectId, wanted, offered, dates, isWaiting } = row;
  const linkTo = useLinkTo();
  return (
    <Sheet
      title={`${wanted} for ${taskName}`}
      subtitle={
        <Link href={linkTo(`/work/${encodeURIComponent(projectId)}`, { task: request.taskId })} className="hover:underline">
          {projectName}
        </Link>
      }
      onClose={onClose}
    >
      <SheetSection>
        <p>
          {hoursText(request.hours * 60)} h{dates ? `, ${shortDay(dates.start)} – ${longDay(dates.finish)}` : ""}
          {offered && <span className="text-ochre-ink"> · {offered} is offered</span>}
        </p>
        {request.note && <p className="whitespace-pre-wrap pt-1 text-ink-2">{request.note}</p>}
      </SheetSection>
      {isWaiting && request.assignmentId !== undefined && <Answers row={row} />}
      {isWaiting && request.assignmentId === undefined && (
        <SheetSection>
          <p className="text-over">{texts.itsWorkWasRemoved}</p>
        </SheetSection>
      )}
      <SheetSection title={texts.history}>
        <History steps={request.history} />
      </SheetSection>
    </Sheet>
  );
}

function History({ steps }: { steps: WorkRequest["history"] }) {
  return (
    <ol>
      {steps.map(({ at, by, to, step, text }) => (
        <li key={at} className="py-1">
          <span className="font-medium">{by}</span> {stepWords[step]}{" "}
          <time dateTime={at} suppressHydrationWarning className="text-side">
            {dateTimeText(at)}, to {to}
          </time>
          {text && <p className="whitespace-pre-wrap text-ink-2">{text}</p>}
        </li>
      ))}
    </ol>
  );
}

function Answers({ row }: { row: RequestRow }) {
  const { request } = row;
  const { personId, name, setChosen, choices, onOpen } = useWho(row);
  const { text, setText, fault, impact, answer } = useAnswering(row, personId, name);
  return (
    <>
      <SheetSection title={texts.answer}>
        <div className="space-y-3">
          <Field label={texts.who}>
            <Picker value={personId} onOpen={onOpen} onChange={setChosen} options={choices} />
          </Field>
          <Field label={texts.messageOrReason}>
            <TextArea value={text} onChange={(event) => setText(event.target.value)} />
          </Field>
          <FormFault>{fault}</FormFault>
          <div className="flex flex-wrap gap-2">
            <Button look="main" disabled={personId === ""} onClick={() => void answer("confirmed")}>
              {texts.confirm}
            </Button>
            <Button disabled={personId === "" || personId === request.offeredId} onClick={() => void answer("offered")}>
              {texts.offer}
            </Button>
            <Button look="danger" onClick={() => void answer("declined")}>
              {texts.decline}
            </Button>
          </div>
        </div>
      </SheetSection>
      {personId !== "" && <ImpactView impact={impact} title={`If ${name} does it`} />}
    </>
  );
}

/** The person chosen or suggested, and the possible choices: first those who could cover it. */
function useWho({ request }: RequestRow) {
  const { people, onOpen } = usePeopleWithRoom();
  const candidates = useMaybeAnswer("candidates", request.personId === undefined ? { openingId: request.assignmentId ?? "" } : null, null);
  const ranked = [...(candidates?.fitting ?? []), ...(candidates?.near ?? [])];
  const [chosen, setChosen] = useState("");
  const personId = chosen || request.offeredId || request.personId || ranked[0]?.personId || "";
  const others = people.filter(({ id }) => !ranked.some((own) => own.personId === id));
  const choices = [
    ...(personId === "" ? [none("Choose")] : []),
    ...ranked.map((own) => ({
      value: own.personId,
      text: own.name,
      side: `covers ${shareText(own.cover)}`,
      group: "By room, fit and cost",
    })),
    ...namedOptions(others).map((own) => ({ ...own, group: "Everyone" })),
  ];
  const name = people.find(({ id }) => id === personId)?.name ?? "";
  return { personId, name, setChosen, choices, onOpen };
}

/** The message and the answer with it; the effect of a yes. */
function useAnswering({ request }: RequestRow, personId: string, name: string) {
  const session = usePlan();
  const { user } = useFrame();
  const { today } = usePlanFacts();
  const [text, setText] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const lead = request.history[0].by;
  const editOf = (step: Step, at: string): Edit => {
    const said = text.trim() || (step === "declined" ? "" : `${name}, ${request.hours} h`);
    const entry = { at, by: user.name, to: lead, step, ...(said !== "" && { text: said }) };
    return { kind: "answerRequest", id: request.id, entry, ...(step !== "declined" && personId !== "" && { personId }) };
  };
  const impact = useImpact(personId === "" ? null : editOf("confirmed", TRIED_AT));
  const answer = async (step: Step) => {
    if (step === "declined" && text.trim() === "") return setFault("Enter the reason for declining.");
    const faults = await session.edit(editOf(step, momentOn(today)));
    setFault(faults[0]?.message ?? null);
    if (faults.length === 0) setText("");
  };
  return { text, setText, fault, impact, answer };
}

/** The moment of an answer that is only tried. */
const TRIED_AT = "2000-01-01T00:00:00.000Z";

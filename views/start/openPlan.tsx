"use client";
// Opening a plan file: what it holds or what is wrong with it, then replacing the plan.
import { useState } from "react";
import { answerLines } from "../../client/answerLines.ts";
import { post } from "../../client/post.ts";
import { useHost } from "../../client/session.tsx";
import { parseDay } from "../../core/calendar/day.ts";
import { Button } from "../../ui/button.tsx";
import { countText, longDay } from "../../ui/format.ts";
import { ProgressLine } from "../../ui/progressLine.tsx";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { texts } from "./words.ts";

interface Checked {
  faults: string[];
  /** The key under which the server holds the checked file. */
  held?: string;
  holds?: {
    name: string;
    from: string;
    to: string;
    people: number;
    projects: number;
    tasks: number;
    assignments: number;
    rateTables: number;
  };
}

type Step =
  | { at: "choose" }
  | { at: "reading"; file: File }
  | { at: "replacing"; part: number }
  | { at: "checked"; file: File; checked: Checked };

async function send(file: File, isReplacing: boolean): Promise<Checked> {
  const response = await post(`/api/plan/file${isReplacing ? "?replace=yes" : ""}`, { body: file });
  return checkedOf(response);
}

/** The server's verdict on a file; a refusal by anything in between is shown, too. */
async function checkedOf(response: Response): Promise<Checked> {
  const answer: Partial<Checked> & { message?: string } = await response.json().catch(() => ({}));
  return answer.faults ? { ...answer, faults: answer.faults } : { faults: [answer.message ?? `The server answered ${response.status}.`] };
}

/** Replaces the plan with the file that was checked; it is sent again where the server does no longer hold it. */
async function replaceWith(file: File, { held = "" }: Checked, onPart: (part: number) => void): Promise<Checked> {
  const response = await post(`/api/plan/file?held=${encodeURIComponent(held)}`, {});
  if (response.status === 410) return send(file, true);
  if (!response.ok) return checkedOf(response);
  for await (const line of answerLines<{ part: number } | Checked>(response)) {
    if ("faults" in line) return line;
    onPart(line.part);
  }
  return { faults: ["The server did not confirm that the plan was replaced. Reload the page to check."] };
}

const unreached = (): Checked => ({ faults: ["The server cannot be reached. Nothing was changed; try again when it answers."] });

export function OpenPlan({ planName, onClose }: { planName: string; onClose: () => void }) {
  const [step, setStep] = useState<Step>({ at: "choose" });
  const check = async (file: File) => {
    setStep({ at: "reading", file });
    setStep({ at: "checked", file, checked: await send(file, false).catch(unreached) });
  };
  const replace = async (file: File, checked: Checked) => {
    setStep({ at: "replacing", part: 0 });
    const replaced = await replaceWith(file, checked, (part) => setStep({ at: "replacing", part })).catch(unreached);
    if (replaced.faults.length > 0) setStep({ at: "checked", file, checked: replaced });
    else window.location.assign("/balance");
  };
  return (
    <div className="absolute top-[68px] right-0 bottom-0 z-40 shadow-float">
      <Sheet title={texts.openAPlanFile} subtitle="JSON, as saved by Mindful Roster" onClose={onClose}>
        <SheetSection>
          <PlanFile isBusy={step.at === "reading" || step.at === "replacing"} onChoose={(file) => void check(file)} />
        </SheetSection>
        {step.at === "reading" && <ProgressLine part={null}>{`Reading and checking ${step.file.name} …`}</ProgressLine>}
        {step.at === "replacing" && <ProgressLine part={step.part}>{texts.writingThePlan}</ProgressLine>}
        {step.at === "checked" && <Faults fileName={step.file.name} faults={step.checked.faults} />}
        {step.at === "checked" && step.checked.holds && (
          <>
            <Holds fileName={step.file.name} holds={step.checked.holds} />
            <Replace planName={planName} onReplace={() => void replace(step.file, step.checked)} />
          </>
        )}
      </Sheet>
    </div>
  );
}

function PlanFile({ isBusy, onChoose }: { isBusy: boolean; onChoose: (file: File) => void }) {
  return (
    <input
      type="file"
      accept=".json,application/json"
      aria-label={texts.planFile}
      disabled={isBusy}
      onChange={(event) => {
        const file = event.target.files?.[0];
        if (file) onChoose(file);
      }}
      className="file-field"
    />
  );
}

function Faults({ fileName, faults }: { fileName: string; faults: readonly string[] }) {
  if (faults.length === 0) return null;
  return (
    <SheetSection title={`${fileName} cannot be opened; nothing was changed`}>
      <ul className="space-y-1.5 text-[13px]" role="alert">
        {faults.map((fault) => (
          <li key={fault} className="break-words">
            {fault}
          </li>
        ))}
      </ul>
    </SheetSection>
  );
}

function Holds({ fileName, holds }: { fileName: string; holds: NonNullable<Checked["holds"]> }) {
  return (
    <SheetSection title={`${fileName} contains`}>
      <p className="font-semibold">{holds.name}</p>
      <p className="text-ink-2">
        {longDay(parseDay(holds.from))} – {longDay(parseDay(holds.to))}
      </p>
      <p className="mt-2">
        {countText(holds.people, "person", "people")}, {countText(holds.projects, "project")}, {countText(holds.tasks, "task")},{" "}
        {countText(holds.assignments, "assignment")}, {countText(holds.rateTables, "rate table")}.
      </p>
    </SheetSection>
  );
}

function Replace({ planName, onReplace }: { planName: string; onReplace: () => void }) {
  const unsettled = useHost((state) => state?.unsettled ?? 0);
  return (
    <SheetSection>
      <p className="mb-3">
        It replaces “{planName}”. The current plan is kept as a file in the backups of the data folder. Undo does not reach back past this
        step.
      </p>
      <Button look="main" disabled={unsettled > 0} onClick={onReplace}>
        {texts.replaceThePlan}
      </Button>
      {unsettled > 0 && <p className="mt-2 text-[13px] text-ochre-ink">{texts.waitUntilYourLastChanges}</p>}
    </SheetSection>
  );
}

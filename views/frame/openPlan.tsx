"use client";
// Opening a plan file: what it holds or what is wrong with it, then replacing the plan.
import { useState } from "react";
import { post } from "../../client/post.ts";
import { useHostState } from "../../client/session.tsx";
import { parseDay } from "../../core/calendar/day.ts";
import { Button } from "../../ui/button.tsx";
import { countText, longDay } from "../../ui/format.ts";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";

interface Checked {
  faults: string[];
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

type Step = { at: "choose" } | { at: "reading"; file: File } | { at: "checked"; file: File; checked: Checked };

async function send(file: File, isReplacing: boolean): Promise<Checked> {
  try {
    const response = await post(`/api/plan/file${isReplacing ? "?replace=yes" : ""}`, { body: file });
    return (await response.json()) as Checked;
  } catch {
    return { faults: ["The server cannot be reached. Nothing was changed; try again when it answers."] };
  }
}

export function OpenPlan({ planName, onClose }: { planName: string; onClose: () => void }) {
  const [step, setStep] = useState<Step>({ at: "choose" });
  const unsettled = useHostState()?.unsettled ?? 0;
  const check = async (file: File) => {
    setStep({ at: "reading", file });
    setStep({ at: "checked", file, checked: await send(file, false) });
  };
  const replace = async (file: File) => {
    setStep({ at: "reading", file });
    const checked = await send(file, true);
    if (checked.faults.length > 0) setStep({ at: "checked", file, checked });
    else window.location.assign("/balance");
  };
  const holds = step.at === "checked" ? step.checked.holds : undefined;
  return (
    <div className="absolute top-[68px] right-0 bottom-0 z-40 shadow-float">
      <Sheet title="Open a plan file" subtitle="JSON, as saved by Mindful Roster" onClose={onClose}>
        <SheetSection>
          <input
            type="file"
            accept=".json,application/json"
            aria-label="Plan file"
            disabled={step.at === "reading"}
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) void check(file);
            }}
            className="file-field"
          />
        </SheetSection>
        {step.at === "reading" && <p role="status">Reading {step.file.name} …</p>}
        {step.at === "checked" && step.checked.faults.length > 0 && (
          <SheetSection title={`${step.file.name} cannot be opened; nothing was changed`}>
            <ul className="space-y-1.5 text-[13px]" role="alert">
              {step.checked.faults.map((fault) => (
                <li key={fault} className="break-words">
                  {fault}
                </li>
              ))}
            </ul>
          </SheetSection>
        )}
        {step.at === "checked" && holds && (
          <>
            <SheetSection title={`${step.file.name} holds`}>
              <p className="font-semibold">{holds.name}</p>
              <p className="text-ink-2">
                {longDay(parseDay(holds.from))} – {longDay(parseDay(holds.to))}
              </p>
              <p className="mt-2">
                {countText(holds.people, "person", "people")}, {countText(holds.projects, "project")}, {countText(holds.tasks, "task")},{" "}
                {countText(holds.assignments, "assignment")}, {countText(holds.rateTables, "rate table")}.
              </p>
            </SheetSection>
            <SheetSection>
              <p className="mb-3">
                It takes the place of “{planName}”. The plan as it is now is kept as a file in the data folder’s backups; undo does not
                reach back past this step.
              </p>
              <Button look="main" disabled={unsettled > 0} onClick={() => void replace(step.file)}>
                Replace the plan
              </Button>
              {unsettled > 0 && <p className="mt-2 text-[13px] text-ochre-ink">Wait until your last changes are saved.</p>}
            </SheetSection>
          </>
        )}
      </Sheet>
    </div>
  );
}

"use client";
// Asking for people: a task of one's project, a role or a person, hours, dates and a note.
import { useState } from "react";
import { useMaybeAnswer, usePlan } from "../../../client/session.tsx";
import { Button } from "../../../ui/button.tsx";
import { DATE_HINT, isDateText, readDate } from "../../../ui/dateText.ts";
import { Field, KindOptions, kindOf, NamedOptions, Select, TextArea, TextInput } from "../../../ui/field.tsx";
import { momentOn } from "../../../ui/momentOn.ts";
import { newId } from "../../../ui/newId.ts";
import { Sheet, SheetSection } from "../../../ui/sheet.tsx";
import { readAmount } from "../../../ui/useDraft.ts";
import { useFrame, useNames, usePlanFacts } from "../../frame/facts.ts";

export function AskSheet({ taskId, onDone, onClose }: { taskId: string | null; onDone: (requestId: string) => void; onClose: () => void }) {
  const session = usePlan();
  const { user } = useFrame();
  const { today } = usePlanFacts();
  const { projects, people, roles } = useNames();
  const given = useMaybeAnswer("taskOf", taskId === null ? null : { taskId }, null);
  const [typedProject, setProject] = useState("");
  const projectId = typedProject || given?.projectId || "";
  const outline = useMaybeAnswer("outline", projectId === "" ? null : { projectId }, null);
  const [typedTask, setTask] = useState("");
  const [who, setWho] = useState("");
  const [hours, setHours] = useState("");
  const [from, setFrom] = useState("");
  const [until, setUntil] = useState("");
  const [note, setNote] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const tasks = outline?.project.id === projectId ? outline.tasks.filter(({ isSummary, isMilestone }) => !isSummary && !isMilestone) : [];
  const chosenTask = typedTask || (typedProject === "" ? (taskId ?? "") : "");
  const task = tasks.find((own) => own.task.id === chosenTask)?.task;
  const isEffort = task?.sizing === "effort";
  const wanted = who || (task?.roleId ? `role:${task.roleId}` : "");
  const amount = readAmount(hours, 0.1, 100_000);
  const lead = outline?.leadName ?? user.name;
  const ask = async () => {
    if (!task) return setFault("Choose the task it is for.");
    if (wanted === "") return setFault("Choose a role or a person.");
    if (!amount) return setFault("Write how many hours.");
    const { kind, id } = kindOf(wanted);
    const subject = kind === "person" ? { personId: id } : { roleId: id };
    const [assignmentId, requestId] = [newId("work"), newId("request")];
    const said = note.trim();
    const faults = await session.edit({
      kind: "askWork",
      assignment: {
        id: assignmentId,
        taskId: task.id,
        ...subject,
        hours: amount.value,
        firmness: "asked",
        ...(!isEffort && from.trim() !== "" && { from: readDate(from) ?? undefined }),
        ...(!isEffort && until.trim() !== "" && { to: readDate(until) ?? undefined }),
      },
      request: {
        id: requestId,
        taskId: task.id,
        assignmentId,
        ...subject,
        hours: amount.value,
        state: "asked",
        ...(said !== "" && { note: said }),
        history: [{ at: momentOn(today), by: lead, to: user.name, step: "asked", ...(said !== "" && { text: said }) }],
      },
    });
    if (faults.length > 0) setFault(faults[0].message);
    else onDone(requestId);
  };
  return (
    <Sheet title="Ask for people" subtitle={outline ? `On behalf of ${lead}` : "For a task of a project"} onClose={onClose}>
      <SheetSection>
        <form
          className="space-y-3"
          onSubmit={(event) => {
            event.preventDefault();
            void ask();
          }}
        >
          <Field label="Project">
            <Select
              value={projectId}
              onChange={(event) => {
                setProject(event.target.value);
                setTask("");
                setWho("");
              }}
            >
              <option value="">Choose</option>
              <NamedOptions list={projects} />
            </Select>
          </Field>
          <Field label="Task">
            <Select value={chosenTask} onChange={(event) => setTask(event.target.value)} disabled={tasks.length === 0}>
              <option value="">Choose</option>
              <NamedOptions list={tasks.map((own) => own.task)} />
            </Select>
          </Field>
          <Field label="Role or person">
            <Select value={wanted} onChange={(event) => setWho(event.target.value)}>
              <option value="">Choose</option>
              <KindOptions label="Roles" kind="role" list={roles} />
              <KindOptions label="People" kind="person" list={people} />
            </Select>
          </Field>
          <div className="grid grid-cols-[76px_1fr_1fr] gap-2">
            <Field label="Hours">
              <TextInput
                inputMode="decimal"
                value={hours}
                onChange={(event) => setHours(event.target.value)}
                aria-invalid={hours !== "" && !amount}
              />
            </Field>
            <Field label="From" fault={isDateText(from) ? undefined : DATE_HINT}>
              <TextInput placeholder="as the task" value={from} onChange={(event) => setFrom(event.target.value)} disabled={isEffort} />
            </Field>
            <Field label="Until" fault={isDateText(until) ? undefined : DATE_HINT}>
              <TextInput placeholder="as the task" value={until} onChange={(event) => setUntil(event.target.value)} disabled={isEffort} />
            </Field>
          </div>
          {(task?.skills?.length ?? 0) > 0 && <p className="text-[12.5px] text-ink-2">The task’s skills are asked for with it.</p>}
          <Field label="Note">
            <TextArea rows={3} value={note} onChange={(event) => setNote(event.target.value)} />
          </Field>
          {fault && (
            <p role="alert" className="text-over">
              {fault}
            </p>
          )}
          <Button type="submit" look="main" disabled={!isDateText(from) || !isDateText(until)}>
            Ask
          </Button>
        </form>
      </SheetSection>
    </Sheet>
  );
}

"use client";
// The typed values of a request for people, and the request made from them.
import { useState } from "react";
import { useMaybeAnswer, usePlan } from "../../../client/session.tsx";
import type { Edit } from "../../../core/edits/edit.ts";
import { readAmount } from "../../../ui/amount.ts";
import { readDate } from "../../../ui/dateText.ts";
import { momentOn } from "../../../ui/momentOn.ts";
import { newId } from "../../../ui/newId.ts";
import { kindOf } from "../../../ui/options.ts";
import { useFrame, usePlanFacts } from "../../scope/facts.ts";

export function useAsk(taskId: string | null, onDone: (requestId: string) => void) {
  const session = usePlan();
  const { user } = useFrame();
  const { today } = usePlanFacts();
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
    if (!task) return setFault("Choose the task.");
    if (wanted === "") return setFault("Choose a role or a person.");
    if (!amount) return setFault("Enter the hours.");
    const dates = isEffort ? {} : datesTyped(from, until);
    const words = { by: lead, to: user.name, at: momentOn(today), said: note.trim() };
    const edit = askWork({ taskId: task.id, wanted, hours: amount.value, dates, words });
    const faults = await session.edit(edit);
    if (faults.length > 0) setFault(faults[0].message);
    else onDone(edit.request.id);
  };
  return {
    outline,
    lead,
    projectId,
    /** Another project has other tasks, so what was chosen of them goes. */
    setProject: (id: string) => {
      setProject(id);
      setTask("");
      setWho("");
    },
    tasks,
    task,
    chosenTask,
    setTask,
    isEffort,
    wanted,
    setWho,
    hours: { text: hours, isSound: hours === "" || amount !== null, set: setHours },
    from: { text: from, set: setFrom },
    until: { text: until, set: setUntil },
    note: { text: note, set: setNote },
    fault,
    ask,
  };
}

/** The dates that are typed; those that are left empty are the task's. */
function datesTyped(from: string, until: string): { from?: string; to?: string } {
  return {
    ...(from.trim() !== "" && { from: readDate(from) ?? undefined }),
    ...(until.trim() !== "" && { to: readDate(until) ?? undefined }),
  };
}

interface Asked {
  taskId: string;
  /** A role or a person, as the list of both names it. */
  wanted: string;
  hours: number;
  dates: { from?: string; to?: string };
  words: { by: string; to: string; at: string; said: string };
}

/** The work that is asked for, and the request for it. */
function askWork({ taskId, wanted, hours, dates, words: { by, to, at, said } }: Asked): Extract<Edit, { kind: "askWork" }> {
  const { kind, id } = kindOf(wanted);
  const about = { taskId, ...(kind === "person" ? { personId: id } : { roleId: id }), hours };
  const assignmentId = newId("work");
  return {
    kind: "askWork",
    assignment: { id: assignmentId, ...about, firmness: "asked", ...dates },
    request: {
      id: newId("request"),
      assignmentId,
      ...about,
      state: "asked",
      ...(said !== "" && { note: said }),
      history: [{ at, by, to, step: "asked", ...(said !== "" && { text: said }) }],
    },
  };
}

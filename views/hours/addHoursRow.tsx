"use client";
// A new row of the hours grid: a task and who works on it, found by typing their names.
import { Plus } from "lucide-react";
import { useState } from "react";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { HoursOf } from "../../core/answers/hoursGrid.ts";
import { Button } from "../../ui/button.tsx";
import { kindOf, kindOptions, namedOptions, none, type Option } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { useNames } from "../scope/facts.ts";
import type { HoursHook } from "./useHours.ts";
import { texts } from "./words.ts";

interface AddHoursRowProps {
  of: HoursOf;
  addRow: HoursHook["addRow"];
}

/** The choices for a new row, and the row that they make. */
function useNewRow({ of, addRow }: AddHoursRowProps) {
  const [projectId, setProject] = useState("projectId" in of ? of.projectId : "");
  const [taskId, setTask] = useState("");
  const [who, setWho] = useState("");
  const outline = useMaybeAnswer("outline", projectId === "" ? null : { projectId }, null);
  // A summary task has no people of its own.
  const tasks: Option[] = (outline?.tasks ?? []).flatMap(({ task, isSummary }) => (isSummary ? [] : { value: task.id, text: task.name }));
  const { kind, id } = "personId" in of ? { kind: "person", id: of.personId } : kindOf(who);
  const add = async () => {
    const isMade = await addRow({ taskId, ...(kind === "person" ? { personId: id } : { roleId: id }) });
    if (isMade) setTask("");
  };
  const chooseProject = (next: string) => {
    setProject(next);
    setTask("");
  };
  return { projectId, chooseProject, taskId, setTask, tasks, who, setWho, add: taskId === "" || id === "" ? null : add };
}

export function AddHoursRow({ of, addRow }: AddHoursRowProps) {
  const { projects, people, roles } = useNames();
  const { projectId, chooseProject, taskId, setTask, tasks, who, setWho, add } = useNewRow({ of, addRow });
  return (
    <div className="flex flex-wrap items-center gap-2 pt-2">
      {"personId" in of && (
        <Picker
          label={texts.projectOfANewRow}
          value={projectId}
          onChange={chooseProject}
          width={220}
          options={[none("Add a row: project"), ...namedOptions(projects)]}
        />
      )}
      <Picker
        label={texts.taskOfANewRow}
        value={taskId}
        onChange={setTask}
        width={260}
        disabled={projectId === ""}
        options={[none("personId" in of ? "Task" : "Add a row: task"), ...tasks]}
      />
      {"projectId" in of && (
        <Picker
          label={texts.whoWorksOnIt}
          value={who}
          onChange={setWho}
          width={220}
          options={[none("Person or role"), ...kindOptions("People", "person", people), ...kindOptions("Roles", "role", roles)]}
        />
      )}
      <Button disabled={add === null} onClick={() => void add?.()}>
        <Plus size={14} /> Add row
      </Button>
    </div>
  );
}

"use client";
// Adds a task that is not planned in the week, or an activity.
import { useState } from "react";
import { useMaybeAnswer } from "../../client/session.tsx";
import { Button } from "../../ui/button.tsx";
import { namedOptions, none } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { useNames } from "../scope/facts.ts";
import type { WeekHook } from "./useWeek.ts";
import { activities } from "./weekWords.ts";
import { texts } from "./words.ts";

export function AddRow({ addRow }: Pick<WeekHook, "addRow">) {
  const { projects } = useNames();
  const [projectId, setProjectId] = useState("");
  const outline = useMaybeAnswer("outline", projectId === "" ? null : { projectId }, null);
  const tasks = outline?.tasks.filter(({ isSummary }) => !isSummary) ?? [];
  return (
    <div className="flex flex-wrap items-center gap-2 pt-2 pb-3">
      <span className="text-ink-2">{texts.addARow}</span>
      <Picker
        label={texts.project}
        width={210}
        value={projectId}
        onChange={setProjectId}
        options={[none(texts.project), ...namedOptions(projects)]}
      />
      <Picker
        label={texts.task}
        width={210}
        disabled={tasks.length === 0}
        value=""
        onChange={(taskId) => taskId !== "" && addRow({ taskId })}
        options={[none(texts.task), ...tasks.map(({ task }) => ({ value: task.id, text: task.name }))]}
      />
      <span className="text-ink-2">or</span>
      {activities.map((activity) => (
        <Button key={activity} onClick={() => addRow({ activity })}>
          {activity}
        </Button>
      ))}
    </div>
  );
}

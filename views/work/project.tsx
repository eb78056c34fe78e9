"use client";
// One project: its outline with people and hours next to a time chart, and the task one works on in the side sheet.
import { Columns3 } from "lucide-react";
import { useState } from "react";
import { toast } from "sonner";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import type { Redacted } from "../../client/seen.ts";
import { usePlan } from "../../client/session.tsx";
import type { Outline } from "../../core/answers/outline.ts";
import type { Drop } from "../../core/bars/drop.ts";
import type { TaskStretch } from "../../core/bars/stretchTask.ts";
import { TICKS_PER_DAY } from "../../core/calendar/workingLine.ts";
import { AddButton } from "../../ui/addButton.tsx";
import { Button, buttonLook, TextButton } from "../../ui/button.tsx";
import { countText, hoursText, shortDay } from "../../ui/format.ts";
import { useKeys } from "../../ui/keys.ts";
import Link from "../../ui/link.tsx";
import { ColumnChoice, Menu } from "../../ui/menu.tsx";
import { barFaults } from "../effect/barFaults.ts";
import { later, SheetPart } from "../frame/part.tsx";
import { Prerender } from "../frame/prerender.tsx";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { MoneyGaps } from "../money/moneyGaps.tsx";
import { useLeaveWhenGone } from "../scope/useLeaveWhenGone.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { WithSignals } from "../today/signalSign.tsx";
import { columnWords, hasCostColumn, outlineColumns } from "./outlineColumns.tsx";
import { OutlineTable } from "./outlineTable.tsx";
import { QuickEntry } from "./quickEntry.tsx";
import { DETAILS, PAGE, type ProjectHook, TIME_LEFT, useProject } from "./useProject.ts";
import { useProjectInWindow } from "./useProjectInWindow.ts";
import { texts } from "./words.ts";

const projectSheet = later(() => import("./projectSheet.tsx").then((own) => own.ProjectSheet));

interface ProjectProps {
  projectId: string;
  initial: Initial<AnswerOf<"outline">>;
  /** Of the task that the address names. */
  initialWhy: Initial<AnswerOf<"why">> | null;
}

export function Project({ projectId, initial, initialWhy }: ProjectProps) {
  const project = useProject(projectId, initial, initialWhy);
  const { outline, selected, hasSheet, add, remove, finishMoved } = project;
  useProjectInWindow(outline);
  useLeaveWhenGone(outline?.project.name, "/work");
  const { drop, setDrop, onDrop, onStretch } = useDrop(project);
  useKeys({ n: () => add(), delete: () => selected && void remove(selected.task.id) });
  if (!outline) return <NotThere />;
  return (
    <Screen
      isTwoLined
      title={<WayBack from={outline.project.name} />}
      figures={<Figures outline={outline} finishMoved={finishMoved} hasCost={hasCostColumn(project.columns)} />}
      actions={<Actions project={project} />}
      sheet={(drop || hasSheet) && <SheetPart of={projectSheet} given={{ outline, project, drop, onDropped: () => setDrop(null) }} />}
    >
      {outline.tasks.length === 0 ? (
        <Empty title={texts.noTasksYet}>
          Add tasks to plan the work of this project. <TextButton onClick={() => add()}>{texts.addTheFirstOne}</TextButton> or press N.
        </Empty>
      ) : (
        <WithSignals>
          <OutlineTable
            project={project}
            edits={{ onDrop, onStretch, onLink: (from, to) => void project.addLink({ from, to, kind: "FS" }) }}
          />
        </WithSignals>
      )}
      <QuickEntry
        tasks={outline.tasks}
        aboveId={(selected ?? outline.tasks.at(-1))?.task.id ?? null}
        place={placeWords(project)}
        onAdd={project.addLines}
      />
      {!(drop || hasSheet) && <SheetPrerender outline={outline} project={project} />}
    </Screen>
  );
}

/** The two that are asked for most: a task’s, and the project’s own. */
function SheetPrerender({ outline, project }: { outline: Redacted<Outline>; project: ProjectHook }) {
  const selected = outline.tasks.find(({ isSummary }) => !isSummary);
  const sheet = (shown: Partial<ProjectHook>) => (
    <SheetPart of={projectSheet} given={{ outline, project: { ...project, ...shown }, drop: null, onDropped() {} }} />
  );
  return (
    <Prerender of={projectSheet}>
      {sheet({ isShowingDetails: true })}
      {selected && sheet({ selected })}
    </Prerender>
  );
}

function NotThere() {
  const linkTo = useLinkTo();
  return (
    <Screen title={texts.work}>
      <Empty title={texts.thisProjectIsNot}>
        It may have been deleted, or another plan was opened.{" "}
        <Link className="text-link" href={linkTo("/work")}>
          {texts.seeAllProjects}
        </Link>
      </Empty>
    </Screen>
  );
}

/** The name of what is shown, with the way to the list that it is one of. */
function WayBack({ from }: { from: string }) {
  const linkTo = useLinkTo();
  return (
    <span className="flex items-center gap-2.5">
      <Link href={linkTo("/work")} className="text-ink-2 hover:text-ink" title={texts.allProjects} aria-label={texts.allProjects}>
        ‹
      </Link>
      {from}
    </span>
  );
}

function Figures({ outline, finishMoved, hasCost }: { outline: Redacted<Outline>; finishMoved: number; hasCost: boolean }) {
  return (
    <>
      <Figure
        value={shortDay(outline.finish)}
        says={<FinishWords outline={outline} moved={finishMoved} />}
        isOver={outline.missed > 0 || finishMoved > 0}
      />
      <Figure
        value={`${hoursText(outline.asked)} h`}
        says={outline.asked === 0 ? "needed" : `needed · ${Math.round((1 - outline.open / outline.asked) * 100)}% assigned`}
      />
      {hasCost && <MoneyGaps {...outline.gaps} />}
      {outline.leadName && <Figure value={outline.leadName} says="lead" />}
    </>
  );
}

function Actions({ project }: { project: ProjectHook }) {
  const { add, outline } = project;
  const linkTo = useLinkTo();
  return (
    <>
      <Menu label={texts.columns} icon={<Columns3 size={14} />}>
        <ColumnChoice all={outlineColumns} words={columnWords} chosen={project.columns} onChoose={project.setColumns} />
      </Menu>
      <Link href={linkTo(`/work/${encodeURIComponent(outline?.project.id ?? "")}/hours`)} className={buttonLook()}>
        {texts.hours}
      </Link>
      <Button onClick={() => project.select(PAGE)}>{texts.page}</Button>
      <Button onClick={() => project.select(TIME_LEFT)}>{texts.timeLeft}</Button>
      <Button onClick={() => project.select(DETAILS)}>{texts.details}</Button>
      <AddButton onAdd={() => add()}>{texts.addTask}</AddButton>
    </>
  );
}

/** Where written tasks go. */
function placeWords({ selected }: ProjectHook): string {
  if (!selected) return "to the end";
  return `${selected.isSummary ? "into" : "after"} “${selected.task.name}”`;
}

function FinishWords({ outline: { missed, start, project }, moved }: { outline: Redacted<Outline>; moved: number }) {
  const linkTo = useLinkTo();
  if (missed > 0) return `finish · deadline missed by ${countText(Math.round((missed / TICKS_PER_DAY) * 10) / 10, "working day")}`;
  if (moved === 0) return `finish · from ${shortDay(start)}`;
  return (
    <>
      finish ·{" "}
      <Link href={linkTo("/changes", { about: project.id })} className="underline" title={texts.showChanges}>
        {countText(Math.abs(moved), "day")} {moved > 0 ? "later" : "earlier"}
      </Link>{" "}
      than when you last looked
    </>
  );
}

/** A bar let go on another day: done at once where it can only mean one thing, else asked. */
function useDrop(project: ProjectHook) {
  const session = usePlan();
  const [drop, setDrop] = useState<Drop | null>(null);
  const take = (found: Drop) => {
    const [first] = found.options;
    if (first.way === "move" || first.way === "notBefore" || first.way === "longer") void project.edit(first.edit);
    else setDrop(found);
  };
  const onDrop = async (taskId: string, day: number) => {
    const found = await session.ask("drop", { taskId, day });
    if (found) take(found);
  };
  const onStretch = async (stretch: TaskStretch) => {
    const found = await session.ask("stretchTask", stretch);
    if ("fault" in found) toast(barFaults[found.fault]);
    else take(found);
  };
  return {
    drop,
    setDrop,
    onDrop: (taskId: string, day: number) => void onDrop(taskId, day),
    onStretch: (stretch: TaskStretch) => void onStretch(stretch),
  };
}

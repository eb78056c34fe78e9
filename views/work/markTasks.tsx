"use client";
// Tasks are marked as started or as done: at once where recorded hours say when, else once the days are stated.
import { useState } from "react";
import type { Redacted } from "../../client/seen.ts";
import type { OutlineTask } from "../../core/answers/outline.ts";
import { formatDay } from "../../core/calendar/day.ts";
import { type Mark, markEdit, needsDay } from "../../core/typing/markTasks.ts";
import { Button } from "../../ui/button.tsx";
import { DateField } from "../../ui/dateField.tsx";
import { DATE_HINT, isDateText, readDate, writeDate } from "../../ui/dateText.ts";
import { Field, FormFooter } from "../../ui/field.tsx";
import { countText } from "../../ui/format.ts";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { useToday } from "../../ui/today.ts";
import { ImpactView, useImpact } from "../effect/impact.tsx";
import type { ProjectHook } from "./useProject.ts";
import { texts } from "./words.ts";

const markWords: Record<Mark, string> = { started: "Mark as started", done: "Mark as done" };

/** The two marks of a task, as buttons. */
export function MarkButtons({ entry, project }: { entry: Redacted<OutlineTask>; project: ProjectHook }) {
  const { state } = entry.task;
  const isOpen = state !== "done";
  const mark = (own: Mark) => project.mark([entry.task.id], own);
  return (
    <SheetSection>
      <div className="flex gap-2">
        {(!isOpen || (state !== "underWay" && entry.began === null)) && (
          <Button onClick={() => mark("started")} title="S in the outline">
            {isOpen ? markWords.started : texts.reopen}
          </Button>
        )}
        {isOpen && (
          <Button onClick={() => mark("done")} title="D in the outline">
            {markWords.done}
          </Button>
        )}
      </div>
    </SheetSection>
  );
}

/** Asks for the days that nothing says yet, with the effect of the mark. */
export function MarkSheet({ project, ids, mark }: { project: ProjectHook; ids: readonly string[]; mark: Mark }) {
  const today = writeDate(formatDay(useToday()));
  const [begin, setBegin] = useState(mark === "started" ? today : "");
  const [end, setEnd] = useState(today);
  const entries = project.tasks.filter(({ task }) => ids.includes(task.id));
  const open = entries.filter((entry) => needsDay(entry, mark));
  const days = { start: readDate(begin) ?? undefined, ...(mark === "done" && { finish: readDate(end) ?? undefined }) };
  const isStated = mark === "done" ? days.finish !== undefined : days.start !== undefined;
  const isOrdered = mark === "started" || days.start === undefined || (days.finish ?? "") >= days.start;
  const edit = isStated && isOrdered ? markEdit(entries, mark, days) : null;
  const impact = useImpact(edit);
  const faultOf = (text: string) => (isDateText(text) ? undefined : DATE_HINT);
  const save = async () => {
    if (!edit || !(await project.edit(edit))) return;
    project.closeMark();
    project.untickAll();
  };
  return (
    <Sheet
      title={markWords[mark]}
      subtitle={open.length === 1 ? open[0].task.name : countText(open.length, "task")}
      onClose={project.closeMark}
    >
      <SheetSection>
        <form
          className="space-y-3"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            void save();
          }}
        >
          <p className="text-side">{texts.noApprovedHoursSayWhen}</p>
          {mark === "done" && (
            <Field label={texts.finishedOn} fault={faultOf(end) ?? (isOrdered ? undefined : texts.theFinishMustNot)}>
              <DateField value={end} onChange={setEnd} autoFocus />
            </Field>
          )}
          <Field label={texts.startedOn} fault={faultOf(begin)}>
            <DateField
              value={begin}
              onChange={setBegin}
              autoFocus={mark === "started"}
              placeholder={mark === "done" ? "same day" : undefined}
            />
          </Field>
          <FormFooter>
            <Button type="submit" look="main" disabled={edit === null}>
              {markWords[mark]}
            </Button>
            <Button onClick={project.closeMark}>{texts.cancel}</Button>
          </FormFooter>
        </form>
      </SheetSection>
      {edit && <ImpactView impact={impact} />}
    </Sheet>
  );
}

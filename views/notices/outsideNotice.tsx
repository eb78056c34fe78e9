"use client";
// Says at once that typed hours lie outside their task's dates, and offers to move the finish.
import { toast } from "sonner";
import type { PlanSession } from "../../client/planSession.ts";
import type { AnswerOf, QueryOf } from "../../client/questions.ts";
import { togetherOf } from "../../core/edits/together.ts";
import { Button } from "../../ui/button.tsx";
import { countText, hoursText, longDay, wholeText } from "../../ui/format.ts";
import { newId } from "../../ui/newId.ts";
import { texts } from "./words.ts";

type Outside = AnswerOf<"hoursOutside">[number];

const MOST_LINES = 3;

/** Looks at what has just been typed. */
export async function tellOutside(session: PlanSession, cells: QueryOf<"hoursOutside">["cells"]): Promise<void> {
  const tasks = cells.length === 0 ? [] : await session.ask("hoursOutside", { cells });
  if (tasks.length === 0) return;
  const id = newId("outside");
  const movable = tasks.filter(({ moveFinish }) => moveFinish.length > 0);
  const words = movable.length === 1 ? `move the finish of ${movable[0].taskName}` : `move ${movable.length} finishes`;
  const move = () => {
    toast.dismiss(id);
    const edits = movable.flatMap(({ moveFinish }) => moveFinish);
    void session.edit(togetherOf(edits, words));
  };
  toast(
    <div role="status" aria-label={texts.hoursOutsideTheTasksDates} className="w-full">
      {tasks.slice(0, MOST_LINES).map((own) => (
        <p key={own.taskId}>{outsideText(own)}</p>
      ))}
      {tasks.length > MOST_LINES && <p className="text-side">and {wholeText(tasks.length - MOST_LINES)} more tasks</p>}
      {movable.length > 0 && (
        <div className="pt-2">
          <Button onClick={move}>
            {movable.length === 1
              ? `Move the finish to ${longDay(movable[0].lastDay)}`
              : `Move ${countText(movable.length, "finish", "finishes")}`}
          </Button>
        </div>
      )}
    </div>,
    { id, duration: 20_000 },
  );
}

function outsideText({ taskName, start, finish, before, after }: Outside): string {
  const parts = [
    before > 0 && `${hoursText(before)} h are before the start on ${longDay(start)}`,
    after > 0 && `${hoursText(after)} h are after the finish on ${longDay(finish)}`,
  ].filter(Boolean);
  return `${taskName}: ${parts.join(", ")}.`;
}

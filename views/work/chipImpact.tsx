// What an edit that hangs on the pointer would do, in a few lines.
import type { Edit } from "../../core/edits/edit.ts";
import { countText } from "../../ui/format.ts";
import { useImpact } from "../frame/impact.tsx";

/** @param taskId The task that is moved itself, which is not named. */
export function ChipImpact({ edit, taskId }: { edit: Edit | null; taskId: string }) {
  const impact = useImpact(edit);
  if (!impact) return null;
  if (impact.faults.length > 0) return <p className="text-over">{impact.faults.join(" ")}</p>;
  const projects = impact.finishes.filter(({ kind }) => kind === "project");
  const tasks = impact.finishes.filter(({ kind, id }) => kind === "task" && id !== taskId);
  return (
    <>
      {tasks.length > 0 && (
        <p>
          {countText(tasks.length, "task")} {tasks.length === 1 ? "moves" : "move"} with it
        </p>
      )}
      {projects.map(({ id, name, before, after }) => (
        <p key={id} className={after > before ? "text-over" : "text-level-ink"}>
          {name} finishes {countText(Math.abs(after - before), "day")} {after > before ? "later" : "earlier"}
        </p>
      ))}
      {impact.over.length > 0 && <p className="text-over">{impact.over[0].name} goes over</p>}
      {tasks.length + projects.length + impact.over.length === 0 && <p className="text-ink-2">Nothing else moves.</p>}
    </>
  );
}

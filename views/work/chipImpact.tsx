// The effect of an edit at the pointer, in a few lines.

import type { Edit } from "../../core/edits/edit.ts";
import { countText } from "../../ui/format.ts";
import { useImpact } from "../effect/impact.tsx";
import { moneyPhrases } from "../effect/moneyChange.ts";
import { usePlanFacts } from "../scope/facts.ts";
import { texts } from "./words.ts";

/** @param taskId The task that is moved itself, which is not named. */
export function ChipImpact({ edit, taskId }: { edit: Edit | null; taskId: string }) {
  const { currency } = usePlanFacts();
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
      {impact.over.length > 0 && <p className="text-over">{impact.over[0].name} becomes overloaded</p>}
      {moneyPhrases(impact.money, currency).map(({ text, isBad }) => (
        <p key={text} className={isBad ? "text-over" : "text-ink-2"}>
          {text}
        </p>
      ))}
      {tasks.length + projects.length + impact.over.length === 0 && <p className="text-ink-2">{texts.nothingElseMoves}</p>}
    </>
  );
}

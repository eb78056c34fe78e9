"use client";
// The destination of hours that were removed from a period, and the other ways, one click away.
import { toast } from "sonner";
import type { Edit } from "../../core/edits/edit.ts";
import type { Rest, TypedPeriod } from "../../core/typing/typePeriod.ts";
import { Button } from "../../ui/button.tsx";
import { hoursText } from "../../ui/format.ts";
import { newId } from "../../ui/newId.ts";
import { texts } from "./words.ts";

const went: Record<Rest, string> = {
  later: "moved to later periods",
  open: "are unassigned on the task",
  dropped: "were removed",
};
const instead: Record<Rest, string> = {
  later: "Move them to later periods",
  open: "Leave them unassigned",
  dropped: "Remove them",
};

/** The notice that is there now; one that is on its way out cannot be shown again under its name. */
let shown = "";

/** Says it, and offers the other ways; each is made in place of what is now. */
export function tellRest({ minutes, edits }: TypedPeriod, chosen: Rest, remake: (rest: Rest, edit: Edit) => Promise<void>): void {
  const others = (["later", "open", "dropped"] as const).flatMap((rest) => {
    const edit = edits[rest];
    return rest !== chosen && edit ? [{ rest, edit }] : [];
  });
  toast.dismiss(shown);
  const id = newId("rest");
  shown = id;
  toast(
    <div role="status" aria-label={texts.remainingHours} className="w-full">
      <p>
        <strong>{hoursText(minutes)} h</strong> {went[chosen]}.
      </p>
      <div className="flex flex-wrap gap-2 pt-2">
        {others.map(({ rest, edit }) => (
          <Button
            key={rest}
            onClick={() => {
              toast.dismiss(id);
              void remake(rest, edit);
            }}
          >
            {instead[rest]}
          </Button>
        ))}
      </div>
    </div>,
    { id, duration: 20_000 },
  );
}

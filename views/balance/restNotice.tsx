"use client";
// Where hours went that were taken out of a period, and the other ways, one press away.
import { toast } from "sonner";
import type { Edit } from "../../core/edits/edit.ts";
import type { Rest, TypedPeriod } from "../../core/entry/typePeriod.ts";
import { Button } from "../../ui/button.tsx";
import { hoursText } from "../../ui/format.ts";
import { newId } from "../../ui/newId.ts";

const went: Record<Rest, string> = {
  later: "went to the periods still to come",
  open: "are left open on the task",
  dropped: "are dropped",
};
const instead: Record<Rest, string> = {
  later: "Put them in later periods",
  open: "Leave them open on the task",
  dropped: "Drop them",
};

/** The notice that stands there now; one that is on its way out cannot be shown again under its name. */
let shown = "";

/** Says it, and offers the other ways; each is made in place of what stands now. */
export function tellRest({ minutes, edits }: TypedPeriod, chosen: Rest, remake: (rest: Rest, edit: Edit) => Promise<void>): void {
  const others = (["later", "open", "dropped"] as const).flatMap((rest) => {
    const edit = edits[rest];
    return rest !== chosen && edit ? [{ rest, edit }] : [];
  });
  toast.dismiss(shown);
  const id = newId("rest");
  shown = id;
  toast(
    <div role="status" aria-label="The rest of the hours" className="w-full">
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

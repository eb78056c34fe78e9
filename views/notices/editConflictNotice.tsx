"use client";
// The conflicts of a reverted edit: yours, theirs, the former value, and a choice.
import { toast } from "sonner";
import type { Notice } from "../../client/host.ts";
import { usePlan } from "../../client/session.tsx";
import type { Edit } from "../../core/edits/edit.ts";
import type { ConflictCell, EditConflict } from "../../core/edits/editConflicts.ts";
import { listWords } from "../../core/plan/listWords.ts";
import { Button } from "../../ui/button.tsx";
import { countText } from "../../ui/format.ts";
import { fieldText, useValueText } from "./valueText.ts";
import { texts } from "./words.ts";

const MOST_ROWS = 6;

type ChangedSince = Extract<Notice, { kind: "changedSince" }>;

export function EditConflictNotice({
  rows,
  edit,
  choice,
  toastId,
}: {
  rows: readonly EditConflict[];
  edit: Edit;
  choice: string;
  toastId: string;
}) {
  const session = usePlan();
  const choose = (chosen: Edit | null) => {
    toast.dismiss(toastId);
    session.choose(choice, chosen);
  };
  return (
    <div role="alertdialog" aria-label={texts.conflictingChanges} className="w-full">
      <p className="font-semibold">{texts.someoneElseChangedTheSame}</p>
      <MetRows rows={rows} verb="yours" />
      <div className="flex gap-2">
        <Button onClick={() => choose(null)}>{texts.keepTheirs}</Button>
        <Button look="main" onClick={() => choose(edit)}>
          {texts.keepYours}
        </Button>
      </div>
    </div>
  );
}

/** A step that was not undone, because others have changed the same since: where, and the rest that still can be. */
export function ChangedSinceNotice({ rows, step, text, undoableRows, toastId }: Omit<ChangedSince, "kind"> & { toastId: string }) {
  const session = usePlan();
  const close = () => void toast.dismiss(toastId);
  return (
    <div role="alertdialog" aria-label={texts.changedSince} className="w-full">
      <p className="font-semibold">{text}</p>
      <MetRows rows={rows} verb="would be" />
      <div className="flex gap-2">
        <Button onClick={close}>{texts.leaveUnchanged}</Button>
        {undoableRows > 0 && (
          <Button
            look="main"
            onClick={() => {
              close();
              void session.step({ ...step, partly: true });
            }}
          >
            {step.kind === "undo" ? texts.undo : texts.redo} the other {countText(undoableRows, "row")}
          </Button>
        )}
      </div>
    </div>
  );
}

function MetRows({ rows, verb }: { rows: readonly EditConflict[]; verb: string }) {
  return (
    <ul className="max-h-[260px] overflow-y-auto py-1">
      {rows.slice(0, MOST_ROWS).map(({ list, id, name, cells }) => (
        <li key={`${list} ${id}`} className="py-1">
          <span className="text-ink-2">{listWords[list]}</span> {name}
          {cells.map((cell) => (
            <Cell key={cell.field} cell={cell} verb={verb} />
          ))}
        </li>
      ))}
      {rows.length > MOST_ROWS && <li className="text-side">and {rows.length - MOST_ROWS} more</li>}
    </ul>
  );
}

function Cell({ cell: { field, saw, yours, now }, verb }: { cell: ConflictCell; verb: string }) {
  const nameOf = useValueText();
  return (
    <span className="block text-small">
      <span className="text-ink-2">{fieldText(field, nameOf)}</span>: {verb} {nameOf(yours)}, theirs <strong>{nameOf(now)}</strong>, before{" "}
      {nameOf(saw)}
    </span>
  );
}

"use client";
// One sketch in the side sheet: its changes in their order, each to adopt or to take out; opened, renamed, copied, thrown away.
import { useRouter } from "next/navigation";
import { useState } from "react";
import { useHost, useMaybeAnswer, usePlan } from "../../client/session.tsx";
import type { SketchEntry, SketchRow } from "../../core/answers/sketches.ts";
import { Button } from "../../ui/button.tsx";
import { CheckboxField } from "../../ui/checkbox.tsx";
import { DraftInput } from "../../ui/draftInput.tsx";
import { countText } from "../../ui/format.ts";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { toggledList } from "../../ui/toggled.ts";
import { ImpactView } from "../effect/impact.tsx";
import { useOwnSketch } from "../scope/ownSketch.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { SketchRows } from "./sketchRows.tsx";
import { texts } from "./words.ts";

interface SketchSheetProps {
  row: SketchRow;
  /** Shows another sketch here. */
  onOpen: (id: string) => void;
  onClose: () => void;
}

export function SketchSheet({ row, onOpen, onClose }: SketchSheetProps) {
  const { id, name, by } = row;
  const session = usePlan();
  const router = useRouter();
  const linkTo = useLinkTo();
  const isOpen = useHost((state) => state?.sketchId === id);
  const entries = useMaybeAnswer("sketchEntries", { sketchId: id }, null) ?? [];
  return (
    <Sheet title={name} subtitle={`Created by ${by}`} onClose={onClose}>
      <SheetSection>
        <p className="pb-2">{isOpen ? texts.theSketchIsOpenEvery : texts.openItToSeeEvery}</p>
        {!isOpen && (
          <Button look="main" onClick={() => router.push(linkTo("/balance", { sketch: id }))}>
            {texts.openTheSketch}
          </Button>
        )}
      </SheetSection>
      <Changes key={entries.map((entry) => entry.id).join()} sketchId={id} entries={entries} />
      <SheetSection title={texts.manageTheSketch}>
        <div className="flex items-center gap-2 pb-2">
          <span>{texts.name}</span>
          <DraftInput
            value={name}
            write={String}
            read={(text) => (text.trim() === "" || text.length > 300 ? null : { value: text.trim() })}
            onSave={(next) => void session.edit({ kind: "renameSketch", id, name: next })}
            says={texts.aNameOfUp}
            aria-label={texts.nameOfTheSketch}
          />
        </div>
        <Ends row={row} onOpen={onOpen} onClose={onClose} />
      </SheetSection>
    </Sheet>
  );
}

/** Changes with a tick each; what those that are ticked would do to the plan as it is now, and adopting them. */
function Changes({ sketchId, entries }: { sketchId: string; entries: readonly SketchEntry[] }) {
  const session = usePlan();
  const possible = entries.filter(({ fault }) => fault === null).map(({ id }) => id);
  const [chosen, setChosen] = useState<readonly string[]>(possible);
  const adoption = useMaybeAnswer("adoption", chosen.length === 0 ? null : { sketchId, entryIds: chosen }, null);
  if (entries.length === 0) return <NoChanges />;
  const count = adoption?.count ?? 0;
  const toggle = (id: string) => setChosen(toggledList(chosen, id));
  return (
    <>
      <SheetSection title={texts.changes}>
        <ol aria-label={texts.changesOfTheSketch}>
          {entries.map((entry) => (
            <ChangeLine key={entry.id} entry={entry} isChosen={chosen.includes(entry.id)} onToggle={() => toggle(entry.id)} />
          ))}
        </ol>
        <div className="flex flex-wrap gap-2 pt-2">
          <Button look="main" disabled={!adoption} onClick={() => adoption && void session.edit(adoption.edit)}>
            {chosen.length === entries.length ? texts.adoptAll : `Adopt ${countText(count, "change")}`}
          </Button>
          <Button
            disabled={chosen.length === 0}
            onClick={() => void session.edit({ kind: "eraseFromSketch", id: sketchId, entryIds: [...chosen] })}
          >
            {texts.remove}
          </Button>
        </div>
        {adoption && count < chosen.length && (
          <p className="pt-1 text-small text-over">
            {countText(chosen.length - count, "change")} can no longer be made, or depend on changes that are not selected.
          </p>
        )}
      </SheetSection>
      {adoption && <ImpactView impact={adoption.impact} title={texts.effectOnThePlan} />}
    </>
  );
}

function NoChanges() {
  return (
    <SheetSection title={texts.changes}>
      <p className="text-ink-2">{texts.noChangesRecordedYet}</p>
    </SheetSection>
  );
}

function ChangeLine({ entry, isChosen, onToggle }: { entry: SketchEntry; isChosen: boolean; onToggle: () => void }) {
  return (
    <li className="line-above py-1">
      <CheckboxField checked={isChosen} onChange={onToggle}>
        {entry.words}
      </CheckboxField>
      <SketchRows rows={entry.rows} count={entry.count} />
      {entry.fault !== null && <p className="text-small text-over">No longer possible: {entry.fault}</p>}
    </li>
  );
}

function Ends({ row: { id, name }, onOpen, onClose }: SketchSheetProps) {
  const session = usePlan();
  const ownSketch = useOwnSketch();
  const copy = async () => {
    const sketch = await session.ask("sketchCopy", { sketchId: id, ...ownSketch() });
    if (sketch && (await session.edit({ kind: "addSketch", sketch })).length === 0) onOpen(sketch.id);
  };
  return (
    <div className="flex flex-wrap gap-2">
      <Button title={`Creates another sketch with the changes of ${name}`} onClick={() => void copy()}>
        {texts.duplicate}
      </Button>
      <Button look="danger" onClick={() => void session.edit({ kind: "deleteSketch", id }).then(onClose)}>
        Delete
      </Button>
    </div>
  );
}

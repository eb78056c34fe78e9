"use client";
// The baseline itself: when it was taken, its note, and its deletion after a question.
import { useState } from "react";
import { usePlan } from "../../../client/session.tsx";
import type { BaselineName } from "../../../core/status/baselines.ts";
import { Button } from "../../../ui/button.tsx";
import { countText, longDay } from "../../../ui/format.ts";
import { Sheet, SheetSection } from "../../../ui/sheet.tsx";
import { RowTrail } from "../../changes/rowTrail.tsx";
import { texts } from "./words.ts";

export function BaselineSheet({ baseline, onClose }: { baseline: BaselineName; onClose: () => void }) {
  const session = usePlan();
  const [isAsking, setAsking] = useState(false);
  const remove = async () => {
    if ((await session.edit({ kind: "deleteBaseline", id: baseline.id })).length === 0) onClose();
  };
  return (
    <Sheet
      title={baseline.name}
      subtitle={`Taken on ${longDay(baseline.takenOn)}, ${countText(baseline.projects, "project")}`}
      onClose={onClose}
    >
      {baseline.note !== "" && (
        <SheetSection title={texts.note}>
          <p className="whitespace-pre-wrap">{baseline.note}</p>
        </SheetSection>
      )}
      <SheetSection>
        {isAsking ? (
          <>
            <p className="pb-2">{texts.deletedForAll}</p>
            <div className="flex gap-2">
              <Button look="danger" onClick={() => void remove()}>
                {texts.deleteIt}
              </Button>
              <Button onClick={() => setAsking(false)}>{texts.keep}</Button>
            </div>
          </>
        ) : (
          <Button look="danger" onClick={() => setAsking(true)}>
            {texts.deleteBaseline}
          </Button>
        )}
      </SheetSection>
      <RowTrail id={baseline.id} />
    </Sheet>
  );
}

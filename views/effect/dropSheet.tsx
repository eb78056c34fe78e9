"use client";
// A bar that links decide was dragged: what that can mean, each with what it does, and none of it hidden.
import { useState } from "react";
import type { Drop, DropOption } from "../../core/bars/drop.ts";
import { Button } from "../../ui/button.tsx";
import { countText, longDay } from "../../ui/format.ts";
import { Radios } from "../../ui/radios.tsx";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { ImpactView, useImpact } from "./impact.tsx";
import { texts } from "./words.ts";

interface DropSheetProps {
  drop: Drop;
  taskName: string;
  onTake: (option: DropOption) => void;
  onClose: () => void;
}

export function DropSheet({ drop, taskName, onTake, onClose }: DropSheetProps) {
  const [way, setWay] = useState(drop.options[0].way);
  const option = drop.options.find((own) => own.way === way) ?? drop.options[0];
  const impact = useImpact(option.edit);
  return (
    <Sheet title={`Start on ${longDay(drop.start)}?`} subtitle={`${taskName} · its links decide when it starts`} onClose={onClose}>
      <SheetSection>
        <Radios
          label={texts.howToMoveIt}
          value={way}
          onChange={setWay}
          options={drop.options.map((own) => ({
            value: own.way,
            text: (
              <>
                <span className="block font-medium">{titleOf(own)}</span>
                <span className="block text-side">{noteOf(own)}</span>
              </>
            ),
          }))}
        />
        <div className="flex gap-2 pt-3">
          <Button look="main" disabled={!impact || impact.faults.length > 0} onClick={() => onTake(option)}>
            {texts.apply}
          </Button>
          <Button onClick={onClose}>{texts.cancel}</Button>
        </div>
      </SheetSection>
      <ImpactView impact={impact} />
    </Sheet>
  );
}

function titleOf({ way, days = 0, fromName }: DropOption): string {
  switch (way) {
    case "stagger":
      return days === 0 ? "Remove its delay" : `Delay it by ${countText(days, "day")}`;
    case "link":
      return `Change the lag after ${fromName} to ${countText(days, "day")}`;
    case "pin":
      return "Pin it to these dates";
    case "notBefore":
      return "Start no earlier than this date";
    case "move":
      return "Move it";
    case "longer":
      return "Make it longer";
  }
}

function noteOf({ way }: DropOption): string {
  switch (way) {
    case "stagger":
      return "It still follows its links; the delay is shown and can be removed.";
    case "link":
      return "The link stays, with the new lag.";
    case "pin":
      return "It no longer follows its links; a pin is shown, and broken links are reported.";
    case "notBefore":
      return "A visible constraint; links can still make it later.";
    case "move":
      return "It is already pinned.";
    case "longer":
      return "Its people have more days for the same work.";
  }
}

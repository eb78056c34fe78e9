"use client";
// The end of a sheet: what was changed about its subject, and the id that it has in files.
import { FormFault } from "../../ui/field.tsx";
import { countText } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { SheetSection } from "../../ui/sheet.tsx";
import { Unfold } from "../../ui/unfold.tsx";
import { useValueText } from "../notices/valueText.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { Step, undoneSteps } from "./step.tsx";
import { useTrail } from "./useTrail.ts";
import { texts } from "./words.ts";

export function RowTrail({ id }: { id: string }) {
  return (
    <SheetSection>
      <Unfold title={texts.changes}>
        <Steps id={id} />
      </Unfold>
      <p className="pt-1 text-side">
        Id in files: <span className="select-all break-all">{id}</span>
      </p>
    </SheetSection>
  );
}

const MOST = 8;

function Steps({ id }: { id: string }) {
  const { steps, isAll, fault } = useTrail(id);
  const nameOf = useValueText();
  const linkTo = useLinkTo();
  if (fault) return <FormFault>{fault}</FormFault>;
  if (steps === null) return <p className="text-side">{texts.loadingChanges}</p>;
  if (steps.length === 0) return <p className="text-side">{texts.itHasNotBeenChanged}</p>;
  const undone = undoneSteps(steps);
  return (
    <>
      {steps.slice(0, MOST).map((step) => (
        <Step key={step.revision} step={step} isUndone={undone.has(step.revision)} nameOf={nameOf} hasDay />
      ))}
      {steps.length > MOST && (
        <Link href={linkTo("/changes", { about: id })} className="text-link">
          {isAll ? `All ${countText(steps.length, "change")}` : texts.allChanges}
        </Link>
      )}
    </>
  );
}

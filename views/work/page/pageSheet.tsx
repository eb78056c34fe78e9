"use client";
// Making a page of a project for a client: what is on it, then a file of its own or a print.
import { useState } from "react";
import type { Redacted } from "../../../client/seen.ts";
import type { Outline } from "../../../core/answers/outline.ts";
import { Button } from "../../../ui/button.tsx";
import { CheckboxField } from "../../../ui/checkbox.tsx";
import { pageText, printPage, savePage } from "../../../ui/savePage.tsx";
import { Sheet, SheetSection } from "../../../ui/sheet.tsx";
import { usePlanFacts } from "../../scope/facts.ts";
import { texts } from "../words.ts";
import type { PageOptions } from "./projectPage.tsx";

export function PageSheet({ outline, onClose }: { outline: Redacted<Outline>; onClose: () => void }) {
  const { planName, today, currency } = usePlanFacts();
  const [shown, setShown] = useState({ hasNotes: true, hasProgress: true, hasPeople: false });
  const options: PageOptions = { ...shown, studio: planName, asOf: today };
  const tick = (key: keyof typeof shown, text: string) => (
    <CheckboxField checked={shown[key]} onChange={(isOn) => setShown({ ...shown, [key]: isOn })}>
      {text}
    </CheckboxField>
  );
  return (
    <Sheet title={texts.aPageOfThisProject} subtitle="To print, or to send to a client" onClose={onClose}>
      <SheetSection title={texts.content}>
        <p className="pb-2">{texts.theOutlineWithItsDates}</p>
        <div className="space-y-1.5">
          {tick("hasNotes", "Descriptions")}
          {tick("hasProgress", "Progress")}
          {tick("hasPeople", "Who works on it")}
        </div>
      </SheetSection>
      <SheetSection>
        <div className="flex gap-2">
          <Button look="main" onClick={() => void htmlOf(outline, options).then((html) => savePage(html, `${outline.project.name}.html`))}>
            {texts.saveAsHtml}
          </Button>
          <Button onClick={() => void htmlOf(outline, options).then(printPage)}>{texts.print}</Button>
        </div>
        <p className="pt-2 text-side">{texts.theFileIsComplete}</p>
      </SheetSection>
      <SheetSection title={texts.costForYourOwnUse}>
        <p className="pb-2">{texts.theCostOfEachTask}</p>
        <Button onClick={() => void costHtml(outline, planName, currency).then(printPage)}>{texts.printTheCost}</Button>
      </SheetSection>
    </Sheet>
  );
}

async function costHtml(outline: Redacted<Outline>, studio: string, currency: string): Promise<string> {
  const { CostPage } = await import("./costPage.tsx");
  return pageText(<CostPage outline={outline} studio={studio} currency={currency} />);
}

async function htmlOf(outline: Redacted<Outline>, options: PageOptions): Promise<string> {
  const { ProjectPage } = await import("./projectPage.tsx");
  return pageText(<ProjectPage outline={outline} options={options} />);
}

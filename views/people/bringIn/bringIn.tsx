"use client";
// Import and export: tables as files both ways; what a file would do is shown row by row before anything is written.
import { Download } from "lucide-react";
import { Button } from "../../../ui/button.tsx";
import { countText } from "../../../ui/format.ts";
import { Figure, Screen } from "../../frame/screen.tsx";
import { PeopleTabs } from "../tabs.tsx";
import { texts } from "../words.ts";
import { Mapping } from "./mapping.tsx";
import { PreviewRows } from "./previewRows.tsx";
import { Start } from "./start.tsx";
import { type BringInHook, useBringIn } from "./useBringIn.ts";

export function BringIn() {
  const hook = useBringIn();
  const { read, preview } = hook;
  return (
    <Screen
      title={texts.people}
      figures={
        <>
          <PeopleTabs />
          {read && preview && preview.faults.length === 0 && <Counts hook={hook} />}
        </>
      }
      actions={
        read && (
          <>
            <Button onClick={hook.close}>{texts.cancel}</Button>
            {(preview?.counts.refuses ?? 0) > 0 && (
              <Button onClick={hook.saveRefused}>
                <Download size={14} /> Save refused rows
              </Button>
            )}
            <Button look="main" disabled={!preview?.edit} onClick={() => void hook.bringIn()}>
              Import {preview ? countText(preview.counts.adds + preview.counts.changes, "row") : ""}
            </Button>
          </>
        )
      }
      sheet={read && <Mapping hook={hook} />}
    >
      {read ? <PreviewRows hook={hook} /> : <Start hook={hook} />}
    </Screen>
  );
}

function Counts({ hook: { preview } }: { hook: BringInHook }) {
  if (!preview) return null;
  const { adds, changes, leaves, refuses } = preview.counts;
  return (
    <>
      <Figure value={String(adds)} says={texts.toAdd} />
      <Figure value={String(changes)} says={texts.toChange} />
      <Figure value={String(leaves)} says="unchanged" />
      <Figure value={String(refuses)} says="refused" isOver={refuses > 0} />
    </>
  );
}

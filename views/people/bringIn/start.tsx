"use client";
// Before a file is chosen: where to drop one, and what can be taken out.
import { FileUp } from "lucide-react";
import { type DragEvent, useRef, useState } from "react";
import { toast } from "sonner";
import { post } from "../../../client/post.ts";
import { tableKinds } from "../../../core/tables/preview.ts";
import { tableNames } from "../../../core/tables/table.ts";
import { Button, TextButton } from "../../../ui/button.tsx";
import { DownloadLink } from "../../../ui/downloadLink.tsx";
import { FormFault, TextArea } from "../../../ui/field.tsx";
import { useNames } from "../../scope/facts.ts";
import { FeedLinks } from "../feedLinks.tsx";
import { texts } from "../words.ts";
import type { BringInHook } from "./useBringIn.ts";

export function Start({ hook }: { hook: BringInHook }) {
  return (
    <div className="min-h-0 flex-1 space-y-3 overflow-y-auto pb-4">
      <DropPlace hook={hook} />
      <ExportTables />
      <LeaveFeeds />
    </div>
  );
}

function DropPlace({ hook }: { hook: BringInHook }) {
  const [isOver, setOver] = useState(false);
  const hold = (event: DragEvent, isNow: boolean) => {
    event.preventDefault();
    setOver(isNow);
  };
  return (
    <section
      aria-label={texts.importAFile}
      onDragOver={(event) => hold(event, true)}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        hold(event, false);
        const file = event.dataTransfer.files[0];
        if (file) void hook.open(file);
      }}
      className={`drop-place ${isOver ? "border-pine bg-pine-wash" : "border-line-2 bg-sheet"}`}
    >
      <div className="max-w-[560px] text-center">
        <p className="font-title text-[19px]">{texts.dropAFileHere}</p>
        <p className="mt-1.5 mb-3 text-balance text-ink-2">{texts.peopleWeeklyPatternsTimeOff}</p>
        <ChooseFile hook={hook} />
        <PasteRows hook={hook} />
        <FormFault>{hook.fault}</FormFault>
      </div>
    </section>
  );
}

/** Rows copied from a spreadsheet are read as a file of them would be. */
function PasteRows({ hook }: { hook: BringInHook }) {
  return (
    <div className="pt-3">
      <TextArea
        aria-label={texts.rowsToImport}
        placeholder={texts.orPasteRows}
        rows={2}
        value=""
        onChange={() => undefined}
        onPaste={(event) => {
          const text = event.clipboardData.getData("text/plain");
          if (text.trim() === "") return;
          event.preventDefault();
          void hook.open(new File([text], "Pasted rows", { type: "text/plain" }));
        }}
      />
    </div>
  );
}

function ChooseFile({ hook }: { hook: BringInHook }) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button look="main" disabled={hook.isReading} onClick={() => input.current?.click()}>
        <FileUp size={15} /> {hook.isReading ? texts.reading : texts.chooseAFile}
      </Button>
      <input
        ref={input}
        type="file"
        aria-label={texts.fileToImport}
        accept=".csv,.tsv,.txt,.xlsx,.ics"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (file) void hook.open(file);
        }}
      />
    </>
  );
}

function ExportTables() {
  const link = (name: (typeof tableNames)[number], format: "csv" | "xlsx") => (
    <DownloadLink
      className="text-link"
      href={`/api/tables?table=${name}&format=${format}`}
      name={`${name}.${format}`}
      label={`${tableKinds[name].title} as ${format.toUpperCase()}`}
    >
      {format.toUpperCase()}
    </DownloadLink>
  );
  return (
    <section aria-label={texts.export} className="box px-4 py-3">
      <h2 className="heading-soft">{texts.export}</h2>
      <p className="pb-2 text-ink-2">
        An exported file can be imported again; a template has the headers only.{" "}
        <DownloadLink className="text-link" href="/api/tables?table=all&format=xlsx" name="tables.xlsx">
          {texts.allTablesAsOneXlsx}
        </DownloadLink>
      </p>
      <ul className="grid grid-cols-2 gap-x-8">
        {tableNames.map((name) => (
          <li key={name} className="flex gap-3 line-above py-1.5">
            <span className="flex-1">{tableKinds[name].title}</span>
            <DownloadLink
              className="text-link"
              href={`/api/tables?table=${name}&format=xlsx&template=true`}
              name={`${name}-template.xlsx`}
              label={`Template for ${tableKinds[name].title}`}
            >
              {texts.template}
            </DownloadLink>
            {link(name, "csv")}
            {link(name, "xlsx")}
          </li>
        ))}
      </ul>
    </section>
  );
}

function LeaveFeeds() {
  const { teams } = useNames();
  return (
    <section aria-label={texts.leaveAsACalendar} className="box px-4 py-3">
      <h2 className="heading-soft">{texts.leaveAsACalendar}</h2>
      <p className="pb-2 text-ink-2">{texts.icalendarAsAFile}</p>
      <ul className="grid grid-cols-2 gap-x-8">
        {[{ id: "all", name: "Everyone" }, ...teams].map(({ id, name }) => (
          <li key={id} className="flex gap-3 line-above py-1.5">
            <span className="w-[150px] truncate">{name}</span>
            <FeedLinks kind="leave" id={id} />
          </li>
        ))}
      </ul>
      <RenewAddresses />
    </section>
  );
}

/** New addresses for all feeds, when one has come into the wrong hands. */
function RenewAddresses() {
  const renew = async () => {
    const response = await post("/api/feeds/address", { body: "{}" }).catch(() => null);
    if (response?.ok) toast("All feeds have new addresses. Former subscriptions end.");
    else toast.error("The server cannot be reached. The addresses are as they were.");
  };
  return (
    <p className="line-above pt-2 text-ink-2">
      Anyone with an address can read that calendar. <TextButton onClick={() => void renew()}>{texts.giveAllFeedsNewAddresses}</TextButton>
    </p>
  );
}

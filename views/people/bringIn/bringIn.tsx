"use client";
// In and out: tables as files both ways; what a file would do is shown row by row before anything is written.
import { Download, FileUp } from "lucide-react";
import { useRef, useState } from "react";
import { tableKinds } from "../../../core/tables/preview.ts";
import { tableNames } from "../../../core/tables/table.ts";
import { Button } from "../../../ui/button.tsx";
import { countText } from "../../../ui/format.ts";
import { useOrigin } from "../../../ui/useOrigin.ts";
import { useNames } from "../../frame/facts.ts";
import { Figure, Screen } from "../../frame/screen.tsx";
import { PeopleTabs } from "../tabs.tsx";
import { Mapping } from "./mapping.tsx";
import { PreviewRows } from "./previewRows.tsx";
import { type BringInHook, useBringIn } from "./useBringIn.ts";

export function BringIn() {
  const hook = useBringIn();
  const { read, preview } = hook;
  return (
    <Screen
      title="People"
      figures={
        <>
          <PeopleTabs />
          {read && preview && preview.faults.length === 0 && <Counts hook={hook} />}
        </>
      }
      actions={
        read && (
          <>
            <Button onClick={hook.close}>Leave it</Button>
            {(preview?.counts.refuses ?? 0) > 0 && (
              <Button onClick={hook.saveRefused}>
                <Download size={14} /> Save refused rows
              </Button>
            )}
            <Button look="main" disabled={!preview?.edit} onClick={() => void hook.bringIn()}>
              Bring in {preview ? countText(preview.counts.adds + preview.counts.changes, "row") : ""}
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
      <Figure value={String(adds)} says="to add" />
      <Figure value={String(changes)} says="to change" />
      <Figure value={String(leaves)} says="as they are" />
      <Figure value={String(refuses)} says="refused" isOver={refuses > 0} />
    </>
  );
}

const link = "text-pine underline";

function Start({ hook }: { hook: BringInHook }) {
  const input = useRef<HTMLInputElement>(null);
  const [isOver, setOver] = useState(false);
  const { teams } = useNames();
  const origin = useOrigin();
  return (
    <div className="min-h-0 flex-1 space-y-3 overflow-y-auto pb-4">
      <section
        aria-label="Bring a file in"
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(event) => {
          event.preventDefault();
          setOver(false);
          const file = event.dataTransfer.files[0];
          if (file) void hook.open(file);
        }}
        className={`grid place-items-center rounded-card border border-dashed px-6 py-9 ${isOver ? "border-pine bg-pine-wash" : "border-line-2 bg-sheet"}`}
      >
        <div className="max-w-[560px] text-center">
          <p className="font-title text-[19px]">Drop a file here</p>
          <p className="mt-1.5 mb-3 text-ink-2">
            People, weekly patterns, time off, skills or calendar days, tasks, links or assignments, as CSV or XLSX; holidays and time off
            as iCalendar. What it would do is shown row by row first.
          </p>
          <Button look="main" disabled={hook.isReading} onClick={() => input.current?.click()}>
            <FileUp size={15} /> {hook.isReading ? "Reading…" : "Choose a file"}
          </Button>
          <input
            ref={input}
            type="file"
            aria-label="File to bring in"
            accept=".csv,.tsv,.txt,.xlsx,.ics"
            className="sr-only"
            tabIndex={-1}
            onChange={(event) => {
              const file = event.target.files?.[0];
              event.target.value = "";
              if (file) void hook.open(file);
            }}
          />
          {hook.fault && (
            <p role="alert" className="mt-3 text-over">
              {hook.fault}
            </p>
          )}
        </div>
      </section>
      <section aria-label="Take out" className="rounded-card border border-line bg-sheet px-4 py-3">
        <h2 className="font-title text-[16px] italic">Take out</h2>
        <p className="pb-2 text-ink-2">
          With the headers that come in again.{" "}
          <a className={link} href="/api/tables?table=all&format=xlsx" download>
            All of it as one XLSX
          </a>
        </p>
        <ul className="grid grid-cols-2 gap-x-8">
          {tableNames.map((name) => (
            <li key={name} className="flex gap-3 border-line border-t py-1.5">
              <span className="flex-1">{tableKinds[name].title}</span>
              <a className={link} href={`/api/tables?table=${name}&format=csv`} aria-label={`${tableKinds[name].title} as CSV`} download>
                CSV
              </a>
              <a className={link} href={`/api/tables?table=${name}&format=xlsx`} aria-label={`${tableKinds[name].title} as XLSX`} download>
                XLSX
              </a>
            </li>
          ))}
        </ul>
      </section>
      <section aria-label="Leave as a calendar" className="rounded-card border border-line bg-sheet px-4 py-3">
        <h2 className="font-title text-[16px] italic">Leave as a calendar</h2>
        <p className="pb-2 text-ink-2">
          iCalendar, as a file or as an address to subscribe to. A person’s assignments are on their own page, in the same way.
        </p>
        <ul className="grid grid-cols-2 gap-x-8">
          {[{ id: "all", name: "Everybody" }, ...teams].map(({ id, name }) => (
            <li key={id} className="flex gap-3 border-line border-t py-1.5">
              <span className="w-[150px] truncate">{name}</span>
              <a className={`${link} min-w-0 flex-1 truncate`} href={`/api/feeds/leave/${encodeURIComponent(id)}.ics`} download>
                {origin}/api/feeds/leave/{encodeURIComponent(id)}.ics
              </a>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}

"use client";
// What each row of a file comes to: adds, changes, leaves as it is, or refused with its reasons.
import { useVirtualizer } from "@tanstack/react-virtual";
import { useRef, useState } from "react";
import type { PreviewRow } from "../../../core/tables/preview.ts";
import { Segmented } from "../../../ui/segmented.tsx";
import type { BringInHook } from "./useBringIn.ts";

const ROW_HEIGHT = 31;
const words = { adds: "adds", changes: "changes", leaves: "as it is", refuses: "refused" } as const;
const tones = { adds: "text-level-ink", changes: "text-plum", leaves: "text-ink-2", refuses: "font-semibold text-over" } as const;
type Shown = "all" | PreviewRow["outcome"];

export function PreviewRows({ hook: { preview } }: { hook: BringInHook }) {
  const frame = useRef<HTMLDivElement>(null);
  const [shown, setShown] = useState<Shown>("all");
  const rows = (preview?.rows ?? []).filter(({ outcome }) => shown === "all" || outcome === shown);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => frame.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 12,
    initialRect: { width: 1000, height: 600 },
  });
  if (!preview) return <p className="p-6 text-ink-2">Working out what this file would do…</p>;
  if (preview.faults.length > 0)
    return (
      <div role="alert" className="space-y-1 p-6 text-over">
        {preview.faults.map((fault) => (
          <p key={fault}>{fault}</p>
        ))}
      </div>
    );
  return (
    <>
      <div className="pb-2">
        <Segmented
          label="Rows to show"
          value={shown}
          options={[
            { value: "all" as Shown, text: "All rows" },
            ...(["adds", "changes", "leaves", "refuses"] as const).map((value) => ({
              value,
              text: `${words[value]} ${preview.counts[value]}`,
            })),
          ]}
          onChange={setShown}
        />
      </div>
      <div ref={frame} className="min-h-0 flex-1 overflow-auto rounded-t-card border border-line border-b-0 bg-sheet">
        <table aria-label="Rows of the file" aria-rowcount={rows.length + 1} className="block">
          <thead className="sticky top-0 z-[1] block bg-sheet">
            <tr className={`${columns} h-[34px] border-line border-b text-left text-[13px] text-ink-2`}>
              {["Line", "Outcome", "About", "What changes, or why not"].map((head) => (
                <th key={head} scope="col" className="font-normal">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody className="relative block" style={{ height: virtual.getTotalSize() }}>
            {virtual.getVirtualItems().map(({ index, start }) => (
              <Row key={rows[index].line} row={rows[index]} top={start} />
            ))}
          </tbody>
        </table>
        {rows.length === 0 && <p className="p-6 text-ink-2">No such row.</p>}
      </div>
    </>
  );
}

const columns = "grid grid-cols-[54px_86px_minmax(140px,1fr)_minmax(200px,3fr)] items-center gap-2 px-3";

function Row({ row, top }: { row: PreviewRow; top: number }) {
  const says = row.outcome === "refuses" ? row.reasons.join(" ") : row.says.join(" · ");
  return (
    <tr className={`${columns} absolute inset-x-0 border-line border-b`} style={{ top, height: ROW_HEIGHT }}>
      <td className="text-ink-2">{row.line}</td>
      <td className={tones[row.outcome]}>{words[row.outcome]}</td>
      <td className="truncate" title={row.about}>
        {row.about}
      </td>
      <td className={`truncate ${row.outcome === "refuses" ? "text-over" : "text-ink-2"}`} title={says}>
        {says}
      </td>
    </tr>
  );
}

"use client";
// The figures of the horizon as a file, with the pipeline as it is looked at.
import { Download } from "lucide-react";
import { useSearchParams } from "next/navigation";
import type { PipelineCase } from "../../core/answers/horizon.ts";
import { DownloadLink } from "../../ui/downloadLink.tsx";
import { Menu } from "../../ui/menu.tsx";

export function HorizonExport({ cases }: { cases: readonly PipelineCase[] }) {
  const params = useSearchParams();
  const file = (format: "csv" | "xlsx") => {
    const query = new URLSearchParams(params);
    query.set("format", format);
    if (cases.length > 0) query.set("cases", JSON.stringify(cases));
    return `/api/horizon?${query}`;
  };
  return (
    <Menu label="Export" icon={<Download size={14} />}>
      <div className="w-[190px]">
        <DownloadLink className="menu-line" href={file("csv")} name="horizon.csv">
          Figures as CSV
        </DownloadLink>
        <DownloadLink className="menu-line" href={file("xlsx")} name="horizon.xlsx">
          Figures as XLSX
        </DownloadLink>
      </div>
    </Menu>
  );
}

"use client";
// The table of money, or the cash flow, as a file, with the rows, periods and limits of the address.
import { Download } from "lucide-react";
import { useSearchParams } from "next/navigation";
import { DownloadLink } from "../../ui/downloadLink.tsx";
import { Menu } from "../../ui/menu.tsx";

export function MoneyExport({ name = "money", children }: { name?: "money" | "cash-flow"; children?: React.ReactNode }) {
  const params = useSearchParams();
  const file = (format: "csv" | "xlsx") => {
    const query = new URLSearchParams(params);
    query.set("format", format);
    query.set("table", name);
    return `/api/money?${query}`;
  };
  return (
    <Menu label="Export" icon={<Download size={14} />}>
      <div className="w-[190px]">
        <DownloadLink className="menu-line" href={file("csv")} name={`${name}.csv`}>
          Table as CSV
        </DownloadLink>
        <DownloadLink className="menu-line" href={file("xlsx")} name={`${name}.xlsx`}>
          Table as XLSX
        </DownloadLink>
        {children}
      </div>
    </Menu>
  );
}

"use client";
// The table of money, or the cash flow, as a file, with the rows, periods and limits of the address.
import { Download } from "lucide-react";
import { useSearchParams } from "next/navigation";
import type { Redacted } from "../../client/seen.ts";
import type { MoneyAnswer } from "../../core/answers/money.ts";
import type { MoneyQuery } from "../../core/cost/moneyQuery.ts";
import { DownloadLink } from "../../ui/downloadLink.tsx";
import { Menu } from "../../ui/menu.tsx";
import { pageText, printPage } from "../../ui/savePage.tsx";
import { usePlanFacts } from "../scope/facts.ts";
import { texts } from "./words.ts";

const titles = { money: "Money", "cash-flow": "Cash flow" } as const;

interface MoneyExportProps {
  name?: keyof typeof titles;
  money: Redacted<MoneyAnswer>;
  query: MoneyQuery;
  children?: React.ReactNode;
}

export function MoneyExport({ name = "money", money, query, children }: MoneyExportProps) {
  const params = useSearchParams();
  const { planName, periodSettings } = usePlanFacts();
  const print = async () => {
    const { MoneyPage } = await import("./moneyPage.tsx");
    printPage(await pageText(<MoneyPage title={titles[name]} money={money} query={query} studio={planName} settings={periodSettings} />));
  };
  const file = (format: "csv" | "xlsx") => {
    const query = new URLSearchParams(params);
    query.set("format", format);
    query.set("table", name);
    return `/api/money?${query}`;
  };
  return (
    <Menu label={texts.export} icon={<Download size={14} />}>
      <div className="w-[190px]">
        <DownloadLink className="menu-line" href={file("csv")} name={`${name}.csv`}>
          {texts.tableAsCsv}
        </DownloadLink>
        <DownloadLink className="menu-line" href={file("xlsx")} name={`${name}.xlsx`}>
          {texts.tableAsXlsx}
        </DownloadLink>
        {children}
        <button type="button" className="menu-line" disabled={money.rows.length === 0} onClick={() => void print()}>
          {texts.print}
        </button>
      </div>
    </Menu>
  );
}

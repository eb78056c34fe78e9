"use client";
// The frame of the screens about money: one title, the way from one to the other, and the figures of each.
import type { ReactNode } from "react";
import { Screen } from "../frame/screen.tsx";
import { Tabs } from "../frame/tabs.tsx";

const tabs = [
  { path: "/money", text: "Table" },
  { path: "/money/cash-flow", text: "Cash flow" },
  { path: "/money/margin", text: "Margin" },
  { path: "/money/expenses", text: "Expenses" },
  { path: "/money/materials", text: "Materials" },
] as const;

export function MoneyScreen({ figures, ...rest }: { figures: ReactNode; actions?: ReactNode; sheet?: ReactNode; children: ReactNode }) {
  return (
    <Screen
      isTwoLined
      title="Money"
      figures={
        <>
          <Tabs label="About money" tabs={tabs} />
          {figures}
        </>
      }
      {...rest}
    />
  );
}

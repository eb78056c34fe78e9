"use client";
// The screens about money, side by side under one title.
import { Tabs } from "../frame/tabs.tsx";

const tabs = [
  { path: "/money", text: "Table" },
  { path: "/money/cash-flow", text: "Cash flow" },
  { path: "/money/margin", text: "Margin" },
  { path: "/money/expenses", text: "Expenses" },
  { path: "/money/materials", text: "Materials" },
] as const;

export function MoneyTabs() {
  return <Tabs label="About money" tabs={tabs} />;
}

"use client";
// The frame of the screens about money: one title, the way from one to the other, and the figures of each.
import type { ReactNode } from "react";
import { Screen } from "../frame/screen.tsx";
import { Tabs } from "../frame/tabs.tsx";
import { texts } from "./words.ts";

const tabs = [
  { path: "/money", text: texts.table },
  { path: "/money/cash-flow", text: texts.cashFlow },
  { path: "/money/margin", text: texts.margin },
  { path: "/money/actuals", text: texts.actuals },
  { path: "/money/earned", text: texts.earnedValue },
  { path: "/money/expenses", text: texts.expenses },
  { path: "/money/bookings", text: texts.bookings },
  { path: "/money/materials", text: texts.materials },
] as const;

export function MoneyScreen({ figures, ...rest }: { figures: ReactNode; actions?: ReactNode; sheet?: ReactNode; children: ReactNode }) {
  return (
    <Screen
      isTwoLined
      title={texts.money}
      figures={
        <>
          <Tabs label={texts.aboutMoney} tabs={tabs} />
          {figures}
        </>
      }
      {...rest}
    />
  );
}

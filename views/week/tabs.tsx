"use client";
// The screens of recorded hours: a person's week, and the hours that wait for approval.
import { Tabs } from "../frame/tabs.tsx";
import { texts } from "./words.ts";

const tabs = [
  { path: "/week", text: texts.week },
  { path: "/week/approval", text: texts.approval },
] as const;

export const WeekTabs = () => <Tabs label={texts.recordedHours} tabs={tabs} />;

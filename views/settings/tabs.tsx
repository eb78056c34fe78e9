"use client";
// The settings and the lists of names, side by side under one title.
import type { NameList } from "../../core/answers/nameList.ts";
import { Tabs } from "../frame/tabs.tsx";
import { listNames, pathOfList } from "./paths.ts";

const tabs = [
  { path: "/settings", text: "The plan" },
  ...(Object.entries(listNames) as [NameList, { many: string }][]).map(([list, { many }]) => ({ path: pathOfList(list), text: many })),
];

export function SettingsTabs() {
  return <Tabs label="Settings" tabs={tabs} />;
}

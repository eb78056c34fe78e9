"use client";
import { entriesOf } from "../../core/values/objectKeys.ts";
import { Tabs } from "../frame/tabs.tsx";
import { listNames, pathOfList } from "./paths.ts";
import { texts } from "./words.ts";

const tabs = [
  { path: "/settings", text: texts.thePlan },
  ...entriesOf(listNames).map(([list, { many }]) => ({ path: pathOfList(list), text: many })),
];

export function SettingsTabs() {
  return <Tabs label={texts.settings} tabs={tabs} />;
}

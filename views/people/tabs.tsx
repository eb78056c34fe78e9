"use client";
// The screens about people, side by side under one title.
import { Tabs } from "../frame/tabs.tsx";
import { texts } from "./words.ts";

const tabs = [
  { path: "/people", text: texts.roster },
  { path: "/people/skills", text: texts.skills },
  { path: "/people/leave", text: texts.leave },
  { path: "/people/teams", text: texts.teams },
  { path: "/people/calendars", text: texts.calendars },
  { path: "/people/import", text: texts.importAndExport },
] as const;

export function PeopleTabs() {
  return <Tabs label={texts.aboutPeople} tabs={tabs} />;
}

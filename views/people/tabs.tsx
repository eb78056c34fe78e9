"use client";
// The screens about people, side by side under one title.
import { Tabs } from "../frame/tabs.tsx";

const tabs = [
  { path: "/people", text: "Roster" },
  { path: "/people/skills", text: "Skills" },
  { path: "/people/leave", text: "Leave" },
  { path: "/people/teams", text: "Teams" },
  { path: "/people/calendars", text: "Calendars" },
  { path: "/people/import", text: "Import and export" },
] as const;

export function PeopleTabs() {
  return <Tabs label="About people" tabs={tabs} />;
}

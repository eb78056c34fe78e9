"use client";
// The screens around openings: the list itself, what leads have asked for, and the messages that went out.
import { Tabs } from "../frame/tabs.tsx";

const tabs = [
  { path: "/openings", text: "List" },
  { path: "/openings/requests", text: "Requests" },
  { path: "/openings/outbox", text: "Outbox" },
] as const;

export function OpeningTabs() {
  return <Tabs label="Openings and requests" tabs={tabs} />;
}

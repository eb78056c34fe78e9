"use client";
// The screens around openings: the list itself, what leads have asked for, and the messages that went out.
import { Tabs } from "../frame/tabs.tsx";
import { texts } from "./words.ts";

const tabs = [
  { path: "/openings", text: texts.list },
  { path: "/openings/requests", text: texts.requests },
  { path: "/openings/outbox", text: texts.outbox },
] as const;

export function OpeningTabs() {
  return <Tabs label={texts.openingsAndRequests} tabs={tabs} />;
}

import "@fontsource-variable/instrument-sans";
import { currentDay } from "../client/clock.ts";
import "@fontsource-variable/newsreader";
import "@fontsource-variable/newsreader/wght-italic.css";
import "./globals.css";
import type { Metadata } from "next";
import { cookies } from "next/headers";
import type { ReactNode } from "react";
import { Frame } from "../views/frame/frame.tsx";
import { BUILT_IN_USER, currentAnswer } from "./host.ts";
import { openedSketch } from "./openedSketch.ts";

export const metadata: Metadata = { title: "Mindful Roster" };
export const dynamic = "force-dynamic";

export default async function RootLayout({ children }: { children: ReactNode }) {
  const theme = (await cookies()).get("theme")?.value === "dark" ? "dark" : "light";
  const clock = currentDay();
  const isSketch = (await openedSketch()) !== null;
  const [frame, ribbon, tray, names, sketches] = await Promise.all([
    currentAnswer("frame", {}),
    currentAnswer("ribbon", { clock }),
    currentAnswer("tray", {}),
    currentAnswer("names", {}),
    isSketch ? currentAnswer("sketches", {}) : null,
  ]);
  return (
    <html lang="en" data-theme={theme}>
      <body>
        <Frame initial={{ clock, user: BUILT_IN_USER, theme, frame, ribbon, tray, names, sketches }}>{children}</Frame>
      </body>
    </html>
  );
}

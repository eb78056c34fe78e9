"use client";
// The plan's menu: its file, a new one, its settings, and the theme.
import { BookOpen, ChevronDown, Download, FilePlus, FolderOpen, History, Moon, Settings, Sun, Table2 } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { useState } from "react";
import { buttonLook } from "../../ui/button.tsx";
import Link from "../../ui/link.tsx";
import { usePlanFacts } from "../scope/facts.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { showFirstSteps } from "../start/firstStepsShown.ts";
import { OpenPlan } from "../start/openPlan.tsx";
import { later, Part } from "./part.tsx";
import { texts } from "./words.ts";

const newPlan = later(() => import("../start/newPlan.tsx").then((own) => own.NewPlan));

const item = "flex h-8 items-center gap-2 rounded-[4px] px-2 outline-none data-[highlighted]:bg-well";
const YEAR_SECONDS = 31_536_000;

export function PlanMenu() {
  const { planName } = usePlanFacts();
  const [sheet, setSheet] = useState<"open" | "new" | null>(null);
  return (
    <>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger title={planName} className={buttonLook()}>
          Plan
          <ChevronDown size={14} className="shrink-0 text-ink-2" />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="end" sideOffset={6} className="z-50 min-w-[240px] box-strong p-1 shadow-float">
            <DropdownMenu.Label className="px-2 pt-1.5 pb-1 font-title text-[16px]">{planName}</DropdownMenu.Label>
            <DropdownMenu.Item asChild className={item}>
              <a href="/api/plan/file" download>
                <Download size={15} /> Save the plan as a file
              </a>
            </DropdownMenu.Item>
            <DropdownMenu.Item className={item} onSelect={() => setSheet("open")}>
              <FolderOpen size={15} /> Open a plan file…
            </DropdownMenu.Item>
            <DropdownMenu.Item className={item} onSelect={() => setSheet("new")}>
              <FilePlus size={15} /> New plan…
            </DropdownMenu.Item>
            <DropdownMenu.Separator className="my-1 h-px bg-line" />
            <Pages />
            <DropdownMenu.Item className={item} onSelect={() => showFirstSteps(true)}>
              <BookOpen size={15} /> First steps and terms
            </DropdownMenu.Item>
            <DropdownMenu.Separator className="my-1 h-px bg-line" />
            <ThemeSwitch />
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      {sheet === "open" && <OpenPlan planName={planName} onClose={() => setSheet(null)} />}
      {sheet === "new" && <Part of={newPlan} given={{ planName, onClose: () => setSheet(null) }} />}
    </>
  );
}

const pages = [
  { path: "/settings", says: texts.settings, icon: Settings },
  { path: "/changes", says: texts.changes, icon: History },
  { path: "/people/import", says: texts.importAndExport, icon: Table2 },
];

function Pages() {
  const linkTo = useLinkTo();
  return pages.map(({ path, says, icon: Icon }) => (
    <DropdownMenu.Item key={path} asChild className={item}>
      <Link href={linkTo(path)}>
        <Icon size={15} /> {says}
      </Link>
    </DropdownMenu.Item>
  ));
}

function ThemeSwitch() {
  const [isDark, setDark] = useState(() => document.documentElement.dataset.theme === "dark");
  const switchTheme = () => {
    const next = isDark ? "light" : "dark";
    document.documentElement.dataset.theme = next;
    void globalThis.cookieStore?.set({ name: "theme", value: next, expires: Date.now() + YEAR_SECONDS * 1000, sameSite: "lax" });
    setDark(!isDark);
  };
  return (
    <DropdownMenu.Item className={item} onSelect={switchTheme}>
      {isDark ? <Sun size={15} /> : <Moon size={15} />} {isDark ? texts.lightTheme : texts.darkTheme}
    </DropdownMenu.Item>
  );
}

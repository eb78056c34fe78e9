"use client";
// Screens that belong together, side by side under one title.
import { usePathname } from "next/navigation";
import Link from "../../ui/link.tsx";
import { useLinkTo } from "../scope/windowed.ts";

export function Tabs({ label, tabs }: { label: string; tabs: readonly { path: string; text: string }[] }) {
  const here = usePathname();
  const linkTo = useLinkTo();
  return (
    <nav aria-label={label} className="flex gap-1">
      {tabs.map(({ path, text }) => (
        <Link
          key={path}
          href={linkTo(path)}
          aria-current={here === path ? "page" : undefined}
          className={`border-b-2 px-1.5 pb-0.5 ${here === path ? "border-pine font-semibold" : "border-transparent text-ink-2 hover:text-ink"}`}
        >
          {text}
        </Link>
      ))}
    </nav>
  );
}

"use client";
// The finder: screens, people, projects and tasks by name.
import { Command } from "cmdk";
import { Search } from "lucide-react";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import type { AnswerOf } from "../../client/questions.ts";
import { useHost, useMaybeAnswer } from "../../client/session.tsx";
import { Button } from "../../ui/button.tsx";
import { useKeys } from "../../ui/keys.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { screens, subScreens } from "./rail.tsx";
import { texts } from "./words.ts";

const itemLook = "flex h-9 cursor-pointer items-center justify-between gap-4 rounded-[4px] px-3 data-[selected=true]:bg-pine-wash";
const kinds = [
  { kind: "person", heading: "People" },
  { kind: "project", heading: "Projects" },
  { kind: "task", heading: "Tasks" },
] as const;

type Found = AnswerOf<"search">[number];

export function Finder() {
  const [isOpen, setOpen] = useState(false);
  const router = useRouter();
  useKeys({ "/": () => setOpen(true) });
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== "k") return;
      event.preventDefault();
      setOpen(true);
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, []);
  return (
    <>
      <Button onClick={() => setOpen(true)}>
        <Search size={14} /> Find <kbd className="font-sans font-semibold">/</kbd>
      </Button>
      <Command.Dialog
        open={isOpen}
        onOpenChange={setOpen}
        label={texts.findPeopleProjectsTasks}
        shouldFilter={false}
        overlayClassName="fixed inset-0 z-40 bg-ink/15"
        contentClassName="finder-box"
      >
        <FinderList
          onGo={(link) => {
            setOpen(false);
            router.push(link);
          }}
        />
      </Command.Dialog>
    </>
  );
}

function FinderList({ onGo }: { onGo: (link: string) => void }) {
  const [text, setText] = useState("");
  const found = useMaybeAnswer("search", text.trim() === "" ? null : { text }, null) ?? [];
  const linkTo = useLinkTo();
  const isRead = useHost((state) => state !== null);
  const linkOf = ({ kind, id, projectId }: Found) => {
    if (kind === "person") return linkTo(`/people/person/${encodeURIComponent(id)}`);
    return kind === "project"
      ? linkTo(`/work/${encodeURIComponent(id)}`)
      : linkTo(`/work/${encodeURIComponent(projectId ?? "")}`, { task: id });
  };
  return (
    <>
      <Command.Input value={text} onValueChange={setText} placeholder={texts.aPersonProjectTask} className="finder-field" />
      <Command.List className="max-h-[420px] overflow-y-auto p-1.5">
        <Command.Empty className="px-3 py-4 text-ink-2">{isRead ? `No results for “${text}”.` : texts.thePlanIsStillLoading}</Command.Empty>
        <ScreenGroup text={text} onGo={onGo} />
        {kinds.map(({ kind, heading }) => (
          <FoundGroup
            key={kind}
            heading={heading}
            found={found.filter((entry) => entry.kind === kind)}
            onTake={(entry) => onGo(linkOf(entry))}
          />
        ))}
      </Command.List>
    </>
  );
}

function ScreenGroup({ text, onGo }: { text: string; onGo: (link: string) => void }) {
  const linkTo = useLinkTo();
  const fitting = screensFor(text);
  if (fitting.length === 0) return null;
  return (
    <Command.Group heading={<span className="options-heading">{texts.screens}</span>}>
      {fitting.map(({ name, path, says, sheet }) => (
        <Command.Item key={name} value={name} onSelect={() => onGo(linkTo(path, sheet ? { sheet } : {}))} className={itemLook}>
          <span>{name}</span>
          <span className="text-side">{says}</span>
        </Command.Item>
      ))}
    </Command.Group>
  );
}

/** Screens whose name or purpose holds the text; parts of screens only once something is typed. */
function screensFor(text: string): typeof subScreens {
  const typed = text.toLowerCase().trim();
  return [...screens, ...(typed === "" ? [] : subScreens)].filter(({ name, says }) => `${name} ${says}`.toLowerCase().includes(typed));
}

function FoundGroup({ heading, found, onTake }: { heading: string; found: readonly Found[]; onTake: (entry: Found) => void }) {
  if (found.length === 0) return null;
  return (
    <Command.Group heading={<span className="options-heading">{heading}</span>}>
      {found.map((entry) => (
        <Command.Item key={entry.id} value={`${entry.kind} ${entry.id}`} onSelect={() => onTake(entry)} className={itemLook}>
          <span className="truncate">{entry.name}</span>
          <span className="shrink-0 text-side">{entry.side}</span>
        </Command.Item>
      ))}
    </Command.Group>
  );
}

"use client";
// The finder: screens, people, projects and tasks by name.
import { Command } from "cmdk";
import { Search } from "lucide-react";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { useMaybeAnswer } from "../../client/session.tsx";
import { useKeys } from "../../ui/keys.ts";
import { screens, subScreens } from "./rail.tsx";
import { useLinkTo } from "./windowed.ts";

const row = "flex h-9 cursor-pointer items-center justify-between gap-4 rounded-[4px] px-3 data-[selected=true]:bg-pine-wash";
const kinds = [
  { kind: "person", heading: "People" },
  { kind: "project", heading: "Projects" },
  { kind: "task", heading: "Tasks" },
] as const;

export function Finder() {
  const [isOpen, setOpen] = useState(false);
  const [text, setText] = useState("");
  const found = useMaybeAnswer("search", isOpen && text.trim() !== "" ? { text } : null, null) ?? [];
  const router = useRouter();
  const linkTo = useLinkTo();
  useKeys({ "/": () => setOpen(true) });
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "k") {
        event.preventDefault();
        setOpen(true);
      }
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, []);
  const go = (link: string) => {
    setOpen(false);
    setText("");
    router.push(link);
  };
  const linkOf = ({ kind, id, projectId }: (typeof found)[number]) =>
    kind === "person"
      ? linkTo(`/people/person/${encodeURIComponent(id)}`)
      : kind === "project"
        ? linkTo(`/work/${id}`)
        : linkTo(`/work/${projectId}`, { task: id });
  const fitting: typeof subScreens = [...screens, ...(text.trim() === "" ? [] : subScreens)].filter(({ name, says }) =>
    `${name} ${says}`.toLowerCase().includes(text.toLowerCase().trim()),
  );
  return (
    <>
      <button
        type="button"
        onClick={() => setOpen(true)}
        className="flex h-8 items-center gap-1.5 rounded-card border border-line-2 bg-sheet px-2.5 text-ink-2 hover:bg-well"
      >
        <Search size={14} /> Find <kbd className="font-sans font-semibold text-ink">/</kbd>
      </button>
      <Command.Dialog
        open={isOpen}
        onOpenChange={setOpen}
        label="Find people, projects, tasks and screens"
        shouldFilter={false}
        overlayClassName="fixed inset-0 z-40 bg-ink/15"
        contentClassName="fixed top-[76px] left-1/2 z-50 w-[560px] -translate-x-1/2 rounded-card border border-line-2 bg-sheet shadow-float"
      >
        <Command.Input
          value={text}
          onValueChange={setText}
          placeholder="A person, project, task or screen"
          className="h-11 w-full border-line border-b bg-transparent px-4 text-[15px] outline-none"
        />
        <Command.List className="max-h-[420px] overflow-y-auto p-1.5">
          <Command.Empty className="px-3 py-4 text-ink-2">Nothing is called “{text}”.</Command.Empty>
          {fitting.length > 0 && (
            <Command.Group
              heading="Screens"
              className="[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:py-1 [&_[cmdk-group-heading]]:text-[12.5px] [&_[cmdk-group-heading]]:text-ink-2"
            >
              {fitting.map(({ name, path, says, sheet }) => (
                <Command.Item key={name} value={name} onSelect={() => go(linkTo(path, sheet ? { sheet } : {}))} className={row}>
                  <span>{name}</span>
                  <span className="text-[13px] text-ink-2">{says}</span>
                </Command.Item>
              ))}
            </Command.Group>
          )}
          {kinds.map(({ kind, heading }) => {
            const own = found.filter((entry) => entry.kind === kind);
            return own.length === 0 ? null : (
              <Command.Group
                key={kind}
                heading={heading}
                className="[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:py-1 [&_[cmdk-group-heading]]:text-[12.5px] [&_[cmdk-group-heading]]:text-ink-2"
              >
                {own.map((entry) => (
                  <Command.Item key={entry.id} value={`${kind} ${entry.id}`} onSelect={() => go(linkOf(entry))} className={row}>
                    <span className="truncate">{entry.name}</span>
                    <span className="shrink-0 text-[13px] text-ink-2">{entry.side}</span>
                  </Command.Item>
                ))}
              </Command.Group>
            );
          })}
        </Command.List>
      </Command.Dialog>
    </>
  );
}

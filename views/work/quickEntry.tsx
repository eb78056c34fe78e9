"use client";
// Writing tasks down: one line, or a pasted list, shown as what it will become before it is added.
import { type ClipboardEvent, type KeyboardEvent, type RefObject, useEffect, useMemo, useRef, useState } from "react";
import type { Redacted } from "../../client/seen.ts";
import type { OutlineTask } from "../../core/answers/outline.ts";
import type { Fault } from "../../core/plan/faults.ts";
import { linesOfTable } from "../../core/tables/pastedTable.ts";
import type { PlacedLine } from "../../core/typing/newTasks.ts";
import { type PartMeaning, readIndentedList, readTaskLine, readTaskLines, type TaskLine } from "../../core/typing/taskLine.ts";
import { Button } from "../../ui/button.tsx";
import { meantDate } from "../../ui/dateText.ts";
import { FormFault } from "../../ui/field.tsx";
import { countText } from "../../ui/format.ts";
import { takeOut } from "../../ui/takeOut.ts";
import { useNames, usePlanFacts } from "../scope/facts.ts";

const meanings: Record<PartMeaning, string> = {
  name: "name",
  hours: "hours",
  days: "working days",
  milestone: "a milestone",
  dates: "pinned to these dates",
  person: "is assigned",
  role: "role needed",
  team: "team",
  percent: "of their time",
  deadline: "deadline",
  follows: "predecessor",
  unknown: "not recognized: added to the notes",
};

const HINT = "Install cases, 24 h, fabricator, 5 d, Mara, after Order materials + 2 d";

interface QuickEntryProps {
  tasks: readonly Redacted<OutlineTask>[];
  /** The task that they go after; null where they are the first. */
  aboveId: string | null;
  /** The place of the new tasks, in words. */
  place: string;
  onAdd: (lines: readonly PlacedLine[]) => Promise<readonly Fault[]>;
}

/** The meanings of names and days in a line. */
function useLineNames(tasks: readonly Redacted<OutlineTask>[]) {
  const { people, roles, teams } = useNames();
  const { today } = usePlanFacts();
  return useMemo(() => {
    // A bare number or a word is no day here, no matter what it would be in a field for dates.
    const readDate = (typed: string) => (/\d.*[a-z./-]/i.test(typed) ? meantDate(typed, today) : null);
    return { people, roles, teams, tasks: tasks.map(({ task }) => task), readDate };
  }, [people, roles, teams, tasks, today]);
}

export function QuickEntry({ tasks, aboveId, place, onAdd }: QuickEntryProps) {
  const input = useRef<HTMLInputElement>(null);
  const { text, setText, line, known, list, setList, fault, add, addLine, press, paste } = useEntry({ tasks, aboveId, onAdd, input });
  if (list) return <PastedList list={list} place={place} fault={fault} onAdd={() => void add(list)} onBack={() => setList(null)} />;
  return (
    <div data-entry className="line-above bg-sheet px-3 py-2">
      <div className="flex items-center gap-2">
        <input
          ref={input}
          id="quick-entry"
          aria-label="Add a task"
          aria-describedby="quick-entry-hint"
          value={text}
          placeholder={HINT}
          onChange={(event) => setText(event.target.value)}
          onKeyDown={press}
          onPaste={paste}
          autoComplete="off"
          className="control"
        />
        <Button look="main" disabled={line.name === ""} onClick={() => void addLine()}>
          Add
        </Button>
      </div>
      <div id="quick-entry-hint" className="entry-hint">
        {fault ? (
          <span role="alert" className="text-over">
            {fault}
          </span>
        ) : text.trim() === "" ? (
          `A name, then details separated by commas. Added ${place}. Paste a list to add several.`
        ) : (
          <Parts line={line} />
        )}
        {known.length > 0 && <Completions texts={known.slice(0, 3)} />}
      </div>
    </div>
  );
}

function Completions({ texts }: { texts: readonly string[] }) {
  return (
    <span className="ml-auto">
      <kbd className="font-sans font-semibold text-ink">Tab</kbd> {texts.join(" · ")}
    </span>
  );
}

interface EntryOptions extends Pick<QuickEntryProps, "tasks" | "aboveId" | "onAdd"> {
  input: RefObject<HTMLInputElement | null>;
}

/** The typed or pasted text, its reading, and the keys that complete or add it. */
function useEntry({ tasks, aboveId, onAdd, input }: EntryOptions) {
  const [text, setText] = useState("");
  const [list, setList] = useState<PlacedLine[] | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const names = useLineNames(tasks);
  const line = readTaskLine(text, names, aboveId);
  const known = suggestions(text, names);
  const add = async (lines: readonly PlacedLine[]): Promise<boolean> => {
    const faults = await onAdd(lines);
    setFault(faults[0]?.message ?? null);
    if (faults.length > 0) return false;
    setList(null);
    // The person who has gone on elsewhere meanwhile stays there.
    const at = document.activeElement;
    if (at === document.body || at?.closest("[data-entry]")) input.current?.focus();
    return true;
  };
  const addLine = () => takeOut(text, setText, () => add([{ line, depth: 0 }]));
  const press = (event: KeyboardEvent) => {
    if (event.key === "Enter" && line.name !== "") void addLine();
    else if (event.key === "Tab" && !event.shiftKey && known.length > 0) setText(completed(text, known[0]));
    else if (event.key === "Escape" && text !== "") setText("");
    else return;
    event.preventDefault();
  };
  const paste = (event: ClipboardEvent) => {
    const pasted = event.clipboardData.getData("text");
    const lines = readIndentedList(linesOfTable(pasted) ?? pasted);
    if (lines.length < 2 && lines.length === pasted.trim().split("\n").length) return;
    event.preventDefault();
    const texts = lines.map((own) => own.text);
    const read = readTaskLines(texts, names, aboveId);
    setList(lines.map(({ depth }, at) => ({ line: read[at], depth })));
  };
  return { text, setText, line, known, list, setList, fault, add, addLine, press, paste };
}

function Parts({ line: { parts } }: { line: TaskLine }) {
  return parts.map(({ text, meaning }, at) => (
    <span key={`${text} ${String(at)}`} data-meaning={meaning} className="line-part">
      {text} <span className="opacity-75">{meanings[meaning]}</span>
    </span>
  ));
}

/** Names that the part being written could become. */
function suggestions(
  text: string,
  names: { people: { name: string }[]; roles: { name: string }[]; teams: { name: string }[]; tasks: { name: string }[] },
) {
  const part = text.split(",").slice(1).at(-1)?.trimStart().toLowerCase() ?? "";
  const after = /^after (.*)$/.exec(part);
  const typed = after ? after[1] : part;
  if (typed.length < 2) return [];
  const list = after ? names.tasks : [...names.roles, ...names.people, ...names.teams];
  return list.map(({ name }) => name).filter((name) => name.toLowerCase().startsWith(typed) && name.toLowerCase() !== typed);
}

function completed(text: string, name: string): string {
  const at = text.lastIndexOf(",");
  const isAfter = /^\s*after /i.test(text.slice(at + 1));
  return `${text.slice(0, at + 1)} ${isAfter ? "after " : ""}${name}`;
}

function PastedList({
  list,
  place,
  fault,
  onAdd,
  onBack,
}: {
  list: readonly PlacedLine[];
  place: string;
  fault: string | null;
  onAdd: () => void;
  onBack: () => void;
}) {
  const add = useRef<HTMLButtonElement>(null);
  useEffect(() => add.current?.focus(), []);
  return (
    <section data-entry aria-label="Pasted list" className="line-above bg-sheet px-3 py-2">
      <ul className="max-h-[190px] overflow-y-auto">
        {list.map(({ line, depth }, at) => (
          <li
            key={`${line.name} ${String(at)}`}
            className="flex flex-wrap gap-1.5 py-[2px] text-[13px]"
            style={{ paddingLeft: depth * 18 }}
          >
            <Parts line={line} />
          </li>
        ))}
      </ul>
      <FormFault>{fault}</FormFault>
      <div className="flex items-center gap-2 pt-2">
        <Button ref={add} look="main" onClick={onAdd}>
          Add {countText(list.length, "task")}
        </Button>
        <Button onClick={onBack}>Cancel</Button>
        <span className="text-ink-2">They are added {place}.</span>
      </div>
    </section>
  );
}

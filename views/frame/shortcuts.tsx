"use client";
// The shortcuts of the screen one is on.
import { Keyboard } from "lucide-react";
import { usePathname } from "next/navigation";
import { Popover } from "radix-ui";
import { useState } from "react";
import { IconButton } from "../../ui/button.tsx";
import { useKeys } from "../../ui/keys.ts";

type Listed = [keys: string, does: string][];

const everywhere: Listed = [
  ["/ or Ctrl K", "Find"],
  ["Ctrl Z, Ctrl Y", "Undo, redo (also Ctrl Shift Z)"],
  ["[ and ]", "Finer, coarser periods"],
  ["Tab to the ribbon, ← →", "Move the window; with Shift, resize it"],
  ["Esc", "Close the side sheet"],
  ["Ctrl C in a table", "Copy the ticked rows, or the one in focus"],
  ["Enter or typing in a cell", "Type in it; Esc puts it back"],
];

const hours: Listed = [
  ["Enter or typing in a cell", "Type hours; Tab goes on to the right, Enter down"],
  ["Shift with arrows, Home, End", "Mark cells"],
  ["Ctrl C, Ctrl X, Ctrl V", "Copy, cut, paste what is marked, also from a spreadsheet"],
  ["Ctrl D, Ctrl R", "Fill down, fill right"],
  ["Delete", "Clear what is marked"],
];

const ofScreen: Record<string, Listed> = {
  "/balance": [
    ["← → ↑ ↓, Page up, Page down", "Move between cells"],
    ["Home, End", "First and last period"],
    ["Ctrl Home, Ctrl End", "First and last cell of the board"],
    ["Enter", "Say how the cell’s figures come about"],
    ["Space", "Open or close the person’s assignments"],
    ["M", "Reassign work of the person"],
    ["R", "What could be done about the cell or bar"],
    ["Alt ← →", "Move the bar in focus by a day; with Shift, its end"],
    ["X, or Ctrl and press", "Pick a bar: picked ones are moved and reassigned together"],
  ],
  "/today": [
    ["↑ ↓", "Move between signals"],
    ["Enter", "Take the step of the signal"],
    ["S", "Snooze the signal"],
    ["H", "Send the signal to a colleague"],
  ],
  "/work": [
    ["N", "Add a task by its form (in a project)"],
    ["Enter", "Write tasks after this row"],
    ["Space", "Open the row"],
    ["↑ ↓", "Move between rows; with Shift, tick them"],
    ["Alt ↑ ↓", "Move the task up or down"],
    ["Alt → ←", "Put it below the one before, or out again"],
    ["← →", "Fold and unfold a summary"],
    ["M", "Take hold of the row’s bar: arrows move it, Enter lets it go"],
    ["X", "Tick the row"],
    ["F", "Fill the ticked rows down from the first"],
    ["Ctrl Enter", "Send the comment"],
    ["Delete", "Delete the open task (can be undone)"],
  ],
  "/people/person": [
    ["← → ↑ ↓", "Walk through the days of the year"],
    ["Enter", "Time off on the day"],
    ["N", "Time off"],
  ],
  "/people/skills": [
    ["← → ↑ ↓", "Move between levels"],
    ["1 to 5", "Set the level"],
    ["0 or Delete", "Take the skill away"],
  ],
  "/people/teams": [["N", "Add a team"]],
  "/people/calendars": [
    ["← → ↑ ↓", "Walk through the days of the year"],
    ["Enter", "Change the day"],
  ],
  "/openings/requests": [["N", "Ask for people"]],
  "/enquiries": [["N", "Write an enquiry down"]],
  "/sketches": [["N", "Begin a sketch"]],
  "/horizon": [["← →", "Move the pipeline project in focus by a week"]],
  "/people/leave": [["N", "Add leave"]],
  "/people/import": [],
  "/people": [
    ["N", "Add a person"],
    ["↑ ↓", "Move between people"],
    ["Enter", "Open the person"],
  ],
};

export function Shortcuts() {
  const [isOpen, setOpen] = useState(false);
  const here = usePathname();
  const own = here.endsWith("/hours") ? hours : (Object.entries(ofScreen).find(([path]) => here.startsWith(path))?.[1] ?? []);
  useKeys({ "?": () => setOpen(true) });
  return (
    <Popover.Root open={isOpen} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <IconButton label="Keyboard shortcuts (?)">
          <Keyboard size={16} />
        </IconButton>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content align="end" sideOffset={6} className="z-50 w-[380px] box-strong p-4 shadow-float">
          <h2 className="mb-2 font-title text-[17px]">Keyboard</h2>
          <dl className="grid grid-cols-[150px_1fr] gap-x-3 gap-y-1.5 text-[13px]">
            {[...own, ...everywhere].map(([keys, does]) => (
              <div key={keys} className="contents">
                <dt className="font-semibold">{keys}</dt>
                <dd className="text-ink-2">{does}</dd>
              </div>
            ))}
          </dl>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

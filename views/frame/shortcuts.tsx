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
  ["Ctrl C in a table", "Copy the selected rows, or the row in focus"],
  ["Enter or typing in a cell", "Edit the cell; Esc reverts it"],
];

const hours: Listed = [
  ["Enter or typing in a cell", "Type hours; Tab moves right, Enter moves down"],
  ["Shift with arrows, Home, End", "Select cells"],
  ["Ctrl C, Ctrl X, Ctrl V", "Copy, cut and paste the selection, also from a spreadsheet"],
  ["Ctrl D, Ctrl R", "Fill down, fill right"],
  ["Delete", "Clear the selection"],
];

const ofScreen: Record<string, Listed> = {
  "/balance": [
    ["← → ↑ ↓, Page up, Page down", "Move between cells"],
    ["Home, End", "First and last period"],
    ["Ctrl Home, Ctrl End", "First and last cell of the board"],
    ["Enter", "Explain the cell’s figures"],
    ["Space", "Open or close the person’s assignments"],
    ["M", "Reassign work of the person"],
    ["R", "Show options for the cell or bar"],
    ["Alt ← →", "Move the bar in focus by a day; with Shift, its end"],
    ["X, or Ctrl and click", "Select a bar: selected bars are moved and reassigned together"],
  ],
  "/today": [
    ["↑ ↓", "Move between signals"],
    ["Enter", "Open the next step of the signal"],
    ["S", "Snooze the signal"],
    ["H", "Send the signal to a colleague"],
  ],
  "/work": [
    ["N", "Add a task by its form (in a project)"],
    ["Enter", "Add tasks after this row"],
    ["Space", "Open the row"],
    ["↑ ↓", "Move between rows; with Shift, select them"],
    ["Alt ↑ ↓", "Move the task up or down"],
    ["Alt → ←", "Indent or outdent the task"],
    ["← →", "Collapse and expand a summary"],
    ["M", "Move the row’s bar: arrow keys move it, Enter confirms"],
    ["S, D", "Mark the task, or the selected ones, as started, as done"],
    ["X", "Select the row"],
    ["F", "Fill the selected rows down from the first"],
    ["Ctrl Enter", "Send the comment"],
    ["Delete", "Delete the open task (can be undone)"],
  ],
  "/week": [
    ["P", "Record the planned hours of the cell or the row"],
    ["N", "Note of the cell"],
  ],
  "/people/person": [
    ["← → ↑ ↓", "Move between the days of the year"],
    ["Enter", "Time off on the day"],
    ["N", "Time off"],
  ],
  "/people/skills": [
    ["← → ↑ ↓", "Move between levels"],
    ["1 to 5", "Set the level"],
    ["0 or Delete", "Remove the skill"],
  ],
  "/people/teams": [["N", "Add a team"]],
  "/people/calendars": [
    ["← → ↑ ↓", "Move between the days of the year"],
    ["Enter", "Change the day"],
  ],
  "/openings/requests": [["N", "Request people"]],
  "/enquiries": [["N", "Add an enquiry"]],
  "/sketches": [["N", "Create a sketch"]],
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

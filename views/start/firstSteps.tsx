"use client";
// The way from nothing to a first answer, and what the words mean: next to every screen for as long as a person wants it.
import { Check, X } from "lucide-react";
import { useEffect, useSyncExternalStore } from "react";
import type { AnswerOf } from "../../client/questions.ts";
import { useAnswer, useHost } from "../../client/session.tsx";
import { IconButton } from "../../ui/button.tsx";
import Link from "../../ui/link.tsx";
import { Unfold } from "../../ui/unfold.tsx";
import { useFrame, useNames } from "../scope/facts.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { isFirstStepsShown, listenToFirstSteps, showFirstSteps, wasFirstStepsChosen } from "./firstStepsShown.ts";

export function FirstSteps() {
  const { counts } = useAnswer("frame", {}, useFrame().frame);
  const isRead = useHost((state) => state !== null);
  const isEmpty = counts.people === 0 && counts.projects === 0;
  // An empty plan is where a person begins: they are led unless they have closed this before.
  useEffect(() => {
    if (isRead && isEmpty && !wasFirstStepsChosen()) showFirstSteps(true);
  }, [isRead, isEmpty]);
  const isShown = useSyncExternalStore(listenToFirstSteps, isFirstStepsShown, () => false);
  if (!isShown) return <div />;
  return (
    <aside aria-label="First steps" className="flex w-[264px] min-w-0 flex-col line-right bg-sheet">
      <header className="flex items-start gap-2 px-4 pt-5 pb-2">
        <h2 className="min-w-0 flex-1 font-title text-[19px] leading-tight">First steps</h2>
        <IconButton label="Close the first steps" onClick={() => showFirstSteps(false)} className="-mt-1 -mr-2">
          <X size={16} />
        </IconButton>
      </header>
      <div className="min-h-0 flex-1 overflow-y-auto px-4 pb-6">
        <Steps />
        <Words />
        <Practice />
        <p className="pt-3 text-side">This panel stays until you close it. Open it again from the Plan menu.</p>
      </div>
    </aside>
  );
}

interface Step {
  title: string;
  says: string;
  path: string;
  link: string;
  isDone: boolean;
}

function useSteps(): Step[] {
  const { counts, planName } = useAnswer("frame", {}, useFrame().frame);
  const { roles } = useNames();
  return [...peopleSteps(counts, planName !== "New plan", roles.length > 0), ...termsSteps(counts), ...workSteps(counts)];
}

type Counts = AnswerOf<"frame">["counts"];

function peopleSteps(counts: Counts, isNamed: boolean, hasRoles: boolean): Step[] {
  return [
    {
      title: "Name the plan",
      says: "Its name, the time it covers, and when a week begins.",
      path: "/settings",
      link: "Settings",
      isDone: isNamed,
    },
    {
      title: "Add the roles",
      says: "The work people do, such as carpenter. Type roles, or paste a column from a spreadsheet.",
      path: "/settings/roles",
      link: "Roles",
      isDone: hasRoles,
    },
    {
      title: "Add the people",
      says: "Press N for one, or paste or import a list: name, role, hours a week, skills and rates.",
      path: counts.people === 0 ? "/people/import" : "/people",
      link: counts.people === 0 ? "Paste or import people" : "People",
      isDone: counts.people > 0,
    },
  ];
}

/** The steps about rates and days off. */
function termsSteps(counts: Counts): Step[] {
  return [
    {
      title: "Enter the rates",
      says: "Cost and billing rates per hour, by role or person.",
      path: counts.rateTables === 0 ? "/settings/rate-tables" : "/rates",
      link: counts.rateTables === 0 ? "Rate tables" : "Rates",
      isDone: counts.hasRates,
    },
    {
      title: "Add the holidays",
      says: "Fill the public holidays of a country into a calendar as days off.",
      path: "/people/calendars",
      link: "Calendars",
      isDone: counts.hasHolidays,
    },
    {
      title: "Enter the leave",
      says: "Leave that is approved takes hours off a person’s capacity.",
      path: "/people/leave",
      link: "Leave",
      isDone: counts.hasLeave,
    },
  ];
}

function workSteps(counts: Counts): Step[] {
  return [
    {
      title: "Add a project and its tasks",
      says: "In the project, type one task per line: “Build the frame, 24 h, Carpenter”. A pasted list becomes tasks, too.",
      path: "/work",
      link: "Work",
      isDone: counts.tasks > 0,
    },
    {
      title: "Assign the work",
      says: "Openings lists unassigned work and the people with room in those weeks.",
      path: "/openings",
      link: "Openings",
      isDone: counts.assignments > 0,
    },
    {
      title: "See who is free, and who is over capacity",
      says: "A cell shows the room of a week in hours; rust means over capacity. Select a cell to see why.",
      path: "/balance",
      link: "Balance",
      isDone: false,
    },
  ];
}

function Steps() {
  const linkTo = useLinkTo();
  return (
    <ol className="space-y-3">
      {useSteps().map(({ title, says, path, link, isDone }, at) => (
        <li key={title} className="flex gap-2.5">
          <span className="step-sign" data-done={isDone}>
            {isDone ? <Check size={12} aria-label="done" /> : at + 1}
          </span>
          <div className="min-w-0">
            <p className={isDone ? "text-ink-2" : "font-medium"}>{title}</p>
            <p className="text-small text-ink-2">{says}</p>
            <Link href={linkTo(path)} className="text-link text-small">
              {link}
            </Link>
          </div>
        </li>
      ))}
    </ol>
  );
}

const words: readonly [word: string, means: string][] = [
  ["Capacity", "The hours a person can work: the working week, less public holidays and approved leave, plus agreed overtime."],
  ["Load", "The hours planned for a person, day by day."],
  ["Room", "Capacity less load. Below zero, it is shown as over capacity."],
  ["Utilization", "Load as a percentage of capacity. Near 100% is full; above is over capacity."],
  ["Firmness", "How certain an assignment is: pencilled, requested or confirmed. Pencilled work is drawn with a broken edge."],
  ["Opening", "Work that needs a role or a skill and is unassigned."],
  ["Pipeline", "Projects that are not won yet. You choose whether they count, in full or by probability."],
  ["Effort and duration", "Effort is the total hours of a task; duration is the working days from its start to its finish."],
];

function Words() {
  return (
    <section className="mt-4 border-line border-t pt-3">
      <Unfold title="Terms">
        <dl className="space-y-2 text-small">
          {words.map(([word, means]) => (
            <div key={word}>
              <dt className="font-semibold">{word}</dt>
              <dd className="text-ink-2">{means}</dd>
            </div>
          ))}
        </dl>
      </Unfold>
    </section>
  );
}

const practice = [
  "Plan to about 85% of capacity. The rest goes to unplanned work: questions, repairs, meetings.",
  "Plan hours for standing work (meetings, support), so that people do not look freer than they are.",
  "Pencil in likely work, and confirm it once it is certain.",
  "Look at weeks before months: a quiet month can hide an impossible week.",
  "Link tasks rather than pinning dates: a delay then moves the tasks that follow.",
];

function Practice() {
  return (
    <section className="mt-3 border-line border-t pt-3">
      <Unfold title="Good practice">
        <ul className="list-disc space-y-1.5 pl-4 text-small text-ink-2">
          {practice.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      </Unfold>
    </section>
  );
}

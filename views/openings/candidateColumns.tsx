// The columns of the candidates: cover, room, fit, cost and what becomes of the margin.

import type { Redacted } from "../../client/seen.ts";
import type { CandidateRow, Candidates } from "../../core/answers/openings.ts";
import { majorOf, shownOr } from "../../core/plan/moneySides.ts";
import { Button } from "../../ui/button.tsx";
import { marginText, moneyText, shareText } from "../../ui/format.ts";
import type { TableColumn } from "../../ui/table/column.ts";
import { TwoLines } from "../../ui/twoLines.tsx";
import { RoomStrip } from "./roomStrip.tsx";
import { texts } from "./words.ts";

type Column = TableColumn<Redacted<CandidateRow>>;

export function missingText({ name, level, has }: Redacted<CandidateRow>["missing"][number]): string {
  if (level === null) return `not ${name.toLowerCase()}`;
  return has === 0 ? `no ${name}` : `${name} only at level ${has}`;
}

export function candidateColumns({ weeks, need, currency }: Redacted<Candidates>, onGive: (personId: string) => void): Column[] {
  return [
    who,
    cover,
    {
      id: "room",
      head: texts.room,
      says: texts.byWeekAgainstTheHours,
      width: 96,
      grow: 1,
      cell: ({ name, room }) => <RoomStrip name={name} weeks={weeks} need={need} room={room} />,
    },
    fit,
    {
      id: "cost",
      head: `Cost, ${currency}`,
      says: texts.ofTheHoursTheyCover,
      width: 92,
      isFigure: true,
      yields: true,
      value: (row) => majorOf(row.cost),
      cell: (row) => moneyText(row.cost),
    },
    margin,
    {
      id: "give",
      head: "",
      width: 92,
      cell: ({ personId, name }) => (
        <Button onClick={() => onGive(personId)} aria-label={`Assign to ${name}`}>
          {texts.assign2}
        </Button>
      ),
    },
  ];
}

const who: Column = {
  id: "who",
  head: texts.who,
  width: 120,
  grow: 1.2,
  isRowHead: true,
  value: ({ name }) => name,
  cell: ({ name, roleName, isOnProject, missing }) => (
    <TwoLines
      main={<span className="font-medium">{name}</span>}
      side={
        missing.length > 0 ? missing.map(missingText).join(", ") : [roleName, isOnProject && "on this project"].filter(Boolean).join(" · ")
      }
      tone={missing.length > 0 ? "warn" : "plain"}
    />
  ),
};

const cover: Column = {
  id: "cover",
  head: texts.covers,
  says: texts.theShareThatFits,
  width: 74,
  isFigure: true,
  value: (row) => row.cover / 10_000,
  copied: (row) => shareText(row.cover),
  look: (row) => (row.cover >= 10_000 ? "font-semibold! text-level-ink" : row.cover === 0 ? "figure-bad" : "font-semibold!"),
  cell: (row) => shareText(row.cover),
};

const fit: Column = {
  id: "fit",
  head: texts.fit,
  says: texts.howTheirSkillsMatchThose,
  width: 56,
  isFigure: true,
  value: (row) => row.fit / 10_000,
  copied: (row) => shareText(row.fit),
  cell: (row) => shareText(row.fit),
};

const margin: Column = {
  id: "margin",
  head: texts.margin,
  says: texts.theProjectsMarginIfThey,
  width: 72,
  isFigure: true,
  yields: true,
  value: ({ marginAfter }) => marginAfter && shownOr(marginAfter, null),
  copied: ({ marginAfter }) => (marginAfter === null ? "" : marginText(marginAfter)),
  look: () => "text-ink-2",
  cell: ({ marginAfter }) => (marginAfter === null ? "–" : marginText(marginAfter)),
};

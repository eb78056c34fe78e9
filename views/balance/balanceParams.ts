// The view of the board in the address; read by the page on the server and by the screen.
import { parseAsBoolean, parseAsString, parseAsStringLiteral } from "nuqs/server";
import type { Board } from "../../core/answers/board.ts";
import { type BoardView, boardOnly, boardRowKinds, boardSorts } from "../../core/board/view.ts";

export const measures = ["room", "load", "share", "capacity", "fte", "tasks"] as const;
export type Measure = (typeof measures)[number];

const text = parseAsString.withDefault("");

export const viewParams = {
  rows: parseAsStringLiteral(boardRowKinds).withDefault("role"),
  sort: parseAsStringLiteral(boardSorts).withDefault("plan"),
  show: parseAsStringLiteral(measures).withDefault("room"),
  pencilled: parseAsBoolean.withDefault(true),
  pipeline: parseAsStringLiteral(["none", "weighted", "full"] as const).withDefault("none"),
  only: parseAsStringLiteral(boardOnly).withDefault("all"),
  role: text,
  skill: text,
  team: text,
  location: text,
  project: text,
  category: text,
  client: text,
  stage: text,
};

export type ViewParams = { [K in keyof typeof viewParams]: NonNullable<ReturnType<(typeof viewParams)[K]["parse"]>> };

/** Rows that come with their figures in the HTML; the others follow once the page has settled. */
export const FIRST_ROWS = 60;

/** True if these are all figures of a board. */
export const isWhole = ({ filled, rows }: Pick<Board, "filled" | "rows">): boolean => filled === rows.length;

/** The parameters of the filters, in the order they are in. */
export const filterKeys = ["role", "skill", "team", "location", "project", "category", "client", "stage"] as const;

export function boardViewOf({
  rows,
  sort,
  pencilled,
  pipeline,
  only,
  role,
  skill,
  team,
  location,
  project,
  category,
  client,
  stage,
}: ViewParams): BoardView {
  return {
    rows,
    sort,
    only,
    counting: { pencilled, pipeline },
    filters: { role, skill, team, location, project, category, client, stage },
  };
}

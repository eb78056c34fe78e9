// A small table of figures: a line has its name on the left and its figures on the right. Long or sorted lists are `DataTable`s.
import type { ReactNode } from "react";

interface FigureTableProps {
  /** The name of the table for screen readers. */
  label: string;
  /** The heads, that of the names first; none where the figures say what they are. */
  heads?: readonly (ReactNode | { head: ReactNode; look: string })[];
  /** "spread" fills the page, "ruled" has lines all around its cells. */
  look?: "compact" | "spread" | "ruled";
  children: ReactNode;
}

const isLooked = (head: unknown): head is { head: ReactNode; look: string } => typeof head === "object" && head !== null && "look" in head;

export function FigureTable({ label, heads, look = "compact", children }: FigureTableProps) {
  return (
    <table aria-label={label} className="figure-table" data-look={look}>
      {heads && (
        <thead>
          <tr>
            {heads.map((own, at) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: heads do not move among each other
              <th key={at} scope="col" className={isLooked(own) ? own.look : undefined}>
                {isLooked(own) ? own.head : own}
              </th>
            ))}
          </tr>
        </thead>
      )}
      <tbody>{children}</tbody>
    </table>
  );
}

interface FigureRowProps {
  name: ReactNode;
  /** "total" for a sum, "quiet" for a line that belongs to another time or is left out of the sum. */
  look?: "total" | "quiet";
  /** The cells; */
  children: ReactNode;
}

export function FigureRow({ name, look, children }: FigureRowProps) {
  return (
    <tr data-look={look}>
      <th scope="row">{name}</th>
      {children}
    </tr>
  );
}

// The last line of a table: what its columns add up to.
import type { TableColumn } from "./column.ts";

export function FootRow<R>({ columns }: { columns: readonly TableColumn<R>[] }) {
  return (
    <tfoot className="sticky bottom-0 z-[3] block">
      <tr className="rows-line rows-foot">
        {columns.map(({ id, foot, isFigure, isRowHead, isSticky }) => {
          const Tag = isRowHead ? "th" : "td";
          return (
            <Tag
              key={id}
              {...(isRowHead && { scope: "row" })}
              data-foot={id}
              data-figure={isFigure}
              data-sticky={isSticky}
              className="rows-cell"
            >
              {foot}
            </Tag>
          );
        })}
      </tr>
    </tfoot>
  );
}

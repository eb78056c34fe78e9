// The markup of a table: order, levels, sections, roles. Rendered as the server does.
import fc from "fast-check";
import { NuqsTestingAdapter } from "nuqs/adapters/testing";
import { renderToStaticMarkup } from "react-dom/server";
import { expect, test } from "vitest";
import { columnsThatFit, leastWidth, type TableColumn, tracksOf } from "./column.ts";
import { cellText, copiedText } from "./copied.ts";
import { DataTable } from "./dataTable.tsx";
import { TreeTable } from "./treeTable.tsx";

interface Row {
  id: string;
  name: string;
  hours: number | null;
  parent?: string;
}

const rows: Row[] = [
  { id: "a", name: "Cases", hours: 12 },
  { id: "b", name: "Scenery", hours: null },
  { id: "c", name: "Light", hours: 40 },
  { id: "d", name: "Labels", hours: 9 },
];

const columns: TableColumn<Row>[] = [
  { id: "name", head: "Task", width: 100, grow: 1, isRowHead: true, value: ({ name }) => name, cell: ({ name }) => name },
  { id: "hours", head: "Hours", width: 60, isFigure: true, value: ({ hours }) => hours, cell: ({ hours }) => hours ?? "–" },
  { id: "tags", head: "Tags", width: 200, yields: true, cell: () => "x" },
];

const shared = { name: "task", label: "Tasks", columns, idOf: ({ id }: Row) => id, nameOf: ({ name }: Row) => name };

function drawn(table: React.ReactElement, search = ""): string {
  return renderToStaticMarkup(<NuqsTestingAdapter searchParams={search}>{table}</NuqsTestingAdapter>);
}

const idsIn = (html: string) => [...html.matchAll(/data-key="([^"]*)"/g)].map(([, key]) => key);

test("rows are in the order they are given, or by a column, either way, what has no value last", () => {
  const table = <DataTable {...shared} rows={rows} />;
  expect(idsIn(drawn(table))).toEqual(["a", "b", "c", "d"]);
  expect(idsIn(drawn(table, "?sort=hours"))).toEqual(["d", "a", "c", "b"]);
  expect(idsIn(drawn(table, "?sort=-hours"))).toEqual(["c", "a", "d", "b"]);
  expect(idsIn(drawn(table, "?sort=-name"))).toEqual(["b", "c", "d", "a"]);
  expect(idsIn(drawn(table, "?sort=nothing"))).toEqual(["a", "b", "c", "d"]);
  expect(drawn(table, "?sort=-hours")).toContain('aria-sort="descending"');
});

test("sorting keeps rows in their section, and a person in two sections is in both", () => {
  const sections = [
    { id: "one", title: "First", rows: [rows[0], rows[2]] },
    { id: "two", title: "Second", rows: [rows[2], rows[3]] },
  ];
  const html = drawn(<DataTable {...shared} sections={sections} />, "?sort=-hours");
  expect(idsIn(html)).toEqual(["one c", "one a", "two c", "two d"]);
  expect(html.indexOf("First")).toBeLessThan(html.indexOf("Second"));
});

test("a folded row hides all below it; sorting keeps children with their parent", () => {
  const tree: Row[] = [
    { id: "design", name: "Design", hours: 3 },
    { id: "draw", name: "Draw", hours: 1, parent: "design" },
    { id: "story", name: "Story", hours: 2, parent: "design" },
    { id: "make", name: "Make", hours: 9 },
    { id: "cut", name: "Cut", hours: 5, parent: "make" },
  ];
  const table = (folded: string[]) => (
    <TreeTable {...shared} rows={tree} parentOf={({ parent }) => parent} folded={folded} onFold={() => undefined} />
  );
  expect(idsIn(drawn(table([]), "?sort=-hours"))).toEqual(["make", "cut", "design", "story", "draw"]);
  const html = drawn(table(["design"]));
  expect(idsIn(html)).toEqual(["design", "make", "cut"]);
  expect(html).toContain('role="treegrid"');
  expect(html).toMatch(/data-key="design"[^>]*aria-level="1"[^>]*aria-expanded="false"/);
  expect(html).toMatch(/data-key="cut"[^>]*aria-level="2"/);
});

test("a list that can be opened or ticked is a grid, one that is only read a table", () => {
  expect(drawn(<DataTable {...shared} rows={rows} />)).toContain('role="table"');
  const open = drawn(<DataTable {...shared} rows={rows} onOpen={() => undefined} selectedId="c" />);
  expect(open).toContain('role="grid"');
  expect(open).toMatch(/data-key="c"[^>]*aria-selected="true"/);
  expect(drawn(<DataTable {...shared} rows={[]} empty="Nothing here." />)).toContain("Nothing here.");
});

test("columns that yield go where there is no room, the last one first, and widths set by hand count", () => {
  const ids = (width: number, widths = {}) => columnsThatFit(columns, widths, width).map(({ id }) => id);
  expect(ids(400)).toEqual(["name", "hours", "tags"]);
  expect(ids(300)).toEqual(["name", "hours"]);
  expect(ids(300, { tags: 80 })).toEqual(["name", "hours", "tags"]);
  expect(ids(10)).toEqual(["name", "hours"]);
  // The column one works in stays, and a share of the whole is kept for the one that asks for it.
  expect(columnsThatFit(columns, {}, 300, "tags").map(({ id }) => id)).toContain("tags");
  const chart = { id: "chart", head: "Chart", width: 100, grow: 2, share: 0.5, cell: () => "x" };
  expect(columnsThatFit([...columns, chart], {}, 600).map(({ id }) => id)).not.toContain("tags");
  expect(tracksOf([chart], {}, 600)).toBe("minmax(300px,2fr)");
  expect(tracksOf(columns, { hours: 90 }, 600)).toBe("minmax(100px,1fr) 90px 200px");
  expect(leastWidth(columns, { hours: 90 }, 600)).toBe(390);
});

test("copied rows have one line per row and one cell per column with a value, regardless of the names' content", () => {
  expect(copiedText(columns, rows.slice(0, 2))).toBe("Task\tHours\nCases\t12\nScenery\t");
  expect(cellText(columns[1], rows[0])).toBe("12");
  fc.assert(
    fc.property(
      fc.array(fc.record({ id: fc.string(), name: fc.string({ unit: "binary" }), hours: fc.nat() }), { maxLength: 8 }),
      (made) => {
        const lines = copiedText(columns, made).split("\n");
        expect(lines).toHaveLength(made.length + 1);
        for (const line of lines) expect(line.split("\t")).toHaveLength(2);
      },
    ),
  );
});

// Tables in and out: GET gives one as CSV or XLSX, POST reads a file into rows of texts. Nothing is written here.
import { tableRows } from "../../../client/redacted.ts";
import { MOST_BYTES } from "../../../core/plan/limits.ts";
import { tableKinds } from "../../../core/tables/preview.ts";
import { type TableName, tableNames, writtenHeaders } from "../../../core/tables/table.ts";
import { writeCsv } from "../../../interchange/csv.ts";
import type { TextTable } from "../../../interchange/textTable.ts";
import { readBytes } from "../../body.ts";
import { CSV_TYPE, download, downloadWorkbook, failureOf, fileWork } from "../../files.ts";
import { BUILT_IN_USER, openStore } from "../../host.ts";

export const dynamic = "force-dynamic";

export async function GET(request: Request): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const asked = searchParams.get("table") ?? "";
  const format = searchParams.get("format") ?? "csv";
  const isTemplate = searchParams.get("template") === "true";
  const names = asked === "all" ? tableNames : tableNames.filter((name) => name === asked);
  if (names.length === 0) return refuse(404, `There is no table "${asked}"; there are ${tableNames.join(", ")}.`);
  if (format === "xlsx")
    return downloadWorkbook(
      JSON.stringify(await tablesOf(names, isTemplate)),
      `${asked}${isTemplate ? "-template" : ""}.xlsx`,
      request.signal,
    );
  if (format !== "csv" || names.length > 1) return refuse(400, 'A table comes as "csv" or "xlsx"; all together only as "xlsx".');
  const [table] = await tablesOf(names, isTemplate);
  return download(writeCsv(table.rows), `${asked}${isTemplate ? "-template" : ""}.csv`, CSV_TYPE);
}

/** @param isTemplate True for the headers alone, those that are only read among them. */
async function tablesOf(names: readonly TableName[], isTemplate: boolean): Promise<TextTable[]> {
  const { plan } = (await openStore()).snapshot();
  return names.map((name) => {
    const table = tableKinds[name];
    const columns = isTemplate ? table.columns.map((column) => column.name) : writtenHeaders(table);
    return { name: table.title, rows: [columns, ...(isTemplate ? [] : tableRows(plan, table, BUILT_IN_USER.access))] };
  });
}

export async function POST(request: Request): Promise<Response> {
  const name = new URL(request.url).searchParams.get("name") ?? "file";
  try {
    return Response.json(
      await fileWork().do<"readTable">({ kind: "readTable", bytes: await readBytes(request, MOST_BYTES.file), name }, request.signal),
    );
  } catch (error) {
    const { status, message } = failureOf(error);
    return refuse(status, message);
  }
}

function refuse(status: number, message: string): Response {
  return Response.json({ message }, { status });
}

// Tables in and out: GET gives one as CSV or XLSX, POST reads a file into rows of texts. Nothing is written here.
import { MOST_BYTES } from "../../../core/plan/limits.ts";
import { tableKinds } from "../../../core/tables/preview.ts";
import { type TableName, tableNames } from "../../../core/tables/table.ts";
import { writeCsv } from "../../../interchange/csv.ts";
import { TooMuchAtOnce } from "../../../interchange/fileWork.ts";
import { type TextTable, UnreadableFile } from "../../../interchange/textTable.ts";
import { readBytes, TooLarge } from "../../body.ts";
import { fileWork } from "../../files.ts";
import { openStore } from "../../host.ts";

export const dynamic = "force-dynamic";

export async function GET(request: Request): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const asked = searchParams.get("table") ?? "";
  const format = searchParams.get("format") ?? "csv";
  const names = asked === "all" ? tableNames : tableNames.filter((name) => name === asked);
  if (names.length === 0) return refuse(404, `There is no table "${asked}"; there are ${tableNames.join(", ")}.`);
  if (format === "xlsx")
    return file(
      (await fileWork().do<"writeXlsx">({ kind: "writeXlsx", tables: await tablesOf(names) }, request.signal)) as Uint8Array<ArrayBuffer>,
      "xlsx",
      asked,
      XLSX_TYPE,
    );
  if (format !== "csv" || names.length > 1) return refuse(400, 'A table comes as "csv" or "xlsx"; all together only as "xlsx".');
  const [table] = await tablesOf(names);
  return file(writeCsv(table.rows), "csv", asked, "text/csv; charset=utf-8");
}

const XLSX_TYPE = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

async function tablesOf(names: readonly TableName[]): Promise<TextTable[]> {
  const { plan } = (await openStore()).snapshot();
  return names.map((name) => {
    const { title, columns, rows } = tableKinds[name];
    return { name: title, rows: [columns.map((column) => column.name), ...rows(plan)] };
  });
}

function file(body: BodyInit, ending: string, name: string, type: string): Response {
  const headers = { "content-type": type, "content-disposition": `attachment; filename="${name}.${ending}"`, "cache-control": "no-store" };
  return new Response(body, { headers });
}

export async function POST(request: Request): Promise<Response> {
  const name = new URL(request.url).searchParams.get("name") ?? "file";
  try {
    return Response.json(
      await fileWork().do<"readTable">({ kind: "readTable", bytes: await readBytes(request, MOST_BYTES.file), name }, request.signal),
    );
  } catch (error) {
    if (error instanceof TooLarge) return refuse(413, "This file is larger than 20 MB. Bring it in parts.");
    if (error instanceof UnreadableFile) return refuse(422, error.message);
    if (error instanceof TooMuchAtOnce) return refuse(503, error.message);
    throw error;
  }
}

function refuse(status: number, message: string): Response {
  return Response.json({ message }, { status });
}

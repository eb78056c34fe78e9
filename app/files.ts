// Work on files, in processes of their own: its results, and the answer where a file cannot be read.
import "server-only";
import { join } from "node:path";
import { codeOf, hasCode, messageOf } from "../core/values/errors.ts";
import { FileWork } from "../interchange/fileWork.ts";
import { logFailure } from "./log.ts";
import { ofProcess } from "./ofProcess.ts";

export const fileWork = (): FileWork =>
  ofProcess("work on files", () => new FileWork(join(/*turbopackIgnore: true*/ process.cwd(), "dist/files.mjs")));

/** A file to be saved, under a name. */
export function download(body: BodyInit, name: string, type: string): Response {
  const headers = { "content-type": type, "content-disposition": `attachment; filename="${name}"`, "cache-control": "no-store" };
  return new Response(body, { headers });
}

export const CSV_TYPE = "text/csv; charset=utf-8";
const XLSX_TYPE = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

/** Tables as a workbook to be saved, or why it cannot be written.
 * @param tables As JSON of a list of `TextTable`. */
export async function downloadWorkbook(tables: string, name: string, signal: AbortSignal): Promise<Response> {
  try {
    const bytes = await fileWork().do<"writeXlsx">({ kind: "writeXlsx", tables }, signal);
    return download(bytes, name, XLSX_TYPE);
  } catch (error) {
    const { status, message } = failureOf(error);
    return Response.json({ message }, { status });
  }
}

/** The answer for a failed job on a file; unexpected errors are written to the log. */
export function failureOf(error: unknown): { status: number; message: string } {
  if (hasCode(error, "tooLarge")) return { status: 413, message: messageOf(error) };
  if (hasCode(error, "unreadableFile")) return { status: 422, message: messageOf(error) };
  if (hasCode(error, "tooMuchAtOnce", "noRoom", "storeClosed")) return { status: 503, message: messageOf(error) };
  // The client disconnected before its whole request was received.
  if (codeOf(error) === "ECONNRESET") return { status: 400, message: "The request was incomplete. Nothing was changed." };
  logFailure(error);
  return { status: 500, message: "This could not be done, for a reason that the server has written to its log. Nothing was changed." };
}

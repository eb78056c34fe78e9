// Reading what a request brings, never more than is allowed.

import { CodedError } from "../core/values/errors.ts";

/** The body is larger than this route takes. */
const tooLarge = (mostBytes: number): CodedError =>
  new CodedError("tooLarge", `This is larger than ${mostBytes / 1e6} MB, the limit. Nothing was changed; send it in parts.`);

/** Reads a request's body as text.
 * @throws {CodedError} "tooLarge" as soon as more than `mostBytes` have come; the rest is not read. */
export async function readText(request: Request, mostBytes: number): Promise<string> {
  return Buffer.from(await readBytes(request, mostBytes)).toString("utf8");
}

/** Reads a request's body.
 * @throws {CodedError} "tooLarge" as soon as more than `mostBytes` have come; the rest is not read. */
export async function readBytes(request: Request, mostBytes: number): Promise<Uint8Array> {
  if (Number(request.headers.get("content-length") ?? 0) > mostBytes) throw tooLarge(mostBytes);
  const reader = request.body?.getReader();
  if (!reader) return new Uint8Array();
  const chunks: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.length;
    if (size > mostBytes) {
      await reader.cancel();
      throw tooLarge(mostBytes);
    }
    chunks.push(value);
  }
  return Buffer.concat(chunks);
}

// Reading what a request brings, never more than is allowed.

/** The body is larger than this route takes. */
export class TooLarge extends Error {
  constructor(mostBytes: number) {
    super(`This is larger than ${mostBytes / 1e6} MB, the most that is taken here. Nothing was changed; send it in parts.`);
  }
}

/** Reads a request's body as text.
 * @throws {TooLarge} as soon as more than `mostBytes` have come; the rest is not read. */
export async function readText(request: Request, mostBytes: number): Promise<string> {
  return Buffer.from(await readBytes(request, mostBytes)).toString("utf8");
}

/** Reads a request's body.
 * @throws {TooLarge} as soon as more than `mostBytes` have come; the rest is not read. */
export async function readBytes(request: Request, mostBytes: number): Promise<Uint8Array> {
  if (Number(request.headers.get("content-length") ?? 0) > mostBytes) throw new TooLarge(mostBytes);
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
      throw new TooLarge(mostBytes);
    }
    chunks.push(value);
  }
  return Buffer.concat(chunks);
}

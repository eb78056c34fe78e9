// The application's fonts under names that last: the public form is plain HTML and cannot import them.
import { readFile } from "node:fs/promises";
import { join } from "node:path";

export const dynamic = "force-dynamic";

const files: Readonly<Record<string, string>> = {
  "text.woff2": "instrument-sans/files/instrument-sans-latin-wght-normal.woff2",
  "title.woff2": "newsreader/files/newsreader-latin-wght-normal.woff2",
};

export async function GET(_: Request, { params }: { params: Promise<{ name: string }> }): Promise<Response> {
  const { name } = await params;
  if (!Object.hasOwn(files, name)) return new Response("There is no such font.", { status: 404 });
  const font = await readFile(join(/*turbopackIgnore: true*/ process.cwd(), "node_modules/@fontsource-variable", files[name]));
  return new Response(new Uint8Array(font), { headers: { "content-type": "font/woff2", "cache-control": "public, max-age=604800" } });
}

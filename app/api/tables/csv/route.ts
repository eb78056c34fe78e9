// Rows of texts as a CSV file: what an import has refused, to be corrected and brought again.
import * as z from "zod";
import { writeCsv } from "../../../../interchange/csv.ts";
import { readText, TooLarge } from "../../../body.ts";

export const dynamic = "force-dynamic";

const MOST_BYTES = 20_000_000;
const rowsSchema = z.array(z.array(z.string())).max(50_001);

export async function POST(request: Request): Promise<Response> {
  try {
    const rows = rowsSchema.safeParse(JSON.parse(await readText(request, MOST_BYTES)));
    if (!rows.success) return Response.json({ message: "Rows of texts belong here." }, { status: 400 });
    return new Response(writeCsv(rows.data), { headers: { "content-type": "text/csv; charset=utf-8" } });
  } catch (error) {
    const isLarge = error instanceof TooLarge;
    return Response.json(
      { message: isLarge ? "These rows are too many for one file." : "This is not JSON." },
      { status: isLarge ? 413 : 400 },
    );
  }
}

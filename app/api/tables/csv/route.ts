// Rows of texts as a CSV file: what an import has refused, to be corrected and brought again.
import * as z from "zod";
import { FILE_LIMITS, MOST_BYTES, MOST_NESTING } from "../../../../core/plan/limits.ts";
import { hasCode } from "../../../../core/values/errors.ts";
import { parseJson } from "../../../../core/values/nesting.ts";
import { writeCsv } from "../../../../interchange/csv.ts";
import { readText } from "../../../body.ts";
import { CSV_TYPE } from "../../../files.ts";

export const dynamic = "force-dynamic";

const fileSchema = z.strictObject({
  rows: z.array(z.array(z.string())).max(FILE_LIMITS.rows + 1),
  delimiter: z.enum([",", ";", "\t", "|"]).default(","),
});

export async function POST(request: Request): Promise<Response> {
  try {
    const file = fileSchema.safeParse(parseJson(await readText(request, MOST_BYTES.file), MOST_NESTING));
    if (!file.success) return Response.json({ message: "Send rows of text." }, { status: 400 });
    return new Response(writeCsv(file.data.rows, file.data.delimiter), { headers: { "content-type": CSV_TYPE } });
  } catch (error) {
    const isLarge = hasCode(error, "tooLarge");
    return Response.json(
      { message: isLarge ? "These rows are too many for one file." : "This is not JSON." },
      { status: isLarge ? 413 : 400 },
    );
  }
}

// Renames a category of projects or a place of people everywhere, makes two of them one, or takes one off.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { rowSchemas } from "../plan/schema.ts";
import { withSet } from "../values/stated.ts";
import { type Change, changeOf } from "./change.ts";
import type { EditKind } from "./kind.ts";

const name = rowSchemas.clients.shape.name;
const schema = z.strictObject({ kind: z.literal("renameMark"), of: z.enum(["category", "place"]), from: name, to: name.nullable() });

export const renameMark: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { of, from, to }) => {
    const changes: Change[] =
      of === "category"
        ? plan.projects.flatMap((before) =>
            before.category === from ? [changeOf("projects", { id: before.id, before, after: withSet(before, { category: to }) })] : [],
          )
        : plan.people.flatMap((before) =>
            before.location === from ? [changeOf("people", { id: before.id, before, after: withSet(before, { location: to }) })] : [],
          );
    return changes.length === 0 ? { fault: faultText.gone(of) } : { changes };
  },
  words: (_, { of, from, to }) => (to === null ? `remove the ${of} "${from}"` : `rename the ${of} "${from}" to "${to}"`),
};

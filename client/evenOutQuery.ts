// The query of evening out, checked when it comes from a browser.
import * as z from "zod";
import { remedyKinds } from "../core/balancing/kinds.ts";
import type { MoneyAccess } from "../core/plan/moneySides.ts";

const id = z.string().min(1).max(200);
const day = z.int().min(-1_000_000).max(1_000_000);

export const evenOutQuerySchema = z.strictObject({
  window: z.strictObject({ start: day, stop: day }),
  kinds: z.array(z.enum(remedyKinds)).max(remedyKinds.length).readonly(),
  /** The people or projects whose overload is evened out, by role, team or project; everyone's if null. */
  scope: z
    .strictObject({ roleId: id, teamId: id, projectIds: z.array(id).max(10_000) })
    .partial()
    .nullable(),
  mostDelayDays: z.number().min(0).max(1_000),
  isPencilledOnly: z.boolean(),
  /** Lines that remove less are not made. */
  leastMinutes: z.number().min(0).max(1_000_000),
  today: day,
  idStem: z.string().min(1).max(100),
  seconds: z.number().min(0).max(120),
});

export type EvenOutQuery = z.infer<typeof evenOutQuerySchema>;

/** The job of a server thread. */
export interface EvenOutJob {
  /** The plan as JSON: one text passes to a thread many times faster than all its rows. */
  plan: string;
  query: EvenOutQuery;
  access: MoneyAccess;
}

// The numbers of items in a plan that are waiting for an answer.
import type { Plan } from "./schema.ts";

/** Number of enquiries that nobody has answered. */
export const waitingEnquiries = ({ enquiries }: Pick<Plan, "enquiries">): number =>
  enquiries.filter(({ state }) => state === "received").length;

/** Number of requests for time off that nobody has answered. */
export const waitingTimeOff = ({ people }: Pick<Plan, "people">): number =>
  people.reduce((sum, { timeOff = [] }) => sum + timeOff.filter(({ state }) => state === "requested").length, 0);

/** Number of requests for people waiting for the manager or the lead; one whose work was removed from the plan no longer waits. */
export const waitingRequests = ({ requests }: Pick<Plan, "requests">): number =>
  requests.filter(({ state, assignmentId }) => (state === "asked" || state === "offered") && assignmentId !== undefined).length;

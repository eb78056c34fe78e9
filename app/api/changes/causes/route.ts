// The steps of the trail that moved a task or a project since a baseline was taken, each with its part, author and time.
import type { CausesAnswer, ToldCause } from "../../../../client/messages.ts";
import { redactedCauses } from "../../../../client/redacted.ts";
import type { CauseSubject } from "../../../../core/causes/causes.ts";
import type { TrailEntry } from "../../../../store/trail.ts";
import { BUILT_IN_USER, filesReader, openStore } from "../../../host.ts";

export const dynamic = "force-dynamic";

/** Steps that are looked through; a baseline that is older than that has its newest causes. */
const MOST_STEPS = 400;

/** Edits may be made between the trail and the answer: then it is asked again. */
const MOST_TRIES = 5;

export async function GET(request: Request): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const [baselineId, projectId] = [searchParams.get("baseline"), searchParams.get("project")];
  if (baselineId === null || projectId === null)
    return Response.json({ message: "Name a baseline and a project: ?baseline=ID&project=ID." }, { status: 400 });
  for (let tried = 0; tried < MOST_TRIES; tried++) {
    const causes = await causesSince(baselineId, { projectId, taskId: searchParams.get("task") });
    if (causes) return Response.json(causes, { headers: { "cache-control": "no-store" } });
  }
  return Response.json({ message: "The plan is changing all the time. Try again." }, { status: 503 });
}

async function causesSince(baselineId: string, subject: CauseSubject): Promise<CausesAnswer | null> {
  const store = await openStore();
  const { revision } = store.snapshot();
  const { steps, isAll } = stepsSince(baselineId, await store.trailBefore(revision + 1, MOST_STEPS));
  const made = steps.map(({ revision: own, changes }) => ({ revision: own, changes }));
  const { data } = await (await filesReader()).ask({ kind: "causes", revision, steps: made, subject });
  if (!data) return null;
  const told = data.flatMap((cause): ToldCause[] => {
    const step = steps.find(({ revision: own }) => own === cause.revision);
    return step ? [{ ...cause, at: step.at, by: nameOf(step), kind: step.kind, words: step.words }] : [];
  });
  return { causes: redactedCauses(told, BUILT_IN_USER.access), isAll };
}

const nameOf = ({ actor }: TrailEntry): string => (actor === BUILT_IN_USER.id ? BUILT_IN_USER.name : actor);

/** The steps after the one that a baseline was taken with, the newest first. A plan that was opened as a whole ends them. */
function stepsSince(baselineId: string, entries: readonly TrailEntry[]): { steps: TrailEntry[]; isAll: boolean } {
  const taken = entries.findIndex(
    ({ kind, changes }) =>
      kind === "replace" || changes.some(({ list, id, before }) => list === "baselines" && id === baselineId && before === null),
  );
  return taken < 0 ? { steps: [...entries], isAll: entries.length < MOST_STEPS } : { steps: entries.slice(0, taken), isAll: true };
}

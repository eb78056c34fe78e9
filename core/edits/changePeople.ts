// Changes many people at once: calendar, role, place, kind, a week from a date on, skills, a team.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import { type Person, type Plan, rowSchemas } from "../plan/schema.ts";
import { stated } from "../values/stated.ts";
import type { Change } from "./change.ts";
import { changedRow, type EditKind } from "./kind.ts";

const { calendarId, location, kind, patterns, skills } = rowSchemas.people.shape;
const schema = z.strictObject({
  kind: z.literal("changePeople"),
  ids: z.array(z.string()).min(1).max(20_000),
  set: z.strictObject({
    calendarId: calendarId.optional(),
    location: location.nullish(),
    kind: kind.optional(),
    /** Becomes the first role; the others stay behind it. */
    mainRoleId: z.string().optional(),
    /** Follows the patterns there are, and ends those that run into it. */
    pattern: patterns.unwrap().element.optional(),
    /** Set to these levels; other skills stay. */
    skills: skills.optional(),
    /** A team that they join. */
    teamId: z.string().optional(),
  }),
});

type ChangePeople = z.infer<typeof schema>;

export const changePeople: EditKind<ChangePeople> & { schema: typeof schema } = {
  schema,
  changes: (plan, { ids, set }) => {
    const changes: Change[] = [];
    for (const id of new Set(ids)) {
      const person = findRow(plan.people, id);
      if (!person) return { fault: faultText.gone("person") };
      const made = changedRow(plan, "people", id, setOf(person, set));
      if ("fault" in made) return made;
      changes.push(...made.changes);
    }
    const joined = set.teamId === undefined ? { changes: [] } : joinTeam(plan, set.teamId, ids);
    return "fault" in joined ? joined : { changes: [...changes, ...joined.changes] };
  },
  words: (_, { ids }) => `change ${ids.length} people`,
};

function setOf(person: Person, set: ChangePeople["set"]): Record<string, unknown> {
  const { mainRoleId, pattern, skills: levels, teamId: _, ...plain } = set;
  const changed = new Set(levels?.map(({ skillId }) => skillId));
  return {
    ...stated(plain),
    ...(mainRoleId !== undefined && { roleIds: [mainRoleId, ...person.roleIds.filter((id) => id !== mainRoleId)] }),
    ...(levels && { skills: [...(person.skills ?? []).filter(({ skillId }) => !changed.has(skillId)), ...levels] }),
    ...(pattern && { patterns: [...(person.patterns ?? []).filter(({ from }) => from < pattern.from), pattern] }),
  };
}

function joinTeam(plan: Plan, teamId: string, ids: readonly string[]) {
  const team = findRow(plan.teams, teamId);
  if (!team) return { fault: faultText.gone("team") };
  return changedRow(plan, "teams", teamId, { memberIds: [...new Set([...team.memberIds, ...ids])] });
}

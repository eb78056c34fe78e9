// The table of skills: a row a person and a skill, with the level.
import { findRow } from "../plan/rows.ts";
import { numberCell } from "./cells.ts";
import { personColumn, personOf } from "./findPerson.ts";
import { namedOrMade } from "./namedRow.ts";
import { type Draft, type ReadOptions, type RowOutcome, refused, type TableKind, type TableRecord } from "./table.ts";

export const personSkillsTable: TableKind = {
  name: "skills",
  title: "Skills",
  subject: "people",
  columns: [
    personColumn,
    {
      key: "skill",
      name: "Skill",
      isNeeded: true,
      aliases: ["skills", "competence", "fahigkeit", "kompetenz", "competencia", "oskus", "competencias"],
    },
    { key: "level", name: "Level", isNeeded: true, aliases: ["grade", "stufe", "niveau", "nivel", "tase"] },
  ],
  rows: (plan) =>
    plan.people.flatMap((person) =>
      (person.skills ?? []).map(({ skillId, level }) => [person.id, findRow(plan.skills, skillId)?.name ?? skillId, String(level)]),
    ),
  take: takeSkill,
};

/** Level 0 takes a skill away. */
function takeSkill(record: TableRecord, draft: Draft, options: ReadOptions): RowOutcome {
  const person = personOf(record, draft, options);
  if ("reason" in person) return refused(record.person?.trim() || "?", person.reason);
  const about = person.value.name;
  const skill = namedOrMade(record.skill ?? "", "skills", draft, options);
  const level = numberCell(record.level ?? "");
  if ("reason" in skill || "reason" in level)
    return refused(about, ...[skill, level].flatMap((read) => ("reason" in read ? [read.reason] : [])));
  if (!Number.isInteger(level.value) || level.value < 0 || level.value > 5)
    return refused(about, `A level is a whole number from 1 to 5, or 0 to remove the skill; not ${level.value}.`);
  const skills = person.value.skills ?? [];
  const was = skills.find(({ skillId }) => skillId === skill.value.id)?.level ?? 0;
  if (was === level.value) return { outcome: "leaves", about, says: [] };
  const others = skills.filter(({ skillId }) => skillId !== skill.value.id);
  const own = { skillId: skill.value.id, level: level.value };
  const next =
    was === 0 ? [...skills, own] : level.value === 0 ? others : skills.map((entry) => (entry.skillId === own.skillId ? own : entry));
  const { skills: _, ...rest } = person.value;
  draft.put("people", next.length > 0 ? { ...rest, skills: next } : rest);
  return {
    outcome: was === 0 ? "adds" : "changes",
    about,
    says: [
      was === 0 ? `${skill.value.name} ${level.value}` : `${skill.value.name} ${was} → ${level.value === 0 ? "removed" : level.value}`,
    ],
  };
}

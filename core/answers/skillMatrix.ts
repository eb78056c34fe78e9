// People by skills with their levels, and for each skill what open work asks for against who could do it.

import type { ReportRange } from "../calendar/periods.ts";
import { defaultCounting } from "../load/counting.ts";
import { roomOver } from "../load/room.ts";
import type { Model } from "../model.ts";
import { placedIn } from "../placing/placements.ts";
import { firstRoleName } from "../plan/names.ts";
import { rowById } from "../plan/rows.ts";
import type { Skill } from "../plan/schema.ts";
import { isOpening } from "../work/work.ts";

export interface SkillColumn {
  skill: Skill;
  /** People who have it at any level. */
  holders: number;
  /** Highest level that open work of the window asks for; 0 where none does. */
  level: number;
  /** Minutes of the window of openings that ask for it. */
  need: number;
  /** People with it at `level` or more, and their room in the window in minutes; 0 where nothing is asked for. */
  able: number;
  room: number;
}

export interface SkillMatrix {
  columns: SkillColumn[];
  /** Levels by skill id. */
  rows: { personId: string; name: string; roleName: string; levels: Record<string, number> }[];
}

/** The skills of everyone in plan order; open work is counted by default. */
export function skillMatrix(model: Model, { range }: ReportRange): SkillMatrix {
  const { plan } = model;
  const load = model.load(defaultCounting);
  const asks = openAsks(model, load.shares, range);
  const rows = plan.people.map(({ id, name, roleIds, skills }) => ({
    personId: id,
    name,
    roleName: firstRoleName(plan, { roleIds }) ?? "",
    levels: Object.fromEntries((skills ?? []).map(({ skillId, level }) => [skillId, level])),
  }));
  const columns = plan.skills.map((skill): SkillColumn => {
    const { level, need } = asks.get(skill.id) ?? { level: 0, need: 0 };
    const able = need === 0 ? [] : rows.flatMap(({ levels }, row) => ((levels[skill.id] ?? 0) >= level ? [row] : []));
    return {
      skill,
      holders: rows.filter(({ levels }) => levels[skill.id] !== undefined).length,
      level,
      need,
      able: able.length,
      room: able.reduce((sum, row) => sum + roomOver(model, load, row, range), 0),
    };
  });
  return { columns, rows };
}

function openAsks({ plan, work, placements }: Model, shares: Int32Array, { start, stop }: { start: number; stop: number }) {
  const asks = new Map<string, { level: number; need: number }>();
  const known = rowById(plan.skills);
  for (let row = 0; row < work.rows; row++) {
    if (shares[row] < 0 || !isOpening(work, row)) continue;
    const need = placedIn(placements, row, shares[row], start, stop);
    if (need === 0) continue;
    for (const { skillId, level } of plan.tasks[work.task[row]].skills ?? []) {
      if (!known.has(skillId)) continue;
      const sum = asks.get(skillId) ?? { level: 0, need: 0 };
      asks.set(skillId, { level: Math.max(sum.level, level), need: sum.need + need });
    }
  }
  return asks;
}

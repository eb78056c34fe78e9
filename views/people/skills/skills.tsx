"use client";
// The skills matrix: people by skills with their levels, and the gap of each skill against what open work asks for.
import { parseAsBoolean, parseAsString, useQueryState } from "nuqs";
import { useCallback, useMemo } from "react";
import type { Initial } from "../../../client/initial.ts";
import type { AnswerOf } from "../../../client/questions.ts";
import { useAnswer, usePlan } from "../../../client/session.tsx";
import { CheckboxField } from "../../../ui/checkbox.tsx";
import { newId } from "../../../ui/newId.ts";
import { SearchInput } from "../../../ui/searchInput.tsx";
import { Empty, Figure, Screen } from "../../frame/screen.tsx";
import { usePlanWindow } from "../../scope/windowed.ts";
import { PeopleTabs } from "../tabs.tsx";
import { texts } from "../words.ts";
import { AddSkill } from "./addSkill.tsx";
import { hasGap, type SkillRow, SkillTable } from "./skillTable.tsx";

export function Skills({ initial }: { initial: Initial<AnswerOf<"skills">> }) {
  const { columns, shown, people, search, setSearch, isAsked, setAsked, setLevel, addSkill } = useSkills(initial);
  const missing = columns.filter(hasGap);
  return (
    <Screen
      title={texts.people}
      figures={
        <>
          <PeopleTabs />
          <Figure value={String(columns.length)} says="skills" />
          <Figure value={String(missing.length)} says={texts.neededAndShort} isOver={missing.length > 0} />
        </>
      }
      actions={
        <>
          <CheckboxField checked={isAsked} onChange={setAsked}>
            {texts.onlySkillsThatUnassignedWork}
          </CheckboxField>
          <SearchInput label={texts.searchPeople} placeholder={texts.nameOrRole} value={search} onChange={setSearch} width={150} />
          <AddSkill onAdd={addSkill} taken={columns.map(({ skill }) => skill.name.toLowerCase())} />
        </>
      }
    >
      {shown.length === 0 ? (
        <Empty title={isAsked ? texts.unassignedWorkNeedsNoSkill : texts.noSkillsYet}>
          {isAsked ? texts.moveTheWindow : texts.addTheFirstOne}
        </Empty>
      ) : (
        <SkillTable columns={shown} rows={people} onSet={setLevel} />
      )}
    </Screen>
  );
}

/** The people and the skills that are shown, and what is changed in them. */
function useSkills(initial: Initial<AnswerOf<"skills">>) {
  const session = usePlan();
  const { range, grain } = usePlanWindow();
  const { columns, rows } = useAnswer("skills", { range, grain }, initial);
  const [search, setSearch] = useQueryState("find", parseAsString.withDefault("").withOptions({ shallow: true }));
  const [isAsked, setAsked] = useQueryState("asked", parseAsBoolean.withDefault(false).withOptions({ shallow: true }));
  const text = search.trim().toLowerCase();
  const people = useMemo(() => rows.filter(({ name, roleName }) => `${name} ${roleName}`.toLowerCase().includes(text)), [rows, text]);
  const shown = useMemo(() => (isAsked ? columns.filter(({ need }) => need > 0) : columns), [columns, isAsked]);
  const setLevel = useCallback(
    ({ personId, levels }: SkillRow, skillId: string, level: number) => {
      const skills = Object.entries({ ...levels, [skillId]: level })
        .filter(([, own]) => own > 0)
        .map(([id, own]) => ({ skillId: id, level: own }));
      void session.edit({ kind: "changePerson", id: personId, set: { skills: skills.length > 0 ? skills : null } });
    },
    [session],
  );
  return {
    columns,
    shown,
    people,
    search,
    setSearch: (next: string) => void setSearch(next),
    isAsked,
    setAsked: (isOn: boolean) => void setAsked(isOn || null),
    setLevel,
    addSkill: (name: string) => void session.edit({ kind: "addNamed", list: "skills", row: { id: newId("skill"), name } }),
  };
}

"use client";
// The tools above the roster: search, filters, groups and columns.
import { Columns3, ListFilter } from "lucide-react";
import { Button } from "../../ui/button.tsx";
import { CheckboxField } from "../../ui/checkbox.tsx";
import { Choice } from "../../ui/choice.tsx";
import { Field } from "../../ui/field.tsx";
import { ColumnChoice, Menu } from "../../ui/menu.tsx";
import { none, textOptions, wordOptions } from "../../ui/options.ts";
import { SearchInput } from "../../ui/searchInput.tsx";
import { useNames } from "../scope/facts.ts";
import { type Grouping, type OptionalColumn, optionalColumns } from "./rosterView.ts";
import type { PeopleHook } from "./usePeople.ts";
import { texts } from "./words.ts";

const groupWords: Record<Grouping, string> = {
  none: "Not grouped",
  role: "By role",
  skill: "By skill and level",
  team: "By team",
  place: "By place",
  kind: "By kind",
};

const columnWords: Record<OptionalColumn, string> = {
  skills: "Skills",
  week: "Week",
  place: "Place and calendar",
  teams: "Teams",
  unplaced: "Hours that cannot be worked",
};

export function RosterTools({ people }: { people: PeopleHook }) {
  const { view, setView } = people;
  return (
    <>
      <SearchInput
        label={texts.searchPeople}
        placeholder={texts.nameRoleSkillPlace}
        value={view.find}
        onChange={(text) => setView({ find: text })}
        width={190}
      />
      <Choice
        label={texts.groupPeople}
        value={view.group}
        onChange={(value) => setView({ group: value })}
        width={128}
        options={wordOptions(groupWords)}
      />
      <FilterMenu people={people} />
      <Menu label={texts.columns} icon={<Columns3 size={14} />}>
        <ColumnChoice all={optionalColumns} words={columnWords} chosen={view.columns} onChoose={(columns) => setView({ columns })} />
      </Menu>
    </>
  );
}

function FilterMenu({ people }: { people: PeopleHook }) {
  const { view, setView } = people;
  return (
    <Menu label={people.isFiltered ? texts.filtered : texts.filter} icon={<ListFilter size={14} />} isActive={people.isFiltered}>
      <div className="w-[250px] space-y-3">
        <Filters view={view} setView={setView} />
        <CheckboxField checked={view.archived} onChange={(archived) => setView({ archived })}>
          {texts.onlyArchivedPeople}
        </CheckboxField>
        <Button
          disabled={!people.isFiltered}
          onClick={() => setView({ role: "", skill: "", level: 1, team: "", place: "", kind: "", archived: false })}
        >
          {texts.showAllPeople}
        </Button>
      </div>
    </Menu>
  );
}

function Filters({ view, setView }: Pick<PeopleHook, "view" | "setView">) {
  const { roles, skills, teams, places } = useNames();
  const choice = (key: "role" | "skill" | "team" | "place", label: string, names: readonly string[]) => (
    <Field label={label}>
      <Choice value={view[key]} onChange={(value) => setView({ [key]: value })} options={[none(`Any ${key}`), ...textOptions(names)]} />
    </Field>
  );
  return (
    <>
      {choice("role", "Role", namesOf(roles))}
      <div className="grid grid-cols-[1fr_84px] gap-2">
        {choice("skill", "Skill", namesOf(skills))}
        <Field label={texts.minimumLevel}>
          <Choice
            value={String(view.level)}
            onChange={(value) => setView({ level: Number(value) })}
            options={textOptions(["1", "2", "3", "4", "5"])}
          />
        </Field>
      </div>
      {choice("team", "Team", namesOf(teams))}
      {choice("place", "Place", places)}
      <Field label={texts.kind}>
        <Choice
          value={view.kind}
          onChange={(value) => setView({ kind: value })}
          options={[
            none("Employees and contractors"),
            { value: "employee", text: texts.employees },
            { value: "contractor", text: texts.contractors },
          ]}
        />
      </Field>
    </>
  );
}

const namesOf = (list: readonly { name: string }[]): string[] => list.map(({ name }) => name);

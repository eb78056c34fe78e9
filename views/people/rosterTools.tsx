"use client";
// What is above the roster: search, filters, groups and the columns to show.
import { Columns3, ListFilter } from "lucide-react";
import { Button } from "../../ui/button.tsx";
import { Field, Select, TextInput } from "../../ui/field.tsx";
import { ColumnChoice, Menu } from "../../ui/menu.tsx";
import { useNames } from "../frame/facts.ts";
import { type Grouping, type OptionalColumn, optionalColumns } from "./rosterView.ts";
import type { PeopleHook } from "./usePeople.ts";

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
  unplaced: "Hours not placed",
};

export function RosterTools({ people }: { people: PeopleHook }) {
  const { view, setView, rows } = people;
  const { roles, skills, teams } = useNames();
  const places = [...new Set(rows.flatMap(({ person }) => person.location ?? []))].sort();
  const option = (value: string) => (
    <option key={value} value={value}>
      {value}
    </option>
  );
  return (
    <>
      <TextInput
        aria-label="Search people"
        placeholder="Name, role, skill, place"
        value={view.find}
        onChange={(event) => setView({ find: event.target.value })}
        className="w-[170px]!"
      />
      <Select
        aria-label="Group people"
        value={view.group}
        onChange={(event) => setView({ group: event.target.value as Grouping })}
        className="w-[128px]!"
      >
        {Object.entries(groupWords).map(([value, text]) => (
          <option key={value} value={value}>
            {text}
          </option>
        ))}
      </Select>
      <Menu label={people.isFiltered ? "Filtered" : "Filter"} icon={<ListFilter size={14} />} isActive={people.isFiltered}>
        <div className="w-[250px] space-y-3">
          <Field label="Role">
            <Select value={view.role} onChange={(event) => setView({ role: event.target.value })}>
              <option value="">Any role</option>
              {roles.map(({ name }) => option(name))}
            </Select>
          </Field>
          <div className="grid grid-cols-[1fr_84px] gap-2">
            <Field label="Skill">
              <Select value={view.skill} onChange={(event) => setView({ skill: event.target.value })}>
                <option value="">Any skill</option>
                {skills.map(({ name }) => option(name))}
              </Select>
            </Field>
            <Field label="Least level">
              <Select value={String(view.level)} onChange={(event) => setView({ level: Number(event.target.value) })}>
                {["1", "2", "3", "4", "5"].map(option)}
              </Select>
            </Field>
          </div>
          <Field label="Team">
            <Select value={view.team} onChange={(event) => setView({ team: event.target.value })}>
              <option value="">Any team</option>
              {teams.map(({ name }) => option(name))}
            </Select>
          </Field>
          <Field label="Place">
            <Select value={view.place} onChange={(event) => setView({ place: event.target.value })}>
              <option value="">Any place</option>
              {places.map(option)}
            </Select>
          </Field>
          <Field label="Kind">
            <Select value={view.kind} onChange={(event) => setView({ kind: event.target.value })}>
              <option value="">Employees and contractors</option>
              <option value="employee">Employees</option>
              <option value="contractor">Contractors</option>
            </Select>
          </Field>
          <Button disabled={!people.isFiltered} onClick={() => setView({ role: "", skill: "", level: 1, team: "", place: "", kind: "" })}>
            Show everybody
          </Button>
        </div>
      </Menu>
      <Menu label="Columns" icon={<Columns3 size={14} />}>
        <ColumnChoice all={optionalColumns} words={columnWords} chosen={view.columns} onChoose={(columns) => setView({ columns })} />
      </Menu>
    </>
  );
}

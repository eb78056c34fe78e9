"use client";
// The filters of projects: by stage, client, category and lead.
import { ListFilter } from "lucide-react";
import type { Redacted } from "../../client/seen.ts";
import type { PortfolioRow } from "../../core/answers/portfolio.ts";
import { Button } from "../../ui/button.tsx";
import { CheckboxField } from "../../ui/checkbox.tsx";
import { Field } from "../../ui/field.tsx";
import { Menu } from "../../ui/menu.tsx";
import { none, textOptions } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { type ProjectGrouping, projectGroupings, titleOf } from "./projectGroups.ts";
import { texts } from "./words.ts";

const words: Record<ProjectGrouping, string> = { stage: "Stage", client: "Client", category: "Category", lead: "Lead" };

export function ProjectFilter({
  rows,
  view,
  onFilter,
}: {
  rows: readonly Redacted<PortfolioRow>[];
  view: Record<ProjectGrouping | "group", string> & { archived: boolean };
  onFilter: (set: Partial<Record<ProjectGrouping, string | null>> & { archived?: boolean | null }) => void;
}) {
  const isFiltered = view.archived || projectGroupings.some((key) => view[key] !== "");
  return (
    <Menu label={isFiltered ? texts.filtered : texts.filter} icon={<ListFilter size={14} />} isActive={isFiltered}>
      <div className="w-[230px] space-y-3">
        {projectGroupings.map((key) => (
          <Field key={key} label={words[key]}>
            <Picker
              value={view[key]}
              onChange={(title) => onFilter({ [key]: title || null })}
              options={[none("Any"), ...textOptions([...new Set(rows.map((row) => titleOf(row, key)))].sort())]}
            />
          </Field>
        ))}
        <CheckboxField checked={view.archived} onChange={(isOn) => onFilter({ archived: isOn || null })}>
          {texts.onlyArchivedProjects}
        </CheckboxField>
        <Button
          disabled={!isFiltered}
          onClick={() => onFilter({ ...Object.fromEntries(projectGroupings.map((key) => [key, null])), archived: null })}
        >
          {texts.showAllProjects}
        </Button>
      </div>
    </Menu>
  );
}

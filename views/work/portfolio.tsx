"use client";
// Work: all projects with their dates, hours needed and hours that nobody has.
import { parseAsBoolean, parseAsString, parseAsStringLiteral, useQueryStates } from "nuqs";
import { useMemo } from "react";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import type { Redacted } from "../../client/seen.ts";
import { useAnswer } from "../../client/session.tsx";
import type { PortfolioRow } from "../../core/answers/portfolio.ts";
import { AddButton } from "../../ui/addButton.tsx";
import { Button, TextButton } from "../../ui/button.tsx";
import { CheckboxField } from "../../ui/checkbox.tsx";
import { Choice } from "../../ui/choice.tsx";
import { hoursText } from "../../ui/format.ts";
import { useKeys } from "../../ui/keys.ts";
import { wordOptions } from "../../ui/options.ts";
import { SearchInput } from "../../ui/searchInput.tsx";
import { later, SheetPart } from "../frame/part.tsx";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { useChartPeriods } from "../periods/useChartPeriods.ts";
import { WithSignals } from "../today/signalSign.tsx";
import { PortfolioTable } from "./portfolioTable.tsx";
import { ProjectFilter } from "./projectFilter.tsx";
import { isTroubled, type ProjectGrouping, projectGroupings, projectGroups } from "./projectGroups.ts";
import { texts } from "./words.ts";

const newProject = later(() => import("./newProject.tsx").then((own) => own.NewProject));
const timeLeftSheet = later(() => import("./timeLeft.tsx").then((own) => own.TimeLeftSheet));

export function Portfolio({ initial }: { initial: Initial<AnswerOf<"portfolio">> }) {
  const rows = useAnswer("portfolio", {}, initial);
  const { view, setView } = usePortfolioView();
  useKeys({ n: () => void setView({ add: true }) });
  const groups = useMemo(() => projectGroups(rows, view.group, view), [rows, view]);
  const chart = useChartPeriods();
  const live = rows.filter(({ project }) => project.stage !== "cancelled" && project.stage !== "done");
  return (
    <Screen
      isTwoLined
      title={texts.work}
      figures={
        <>
          <Figure value={String(live.length)} says="projects" />
          <Figure value={`${hoursText(live.reduce((sum, { asked }) => sum + asked, 0))} h`} says={texts.neededInTotal} />
          <Figure value={`${hoursText(live.reduce((sum, { open }) => sum + open, 0))} h`} says="unassigned" />
        </>
      }
      actions={<Tools rows={rows} troubled={live.filter(isTroubled).length} view={view} setView={setView} />}
      sheet={
        view.add ? (
          <SheetPart of={newProject} given={{ onClose: () => void setView({ add: null }) }} />
        ) : (
          view.left && (
            <SheetPart
              of={timeLeftSheet}
              given={{ projectId: null, until: chart.range.stop - 1, onClose: () => void setView({ left: null }) }}
            />
          )
        )
      }
    >
      {rows.length === 0 ? (
        <Empty title={texts.noProjectsYet}>
          <TextButton onClick={() => void setView({ add: true })}>{texts.addTheFirstOne}</TextButton>, or open a plan file from the menu at
          the top right.
        </Empty>
      ) : (
        <WithSignals>
          <PortfolioTable groups={groups} find={view.find} />
        </WithSignals>
      )}
    </Screen>
  );
}

const groupWords: Record<ProjectGrouping, string> = { stage: "By stage", client: "By client", category: "By category", lead: "By lead" };

/** The filters of the projects, as they are now in the address. */
function usePortfolioView() {
  const [view, setView] = useQueryStates(
    {
      find: parseAsString.withDefault(""),
      group: parseAsStringLiteral(projectGroupings).withDefault("stage"),
      stage: parseAsString.withDefault(""),
      client: parseAsString.withDefault(""),
      lead: parseAsString.withDefault(""),
      category: parseAsString.withDefault(""),
      trouble: parseAsBoolean.withDefault(false),
      archived: parseAsBoolean.withDefault(false),
      add: parseAsBoolean.withDefault(false),
      left: parseAsBoolean.withDefault(false),
    },
    { shallow: true },
  );
  return { view, setView };
}

interface ToolsProps extends ReturnType<typeof usePortfolioView> {
  rows: readonly Redacted<PortfolioRow>[];
  troubled: number;
}

function Tools({ rows, troubled, view, setView }: ToolsProps) {
  return (
    <>
      <ProjectFilter rows={rows} view={view} onFilter={(set) => void setView(set)} />
      <CheckboxField checked={view.trouble} onChange={(isOn) => void setView({ trouble: isOn || null })}>
        In trouble, {troubled}
      </CheckboxField>
      <Choice
        label={texts.groupProjects}
        value={view.group}
        onChange={(value) => void setView({ group: value })}
        width={120}
        options={wordOptions(groupWords)}
      />
      <SearchInput label={texts.searchProjects} value={view.find} onChange={(text) => void setView({ find: text || null })} width={150} />
      <Button onClick={() => void setView({ left: true, add: null })}>{texts.timeLeft}</Button>
      <AddButton onAdd={() => void setView({ add: true })}>{texts.addProject}</AddButton>
    </>
  );
}

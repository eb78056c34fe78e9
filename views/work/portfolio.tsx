"use client";
// Work: all projects with their dates, hours needed and hours that nobody has.
import { Plus } from "lucide-react";
import { useRouter } from "next/navigation";
import { parseAsBoolean, parseAsString, parseAsStringLiteral, useQueryStates } from "nuqs";
import type { AnswerOf } from "../../client/questions.ts";
import { type Initial, useAnswer } from "../../client/session.tsx";
import type { PortfolioRow } from "../../core/answers/portfolio.ts";
import { Button } from "../../ui/button.tsx";
import { Select, TextInput } from "../../ui/field.tsx";
import { countText, hoursText, hueOf, longDay, rangeText, shortDay } from "../../ui/format.ts";
import { useKeys } from "../../ui/keys.ts";
import Link from "../../ui/link.tsx";
import { ChartBar, ChartGrid, ChartHead } from "../../ui/timeChart.tsx";
import { usePlanFacts } from "../frame/facts.ts";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { useChartPeriods } from "../frame/useChartPeriods.ts";
import { useLinkTo } from "../frame/windowed.ts";
import { NewProject } from "./newProject.tsx";
import { ProjectFilter } from "./projectFilter.tsx";
import { isTroubled, type ProjectGrouping, projectGroupings, projectGroups } from "./projectGroups.ts";
import { TimeLeftSheet } from "./timeLeft.tsx";

const columns = "grid grid-cols-[minmax(240px,1.3fr)_118px_78px_72px_62px_176px_minmax(200px,2fr)]";

export function Portfolio({ initial }: { initial: Initial<AnswerOf<"portfolio">> }) {
  const rows = useAnswer("portfolio", {}, initial);
  const [view, setView] = useQueryStates(
    {
      find: parseAsString.withDefault(""),
      group: parseAsStringLiteral(projectGroupings).withDefault("stage"),
      stage: parseAsString.withDefault(""),
      client: parseAsString.withDefault(""),
      lead: parseAsString.withDefault(""),
      category: parseAsString.withDefault(""),
      trouble: parseAsBoolean.withDefault(false),
      add: parseAsBoolean.withDefault(false),
      left: parseAsBoolean.withDefault(false),
    },
    { shallow: true },
  );
  useKeys({ n: () => void setView({ add: true }) });
  const groups = projectGroups(rows, view.group, view);
  const chart = useChartPeriods();
  const live = rows.filter(({ project }) => project.stage !== "cancelled" && project.stage !== "done");
  const troubled = live.filter(isTroubled);
  return (
    <Screen
      title="Work"
      figures={
        <>
          <Figure value={String(live.length)} says="projects" />
          <Figure value={`${hoursText(live.reduce((sum, { asked }) => sum + asked, 0))} h`} says="needed in all" />
          <Figure value={`${hoursText(live.reduce((sum, { open }) => sum + open, 0))} h`} says="with nobody yet" />
        </>
      }
      actions={
        <>
          <ProjectFilter rows={rows} view={view} onFilter={(set) => void setView(set)} />
          <label className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="accent-pine"
              checked={view.trouble}
              onChange={(event) => void setView({ trouble: event.target.checked || null })}
            />
            In trouble, {troubled.length}
          </label>
          <Select
            aria-label="Group projects"
            value={view.group}
            onChange={(event) => void setView({ group: event.target.value as ProjectGrouping })}
            className="w-[120px]!"
          >
            {Object.entries(groupWords).map(([value, text]) => (
              <option key={value} value={value}>
                {text}
              </option>
            ))}
          </Select>
          <TextInput
            aria-label="Search projects"
            placeholder="Search projects"
            value={view.find}
            onChange={(event) => void setView({ find: event.target.value || null })}
            className="w-[150px]!"
          />
          <Button onClick={() => void setView({ left: true, add: null })}>Time left</Button>
          <Button look="main" onClick={() => void setView({ add: true })}>
            <Plus size={15} /> Add project <kbd className="font-sans opacity-75">N</kbd>
          </Button>
        </>
      }
      sheet={
        view.add ? (
          <NewProject onClose={() => void setView({ add: null })} />
        ) : (
          view.left && <TimeLeftSheet projectId={null} until={chart.range.stop - 1} onClose={() => void setView({ left: null })} />
        )
      }
    >
      {rows.length === 0 ? (
        <Empty title="No projects yet">
          <button type="button" className="text-pine underline" onClick={() => void setView({ add: true })}>
            Add the first one
          </button>
          , or open a plan file from the menu at the top right.
        </Empty>
      ) : (
        <div className="min-h-0 flex-1 overflow-auto rounded-t-card border border-line border-b-0 bg-sheet">
          <div className={`${columns} sticky top-0 z-[2] h-[34px] min-w-[940px] border-line border-b bg-sheet text-[13px]`}>
            <span className="px-3 pt-2 font-semibold">Project</span>
            <span className="px-2 pt-2 text-ink-2">Lead</span>
            <span className="px-2 pt-2 text-right text-ink-2">Hours</span>
            <span className="px-2 pt-2 text-right text-ink-2">Open</span>
            <span className="px-2 pt-2 text-right text-ink-2">Done</span>
            <span className="px-3 pt-2 text-ink-2">Dates</span>
            <span className="border-line border-l">
              <ChartHead window={chart.range} periods={chart.periods} headings={chart.headings} />
            </span>
          </div>
          {groups.map(({ title, rows: own }) => (
            <StageRows key={title} title={title} rows={own} />
          ))}
          {groups.length === 0 && (
            <p className="p-6 text-ink-2">
              {view.find === "" ? "No project is left by these filters." : `No project matches “${view.find}”.`}
            </p>
          )}
        </div>
      )}
    </Screen>
  );
}

const groupWords: Record<ProjectGrouping, string> = { stage: "By stage", client: "By client", category: "By category", lead: "By lead" };

function StageRows({ title, rows }: { title: string; rows: PortfolioRow[] }) {
  if (rows.length === 0) return null;
  return (
    <section aria-label={title}>
      <div className="flex h-[29px] min-w-[940px] items-center border-line border-b bg-paper px-3 font-title text-[15px] italic">
        {title} <span className="ml-2 font-sans text-[12.5px] text-ink-2 not-italic">{countText(rows.length, "project")}</span>
      </div>
      {rows.map((row) => (
        <ProjectRow key={row.project.id} row={row} />
      ))}
    </section>
  );
}

function ProjectRow({
  row: { project, projectRow, clientName, leadName, isPipeline, start, finish, lateDays, asked, open, unplaced, progress, tasks },
}: {
  row: PortfolioRow;
}) {
  const linkTo = useLinkTo();
  const router = useRouter();
  const { range, periods } = useChartPeriods();
  const { today } = usePlanFacts();
  const link = linkTo(`/work/${encodeURIComponent(project.id)}`);
  return (
    <div
      className={`${columns} h-[44px] min-w-[940px] cursor-pointer items-center border-line border-b hover:bg-well/60`}
      onClick={() => router.push(link)}
    >
      <span className="flex min-w-0 items-center gap-2 px-3">
        <span className="size-[10px] shrink-0 rounded-[2px]" style={{ background: hueOf(projectRow) }} />
        <span className="min-w-0 leading-tight">
          <Link href={link} className="block truncate font-semibold hover:underline">
            {project.name} <span className="font-normal text-[12.5px] text-ink-2">{project.code}</span>
          </Link>
          <span className="block truncate text-[12.5px] text-ink-2">{clientName ?? "Own work"}</span>
        </span>
      </span>
      <span className="truncate px-2">{leadName ?? "–"}</span>
      <span className="px-2 text-right">{hoursText(asked)}</span>
      <span className={`px-2 text-right ${open > 0 ? "font-semibold text-over" : "text-ink-2"}`}>{hoursText(open)}</span>
      <span className="px-2 text-right text-ink-2">{progress === null ? "–" : `${progress}%`}</span>
      <span className="px-3 leading-tight">
        <span className="block whitespace-nowrap">
          {shortDay(start)} – {longDay(finish)}
        </span>
        {isPipeline && <span className="block text-[12.5px] text-plum">{project.probability ?? 100}% likely</span>}
        {lateDays > 0 && (
          <span className="block whitespace-nowrap font-semibold text-[12.5px] text-over">
            {countText(lateDays, "day")} past the deadline
          </span>
        )}
        {lateDays === 0 && unplaced > 0 && !isPipeline && (
          <span className="block font-semibold text-[12.5px] text-over">{hoursText(unplaced)} h not placed</span>
        )}
      </span>
      <span className="relative h-full border-line border-l">
        <ChartGrid window={range} periods={periods} today={today} />
        <ChartBar
          window={range}
          start={start}
          finish={finish}
          hue={hueOf(projectRow)}
          look={isPipeline ? "pencilled" : "task"}
          title={`${project.name}: ${rangeText({ start, stop: finish + 1 })}, ${countText(tasks, "task")}`}
        />
      </span>
    </div>
  );
}

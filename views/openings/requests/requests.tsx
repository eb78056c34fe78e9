"use client";
// Requests: leads ask for a role or a person, the manager offers, confirms or turns down; both see what became of it.
import { Plus } from "lucide-react";
import { parseAsString, useQueryStates } from "nuqs";
import type { AnswerOf } from "../../../client/questions.ts";
import { type Initial, useAnswer } from "../../../client/session.tsx";
import type { RequestRow } from "../../../core/answers/requests.ts";
import { Button } from "../../../ui/button.tsx";
import { countText, hoursText, hueOf, shortDay } from "../../../ui/format.ts";
import { useKeys } from "../../../ui/keys.ts";
import { Empty, Figure, Screen } from "../../frame/screen.tsx";
import { OpeningTabs } from "../tabs.tsx";
import { AnswerSheet } from "./answerSheet.tsx";
import { AskSheet } from "./askSheet.tsx";

export const stateWords: Record<RequestRow["request"]["state"], string> = {
  asked: "waits for an answer",
  offered: "somebody is offered",
  confirmed: "confirmed",
  declined: "turned down",
};

const columns = "grid grid-cols-[minmax(180px,1.4fr)_minmax(120px,1fr)_64px_128px_minmax(150px,1fr)] items-center";

export function Requests({ initial }: { initial: Initial<AnswerOf<"requests">> }) {
  const { rows, projects } = useAnswer("requests", {}, initial);
  const [view, setView] = useQueryStates({ request: parseAsString, ask: parseAsString }, { shallow: true });
  useKeys({ n: () => void setView({ ask: "new", request: null }) });
  const selected = rows.find(({ request }) => request.id === view.request);
  const waiting = rows.filter(({ isWaiting }) => isWaiting).length;
  const close = () => void setView({ request: null, ask: null });
  return (
    <Screen
      title="Requests"
      figures={<Figure value={String(waiting)} says="waiting" isOver={waiting > 0} />}
      actions={
        <>
          <OpeningTabs />
          <Button look="main" onClick={() => void setView({ ask: "new", request: null })}>
            <Plus size={15} /> Ask for people <kbd className="font-sans opacity-75">N</kbd>
          </Button>
        </>
      }
      sheet={
        view.ask !== null ? (
          <AskSheet
            taskId={view.ask === "new" ? null : view.ask}
            onDone={(id) => void setView({ ask: null, request: id })}
            onClose={close}
          />
        ) : (
          selected && <AnswerSheet key={selected.request.id} row={selected} onClose={close} />
        )
      }
    >
      {rows.length === 0 ? (
        <Empty title="Nobody has asked for anybody">
          A lead asks for a role or a person, with hours and a note; it waits here for an answer.{" "}
          <button type="button" className="text-pine underline" onClick={() => void setView({ ask: "new" })}>
            Ask for somebody
          </button>{" "}
          or press N.
        </Empty>
      ) : (
        <div className="min-h-0 flex-1 overflow-auto rounded-t-card border border-line border-b-0 bg-sheet">
          <div className={`${columns} sticky top-0 z-[2] h-[34px] min-w-[680px] border-line border-b bg-sheet text-[13px] text-ink-2`}>
            <span className="px-3 font-semibold text-ink">For</span>
            <span className="px-2">Asked for</span>
            <span className="px-2 text-right">Hours</span>
            <span className="px-2">Dates</span>
            <span className="px-2">State</span>
          </div>
          {rows.map((row) => (
            <Line
              key={row.request.id}
              row={row}
              isSelected={row === selected}
              onSelect={() => void setView({ request: row.request.id, ask: null })}
            />
          ))}
          <h2 className="min-w-[680px] border-line border-b bg-paper px-3 py-1 font-title text-[15px] italic">How sure the hours are</h2>
          {projects.map(({ projectId, name, projectRow, asked, confirmed, pencilled, open }) => (
            <p
              key={projectId}
              data-project={projectId}
              className="flex min-w-[680px] flex-wrap items-center gap-x-4 border-line border-b px-3 py-1.5"
            >
              <span className="flex min-w-[180px] items-center gap-2 font-semibold">
                <span className="size-[10px] rounded-[2px]" style={{ background: hueOf(projectRow) }} />
                {name}
              </span>
              <span>{hoursText(confirmed)} h confirmed</span>
              {pencilled > 0 && <span className="text-ochre-ink">{hoursText(pencilled)} h pencilled</span>}
              <span className={asked > 0 ? "text-ochre-ink" : "text-ink-2"}>{hoursText(asked)} h asked for</span>
              <span className={open > 0 ? "text-over" : "text-ink-2"}>{hoursText(open)} h open</span>
            </p>
          ))}
        </div>
      )}
    </Screen>
  );
}

function Line({ row, isSelected, onSelect }: { row: RequestRow; isSelected: boolean; onSelect: () => void }) {
  const { request, taskName, projectName, projectRow, wanted, offered, dates, isWaiting } = row;
  return (
    <button
      type="button"
      data-request={request.id}
      aria-current={isSelected}
      onClick={onSelect}
      className={`${columns} h-[44px] w-full min-w-[680px] border-line border-b text-left ${isSelected ? "bg-pine-wash" : "hover:bg-well/60"}`}
    >
      <span className="min-w-0 px-3 leading-tight">
        <span className="block truncate font-semibold">{taskName}</span>
        <span className="flex items-center gap-1.5 text-[12.5px] text-ink-2">
          <span className="size-[8px] shrink-0 rounded-[2px]" style={{ background: hueOf(projectRow) }} />
          <span className="truncate">{projectName}</span>
        </span>
      </span>
      <span className="truncate px-2">{wanted}</span>
      <span className="px-2 text-right">{hoursText(request.hours * 60)}</span>
      <span className="truncate px-2 text-[13px]">{dates ? `${shortDay(dates.start)} – ${shortDay(dates.finish)}` : "–"}</span>
      <span
        className={`truncate px-2 ${isWaiting ? "font-medium text-ochre-ink" : request.state === "declined" ? "text-ink-2" : "text-level-ink"}`}
      >
        {offered ? `${offered} is offered` : stateWords[request.state]}
        {request.history.length > 1 && <span className="text-[12.5px] text-ink-2"> · {countText(request.history.length, "step")}</span>}
      </span>
    </button>
  );
}

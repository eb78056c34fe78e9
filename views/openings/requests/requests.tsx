"use client";
// Requests: leads ask for a role or a person, the manager offers, confirms or turns down; both see what became of it.
import { parseAsString, useQueryStates } from "nuqs";
import type { Initial } from "../../../client/initial.ts";
import type { AnswerOf } from "../../../client/questions.ts";
import { useAnswer } from "../../../client/session.tsx";
import { AddButton } from "../../../ui/addButton.tsx";
import { TextButton } from "../../../ui/button.tsx";
import { useKeys } from "../../../ui/keys.ts";
import { Empty, Figure, Screen } from "../../frame/screen.tsx";
import { OpeningTabs } from "../tabs.tsx";
import { texts } from "../words.ts";
import { AnswerSheet } from "./answerSheet.tsx";
import { AskSheet } from "./askSheet.tsx";
import { RequestTable, SurenessTable } from "./requestTables.tsx";

export function Requests({ initial }: { initial: Initial<AnswerOf<"requests">> }) {
  const { rows, projects } = useAnswer("requests", {}, initial);
  const [view, setView] = useQueryStates({ request: parseAsString, ask: parseAsString }, { shallow: true });
  const ask = () => void setView({ ask: "new", request: null });
  useKeys({ n: ask });
  const selected = rows.find(({ request }) => request.id === view.request);
  const waiting = rows.filter(({ isWaiting }) => isWaiting).length;
  const close = () => void setView({ request: null, ask: null });
  return (
    <Screen
      title={texts.requests}
      figures={<Figure value={String(waiting)} says="waiting" isOver={waiting > 0} />}
      actions={
        <>
          <OpeningTabs />
          <AddButton onAdd={ask}>{texts.requestPeople}</AddButton>
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
        <NoRequests onAsk={ask} />
      ) : (
        <div className="flex min-h-0 flex-1 flex-col gap-3">
          <RequestTable rows={rows} selectedId={view.request} onOpen={(id) => void setView({ request: id, ask: null })} />
          <SurenessTable rows={projects} />
        </div>
      )}
    </Screen>
  );
}

function NoRequests({ onAsk }: { onAsk: () => void }) {
  return (
    <Empty title={texts.noRequestsYet}>
      Leads request a role or a person, with hours and a note. Requests wait here for an answer.{" "}
      <TextButton onClick={onAsk}>{texts.requestPeople}</TextButton> or press N.
    </Empty>
  );
}

"use client";
// The outbox: a stand-in for mail that ships with the application. What would be sent is listed here.
import { parseAsString, useQueryState } from "nuqs";
import type { Initial } from "../../../client/initial.ts";
import type { AnswerOf } from "../../../client/questions.ts";
import { useAnswer } from "../../../client/session.tsx";
import { dateTimeText } from "../../../ui/format.ts";
import Link from "../../../ui/link.tsx";
import { SearchInput } from "../../../ui/searchInput.tsx";
import { Empty, Figure, Screen } from "../../frame/screen.tsx";
import { useLinkTo } from "../../scope/windowed.ts";
import { OpeningTabs } from "../tabs.tsx";
import { texts } from "../words.ts";

export function Outbox({ initial }: { initial: Initial<AnswerOf<"outbox">> }) {
  const messages = useAnswer("outbox", {}, initial);
  const [find, setFind] = useQueryState("find", parseAsString.withDefault("").withOptions({ shallow: true }));
  const text = find.toLowerCase().trim();
  const shown = messages.filter(({ subject, to, by, text: said }) =>
    [subject, to, by, said].some((own) => own.toLowerCase().includes(text)),
  );
  return (
    <Screen
      title={texts.outbox}
      figures={<Figure value={String(messages.length)} says={messages.length === 1 ? "message" : "messages"} />}
      actions={
        <>
          <OpeningTabs />
          <SearchInput label={texts.searchMessages} value={find} onChange={(text) => void setFind(text || null)} width={180} />
        </>
      }
    >
      {messages.length === 0 ? (
        <Empty title={texts.noMessagesYet}>{texts.eachStepOfARequest}</Empty>
      ) : (
        <ul className="min-h-0 flex-1 overflow-y-auto box-open">
          {shown.map((message) => (
            <MessageLine key={message.key} message={message} />
          ))}
          {shown.length === 0 && <li className="p-6 text-ink-2">No results for “{find}”.</li>}
        </ul>
      )}
    </Screen>
  );
}

function MessageLine({ message: { at, by, to, subject, text, requestId } }: { message: AnswerOf<"outbox">[number] }) {
  const linkTo = useLinkTo();
  return (
    <li className="line-below px-4 py-2.5">
      <div className="flex items-baseline gap-3">
        {requestId === null ? (
          <span className="font-semibold">{subject}</span>
        ) : (
          <Link href={linkTo("/openings/requests", { request: requestId })} className="font-semibold hover:underline">
            {subject}
          </Link>
        )}
        <time dateTime={at} suppressHydrationWarning className="ml-auto text-side">
          {dateTimeText(at)}
        </time>
      </div>
      <div className="text-side">
        {by} to {to}
      </div>
      <p className="whitespace-pre-wrap">{text}</p>
    </li>
  );
}

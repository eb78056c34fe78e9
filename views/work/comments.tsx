"use client";
// The comments on a task, and the mentions in them: a name after an @ is offered as it is typed.
import { X } from "lucide-react";
import { type KeyboardEvent, useRef, useState } from "react";
import { usePlan } from "../../client/session.tsx";
import type { Comment } from "../../core/plan/schema.ts";
import { type MentionNames, mentionParts, mentionsIn } from "../../core/typing/mentions.ts";
import { Button, IconButton } from "../../ui/button.tsx";
import { TextArea } from "../../ui/field.tsx";
import { dateTimeText } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { momentOn } from "../../ui/momentOn.ts";
import { newId } from "../../ui/newId.ts";
import { SheetSection } from "../../ui/sheet.tsx";
import { takeOut } from "../../ui/takeOut.ts";
import { useTyped } from "../../ui/typed.ts";
import { useFrame, useNames, usePlanFacts } from "../scope/facts.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { texts } from "./words.ts";

const MOST_OFFERS = 5;

export function Comments({ taskId, comments }: { taskId: string; comments: readonly Comment[] }) {
  const session = usePlan();
  const names = useNames();
  return (
    <SheetSection title={texts.comments}>
      {comments.map((comment) => (
        <article key={comment.id} className="group line-below py-1.5">
          <header className="flex items-center gap-2 text-side">
            <span className="font-medium text-ink">{comment.author}</span>
            <time dateTime={comment.at} suppressHydrationWarning>
              {dateTimeText(comment.at)}
            </time>
            <IconButton
              label={`Delete the comment of ${comment.author}`}
              onClick={() => void session.edit({ kind: "deleteComment", id: comment.id })}
              className="ml-auto size-6!"
            >
              <X size={12} />
            </IconButton>
          </header>
          <p className="whitespace-pre-wrap break-words">
            <CommentText text={comment.text} names={names} />
          </p>
        </article>
      ))}
      <NewComment taskId={taskId} names={names} />
    </SheetSection>
  );
}

/** A comment's text; who is called upon leads to their page. */
export function CommentText({ text, names }: { text: string; names: MentionNames }) {
  const linkTo = useLinkTo();
  return mentionParts(text, names).map((part, at) => {
    const key = `${String(at)} ${part.text}`;
    if (!part.subject) return <span key={key}>{part.text}</span>;
    const to = "personId" in part.subject ? `/people/person/${encodeURIComponent(part.subject.personId)}` : "/people/teams";
    return (
      <Link key={key} href={linkTo(to)} className="rounded-[3px] bg-pine-wash px-0.5 font-medium text-pine hover:underline">
        {part.text}
      </Link>
    );
  });
}

function NewComment({ taskId, names }: { taskId: string; names: MentionNames }) {
  const field = useRef<HTMLTextAreaElement>(null);
  const { text, write, offers, active, take, save, press } = useNewComment(taskId, names, () => field.current?.focus());
  return (
    <div className="pt-2">
      <TextArea
        ref={field}
        aria-label={texts.writeAComment}
        placeholder={texts.writeACommentMentionsPeople}
        value={text}
        onChange={(event) => write(event.target.value)}
        onKeyDown={press}
      />
      {offers.length > 0 && (
        <ul aria-label={texts.peopleAndTeamsToMention} className="rounded-card border border-line-2">
          {offers.map((name, at) => (
            <li key={name}>
              <button
                type="button"
                tabIndex={-1}
                onClick={() => take(name)}
                className={`w-full px-2 py-1 press ${at === active ? "bg-pine-wash text-pine" : ""}`}
              >
                {name}
              </button>
            </li>
          ))}
        </ul>
      )}
      <div className="flex items-center gap-2 pt-1">
        <Button onClick={() => void save()} disabled={text.trim() === ""}>
          {texts.comment}
        </Button>
        <span className="text-side">{texts.orCtrlEnter}</span>
      </div>
    </div>
  );
}

/** The typed comment, the names that it may become after an @, and the keys that choose among those. */
function useNewComment(taskId: string, names: MentionNames, focus: () => void) {
  const session = usePlan();
  const { user } = useFrame();
  const { today } = usePlanFacts();
  const [text, setText] = useTyped(`comments ${taskId}`);
  const [active, setActive] = useState(0);
  const typed = /(?:^|[^\p{L}\p{N}])@([\p{L}\p{N} .'-]{0,40})$/u.exec(text)?.[1] ?? null;
  const offers = typed === null ? [] : offersFor(typed, names);
  const write = (next: string) => {
    setText(() => next);
    setActive(0);
  };
  const take = (name: string) => {
    write(`${text.slice(0, text.length - (typed?.length ?? 0))}${name} `);
    focus();
  };
  const save = async () => {
    const said = text.trim();
    if (said === "") return;
    const mentions = mentionsIn(said, names);
    const comment = { id: newId("comment"), taskId, author: user.name, at: momentOn(today), text: said };
    const edit = { kind: "addComment" as const, comment: { ...comment, ...(mentions.length > 0 && { mentions }) } };
    await takeOut(text, setText, async () => (await session.edit(edit)).length === 0);
  };
  const press = (event: KeyboardEvent) => {
    if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) void save();
    else if (offers.length === 0) return;
    else if (event.key === "ArrowDown") setActive((active + 1) % offers.length);
    else if (event.key === "ArrowUp") setActive((active + offers.length - 1) % offers.length);
    else if (event.key === "Enter" || event.key === "Tab") take(offers[active]);
    else return;
    event.preventDefault();
  };
  return { text, write, offers, active, take, save, press };
}

/** Names that what is typed after an @ may become; none once it is a whole name. */
function offersFor(typed: string, { people, teams }: MentionNames): string[] {
  const all = [...people, ...teams].map(({ name }) => name);
  const begun = typed.toLowerCase();
  if (all.some((name) => begun.startsWith(name.toLowerCase()))) return [];
  return all
    .filter(
      (name) =>
        name
          .toLowerCase()
          .split(" ")
          .some((word) => word.startsWith(begun)) || name.toLowerCase().startsWith(begun),
    )
    .slice(0, MOST_OFFERS);
}

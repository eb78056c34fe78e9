"use client";
import type { CandidateRow, Candidates } from "../../core/answers/openings.ts";
import { Button } from "../../ui/button.tsx";
import { hoursText, longDay, moneyText, shareText, shortDay } from "../../ui/format.ts";
// Who could take an opening: ranked, with their room over its weeks; up to three side by side.
import Link from "../../ui/link.tsx";
import { useLinkTo } from "../frame/windowed.ts";
import { RoomStrip } from "./roomStrip.tsx";
import type { OpeningsHook } from "./useOpenings.ts";

const columns =
  "grid grid-cols-[28px_minmax(120px,1.2fr)_58px_minmax(90px,1fr)_50px_92px_64px_78px] items-center gap-x-2 @max-[640px]:grid-cols-[24px_minmax(110px,1.2fr)_52px_minmax(80px,1fr)_44px_78px]";
/** What gives way where the sheet leaves little room; the comparison has it too. */
const wide = "@max-[640px]:hidden";

export function CandidatePanel({ candidates, hook }: { candidates: Candidates; hook: OpeningsHook }) {
  const { opening, fitting, near, margin, currency } = candidates;
  const beside = [...fitting, ...near].filter(({ personId }) => hook.view.beside.includes(personId));
  const linkTo = useLinkTo();
  return (
    <section
      aria-label={`Candidates for ${opening.taskName}`}
      className="@container flex min-h-0 flex-col overflow-hidden rounded-t-card border border-line border-b-0 bg-sheet"
    >
      <header className="border-line border-b px-4 py-2.5">
        <div className="flex items-baseline gap-3">
          <h2 className="font-title text-[19px]">
            <Link href={linkTo(`/work/${encodeURIComponent(opening.projectId)}`, { task: opening.taskId })} className="hover:underline">
              {opening.taskName}
            </Link>
          </h2>
          <span className="text-ink-2">{opening.projectName}</span>
          {margin !== null && <span className="ml-auto text-[13px] text-ink-2">project margin {marginText(margin)}</span>}
        </div>
        <p className="text-[13px] text-ink-2">
          {[
            opening.roleName,
            ...opening.skills.map(({ name, level }) => `${name} at level ${level}`),
            `${hoursText(opening.minutes)} h`,
            opening.dates ? `${shortDay(opening.dates.start)} – ${longDay(opening.dates.finish)}` : "no dates yet",
          ].join(" · ")}
        </p>
      </header>
      <div className="min-h-0 flex-1 overflow-y-auto">
        {beside.length >= 2 && <Compare candidates={candidates} people={beside} hook={hook} />}
        {fitting.length === 0 && (
          <p className="px-4 py-3 text-ink-2">
            Nobody has the role and every skill at its level. Those who come near stand below, with what they miss.
          </p>
        )}
        {fitting.length > 0 && <Head currency={currency} />}
        {fitting.map((person) => (
          <Row key={person.personId} person={person} candidates={candidates} hook={hook} />
        ))}
        {near.length > 0 && (
          <>
            <h3 className="border-line border-b bg-paper px-4 py-1 font-title text-[15px] italic">Miss something</h3>
            {fitting.length === 0 && <Head currency={currency} />}
            {near.map((person) => (
              <Row key={person.personId} person={person} candidates={candidates} hook={hook} />
            ))}
          </>
        )}
      </div>
    </section>
  );
}

function Head({ currency }: { currency: string }) {
  return (
    <div className={`${columns} border-line border-b px-3 py-1.5 text-[12.5px] text-ink-2`}>
      <span title="Tick two or three to see them side by side" className="sr-only">
        Side by side
      </span>
      <span className="col-start-2">Who</span>
      <span className="text-right" title="How much of it fits their room, day by day">
        Covers
      </span>
      <span>Room by week</span>
      <span className="text-right" title="How their skills meet what is asked for: level of 5">
        Fit
      </span>
      <span className={`text-right ${wide}`} title="Of what they cover">
        Cost, {currency}
      </span>
      <span className={`text-right ${wide}`} title="The project's margin if they did all of it">
        Margin
      </span>
      <span />
    </div>
  );
}

function Row({ person, candidates: { weeks, need }, hook }: { person: CandidateRow; candidates: Candidates; hook: OpeningsHook }) {
  const { personId, name, roleName, cover, fit, cost, marginAfter, isOnProject, missing, room } = person;
  return (
    <div data-candidate={personId} className={`${columns} border-line border-b px-3 py-1.5 hover:bg-well/60`}>
      <input
        type="checkbox"
        aria-label={`Put ${name} side by side`}
        className="justify-self-center accent-pine"
        checked={hook.view.beside.includes(personId)}
        onChange={() => hook.compare(personId)}
      />
      <span className="min-w-0 leading-tight">
        <span className="block truncate font-medium">{name}</span>
        <span className="block truncate text-[12.5px] text-ink-2">
          {missing.length > 0 ? (
            <span className="text-ochre-ink">{missing.map(missingText).join(", ")}</span>
          ) : (
            [roleName, isOnProject && "on this project"].filter(Boolean).join(" · ")
          )}
        </span>
      </span>
      <span className={`text-right font-semibold ${cover >= 10_000 ? "text-level-ink" : cover === 0 ? "text-over" : ""}`}>
        {shareText(cover)}
      </span>
      <RoomStrip name={name} weeks={weeks} need={need} room={room} />
      <span className="text-right">{shareText(fit)}</span>
      <span className={`text-right ${wide}`}>{moneyText(cost)}</span>
      <span className={`text-right text-ink-2 ${wide}`}>{marginAfter === null ? "–" : marginText(marginAfter)}</span>
      <Button onClick={() => hook.setView({ sheet: `give:${personId}` })} aria-label={`Give it to ${name}`}>
        Give…
      </Button>
    </div>
  );
}

/** To the tenth: one person seldom moves a whole project by a percent. */
const marginText = (hundredths: number): string => `${(hundredths / 100).toFixed(1)}%`;

export function missingText({ name, level, has }: CandidateRow["missing"][number]): string {
  if (level === null) return `not ${name.toLowerCase()}`;
  return has === 0 ? `no ${name}` : `${name} only at level ${has}`;
}

function Compare({
  candidates: { weeks, need, currency, margin },
  people,
  hook,
}: {
  candidates: Candidates;
  people: CandidateRow[];
  hook: OpeningsHook;
}) {
  const line = (says: string, of: (person: CandidateRow) => string) => (
    <tr>
      <th scope="row" className="py-1 pr-3 text-left font-normal text-ink-2">
        {says}
      </th>
      {people.map((person) => (
        <td key={person.personId} className="px-3 py-1 text-right">
          {of(person)}
        </td>
      ))}
    </tr>
  );
  return (
    <div className="border-line border-b bg-paper px-4 py-2.5">
      <table className="w-full text-[13px]">
        <caption className="sr-only">Side by side</caption>
        <thead>
          <tr>
            <td />
            {people.map(({ personId, name }) => (
              <th key={personId} scope="col" className="px-3 text-right font-semibold">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {line("Covers", ({ covered, cover }) => `${hoursText(covered)} h, ${shareText(cover)}`)}
          {line("Fit", ({ fit }) => shareText(fit))}
          {line(`Cost, ${currency}`, ({ cost }) => moneyText(cost))}
          {margin !== null && line("Margin after", ({ marginAfter }) => (marginAfter === null ? "–" : marginText(marginAfter)))}
          {line("On the project", ({ isOnProject }) => (isOnProject ? "yes" : "no"))}
          {line("Misses", ({ missing }) => (missing.length === 0 ? "nothing" : missing.map(missingText).join(", ")))}
          <tr>
            <th scope="row" className="text-left font-normal text-ink-2">
              Room by week
            </th>
            {people.map(({ personId, name, room }) => (
              <td key={personId} className="px-3 py-1">
                <RoomStrip name={name} weeks={weeks} need={need} room={room} />
              </td>
            ))}
          </tr>
        </tbody>
      </table>
      <div className="flex justify-end gap-2 pt-1">
        <Button onClick={() => hook.setView({ sheet: `give:${people[0].personId}` })}>
          Split between {people[0].name.split(" ")[0]} and {people[1].name.split(" ")[0]}…
        </Button>
        <Button look="quiet" onClick={() => hook.setView({ beside: null })}>
          Done comparing
        </Button>
      </div>
    </div>
  );
}

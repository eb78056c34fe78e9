"use client";
// The candidates for an opening: ranked, with their room over its weeks; up to three in comparison.
import type { Redacted } from "../../client/seen.ts";
import type { Candidates } from "../../core/answers/openings.ts";
import { hoursText, longDay, marginText, shortDay } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { useLinkTo } from "../scope/windowed.ts";
import { CandidateTable } from "./candidateTable.tsx";
import { Compare } from "./compare.tsx";
import type { OpeningsHook } from "./useOpenings.ts";
import { texts } from "./words.ts";

export function CandidatePanel({ candidates, hook }: { candidates: Redacted<Candidates>; hook: OpeningsHook }) {
  const { opening, fitting, near, margin } = candidates;
  const beside = [...fitting, ...near].filter(({ personId }) => hook.view.beside.includes(personId));
  const linkTo = useLinkTo();
  return (
    <section aria-label={`Redacted<Candidates> for ${opening.taskName}`} className="flex min-h-0 flex-col overflow-hidden box-open">
      <header className="line-below px-4 py-2.5">
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
      <div className="shrink-0">
        {beside.length >= 2 && <Compare candidates={candidates} people={beside} hook={hook} />}
        {fitting.length === 0 && <p className="px-4 py-3 text-ink-2">{texts.nobodyHasTheRole}</p>}
      </div>
      <CandidateTable candidates={candidates} hook={hook} />
    </section>
  );
}

"use client";
// The rail: the screens there are, in the order of the work.
import { usePathname } from "next/navigation";
import { useAnswer } from "../../client/session.tsx";
import Link from "../../ui/link.tsx";
import { useFrame } from "./facts.ts";
import { useLinkTo } from "./windowed.ts";

/** Screens that are reached from one of the rail; `sheet` opens what stands beside them. */
export const subScreens: readonly { name: string; path: string; says: string; sheet?: string }[] = [
  { name: "Free when?", path: "/openings", sheet: "free", says: "Who could take something, and from when" },
  { name: "Requests", path: "/openings/requests", says: "What leads ask for, and what has become of it" },
  { name: "Outbox", path: "/openings/outbox", says: "Messages that would have been sent" },
  { name: "Skills", path: "/people/skills", says: "Who can do what, and what is short" },
  { name: "Leave", path: "/people/leave", says: "Requests, and who is away together" },
  { name: "Teams", path: "/people/teams", says: "Who is in them, and what is free" },
  { name: "Calendars", path: "/people/calendars", says: "Weeks, public holidays, short days" },
  { name: "Cash flow", path: "/money/cash-flow", says: "What is spent when, and the running total" },
  { name: "Margin", path: "/money/margin", says: "What projects bring in, cost and leave, and what would lift it" },
  { name: "Expenses", path: "/money/expenses", says: "What is bought for projects, planned, committed and paid" },
  { name: "Material needs", path: "/money/materials", says: "What to order of each material, and by when" },
  { name: "Roles", path: "/settings/roles", says: "What people work as" },
  { name: "Clients", path: "/settings/clients", says: "Whom projects are for" },
  { name: "Categories", path: "/settings/categories", says: "What kinds of projects there are" },
  { name: "Places", path: "/settings/places", says: "Where people work" },
  { name: "Materials", path: "/settings/materials", says: "What is used up, and its units" },
  { name: "Rate tables", path: "/settings/rate-tables", says: "Tables of what hours cost and are billed at" },
  { name: "Changes", path: "/changes", says: "What was changed, by whom and when" },
  { name: "Import and export", path: "/people/import", says: "People, leave and holidays as files" },
];

export const screens = [
  { group: "See", name: "Today", path: "/today", says: "What wants attention, worst first" },
  { group: "See", name: "Balance", path: "/balance", says: "Who is over capacity, who has room" },
  { group: "See", name: "Horizon", path: "/horizon", says: "Capacity against demand by role, and what may come" },
  { group: "See", name: "Sketches", path: "/sketches", says: "Changes tried out on top of the plan, compared and adopted" },
  { group: "Plan", name: "Enquiries", path: "/enquiries", says: "Work that is asked for, and what it would do" },
  { group: "Plan", name: "Work", path: "/work", says: "Projects and their tasks" },
  { group: "Plan", name: "Openings", path: "/openings", says: "Unassigned work, and who could take it" },
  { group: "Plan", name: "People", path: "/people", says: "The roster" },
  { group: "Settle", name: "Rates", path: "/rates", says: "What an hour costs" },
  { group: "Settle", name: "Money", path: "/money", says: "What the plan costs and earns" },
  { group: "Settle", name: "Settings", path: "/settings", says: "The plan, and the lists it is kept in order by" },
] as const;

interface Waiting {
  count: number;
  says: string;
}

/** How much waits for an answer on a screen, where anything does. */
function WaitingCount({ count = 0, says }: Partial<Waiting>) {
  if (count === 0) return null;
  return (
    <span className="ml-auto font-semibold text-small text-over" title={`${count} ${says}`}>
      <span aria-hidden>{count}</span>
      <span className="sr-only">
        , {count} {says}
      </span>
    </span>
  );
}

export function Rail() {
  const here = usePathname();
  const linkTo = useLinkTo();
  const { requests, asked, enquiries } = useAnswer("frame", {}, useFrame().frame);
  const waiting: Partial<Record<string, Waiting>> = {
    "/openings": { count: asked, says: asked === 1 ? "request for people waits" : "requests for people wait" },
    "/enquiries": { count: enquiries, says: enquiries === 1 ? "enquiry waits" : "enquiries wait" },
    "/people": { count: requests, says: requests === 1 ? "request for time off waits" : "requests for time off wait" },
  };
  return (
    <nav aria-label="Screens" className="line-right bg-paper py-4">
      {[...new Set(screens.map(({ group }) => group))].map((group) => (
        <div key={group} className="mb-3">
          <div className="px-4 pb-1 font-title text-[13px] text-ink-2 italic">{group}</div>
          {screens
            .filter((screen) => screen.group === group)
            .map(({ name, path }) => {
              const isHere = here.startsWith(path);
              return (
                <Link
                  key={path}
                  href={linkTo(path)}
                  aria-current={isHere ? "page" : undefined}
                  className={`flex h-[30px] items-center border-l-[3px] pr-3 pl-[13px] ${isHere ? "border-pine bg-linear-to-r from-pine-wash to-transparent font-semibold text-pine" : "border-transparent text-ink hover:bg-well"}`}
                >
                  {name}
                  <WaitingCount {...waiting[path]} />
                </Link>
              );
            })}
        </div>
      ))}
    </nav>
  );
}

"use client";
// The rail: the screens there are, in the order of the work.
import { usePathname } from "next/navigation";
import { useAnswer } from "../../client/session.tsx";
import Link from "../../ui/link.tsx";
import { useFrame } from "../scope/facts.ts";
import { useLinkTo } from "../scope/windowed.ts";

/** Screens that are reached from one of the rail; `sheet` opens what is next to them. */
export const subScreens: readonly { name: string; path: string; says: string; sheet?: string }[] = [
  { name: "Availability", path: "/openings", sheet: "free", says: "Who has room, and from when" },
  { name: "Requests", path: "/openings/requests", says: "Requests from leads and their answers" },
  { name: "Outbox", path: "/openings/outbox", says: "Messages about requests, enquiries and signals" },
  { name: "Skills", path: "/people/skills", says: "Skills by person, and shortages" },
  { name: "Leave", path: "/people/leave", says: "Leave requests, and who is away" },
  { name: "Teams", path: "/people/teams", says: "Members and availability" },
  { name: "Calendars", path: "/people/calendars", says: "Weeks, public holidays, short days" },
  { name: "Approval", path: "/week/approval", says: "Submitted hours, lines that need a look first" },
  { name: "Cash flow", path: "/money/cash-flow", says: "Spending by period, and the running total" },
  { name: "Margin", path: "/money/margin", says: "Revenue, cost and margin by project, and options to improve it" },
  { name: "Earned value", path: "/money/earned", says: "Baselines: what was promised against what is done and spent" },
  { name: "Planned and actual", path: "/money/actuals", says: "Promised, committed and spent cost, what remains, and effort" },
  { name: "Expenses", path: "/money/expenses", says: "Purchases for projects: planned, committed and paid" },
  { name: "Bookings", path: "/money/bookings", says: "Amounts that accounting has booked, and the expenses they pay for" },
  { name: "Material needs", path: "/money/materials", says: "Quantities to order of each material, and by when" },
  { name: "Roles", path: "/settings/roles", says: "The roles people work in" },
  { name: "Clients", path: "/settings/clients", says: "The clients of projects" },
  { name: "Categories", path: "/settings/categories", says: "Categories of projects" },
  { name: "Places", path: "/settings/places", says: "The places people work at" },
  { name: "Materials", path: "/settings/materials", says: "Materials and their units" },
  { name: "Rate tables", path: "/settings/rate-tables", says: "Cost and billing rates" },
  { name: "Changes", path: "/changes", says: "Every change, with author and time" },
  { name: "Import and export", path: "/people/import", says: "People, leave and holidays as files" },
];

export const screens = [
  { group: "See", name: "Today", path: "/today", says: "Signals that need attention, most urgent first" },
  { group: "See", name: "Balance", path: "/balance", says: "Who is over capacity, who has room" },
  { group: "See", name: "Horizon", path: "/horizon", says: "Capacity and demand by role, with the pipeline" },
  { group: "See", name: "Sketches", path: "/sketches", says: "Changes to try out, compare and adopt" },
  { group: "Plan", name: "Enquiries", path: "/enquiries", says: "Requested work and its effect on the plan" },
  { group: "Plan", name: "Work", path: "/work", says: "Projects and their tasks" },
  { group: "Plan", name: "Openings", path: "/openings", says: "Unassigned work and its candidates" },
  { group: "Plan", name: "People", path: "/people", says: "The roster" },
  { group: "Plan", name: "Week", path: "/week", says: "Hours worked, by person and week" },
  { group: "Settle", name: "Rates", path: "/rates", says: "Cost and billing rates per hour" },
  { group: "Settle", name: "Money", path: "/money", says: "Cost and revenue of the plan" },
  { group: "Settle", name: "Settings", path: "/settings", says: "Settings of the plan, and its lists" },
] as const;

interface Waiting {
  count: number;
  says: string;
}

/** The number of items waiting for an answer on a screen, if there are any. */
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

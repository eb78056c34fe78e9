// A project as one page of its own, to be printed or sent to a client: outline, dates and a chart; no hours and no money.
import Markdown from "react-markdown";
import type { Redacted } from "../../../client/seen.ts";
import type { Outline, OutlineTask } from "../../../core/answers/outline.ts";
import { type Day, dateOf, dayOfDate } from "../../../core/calendar/day.ts";
import type { Range } from "../../../core/calendar/periods.ts";
import { longDay, shortDay } from "../../../ui/format.ts";

export interface PageOptions {
  /** Notes of tasks are below their names. */
  hasNotes: boolean;
  hasProgress: boolean;
  hasPeople: boolean;
  /** The maker of the page, and its date. */
  studio: string;
  asOf: Day;
}

export function ProjectPage({ outline, options }: { outline: Redacted<Outline>; options: PageOptions }) {
  const range = rangeOf(outline);
  const months = monthsOf(range);
  return (
    <html lang="en">
      <body>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <title>{outline.project.name}</title>
        <style>{css}</style>
        <Head outline={outline} />
        <table>
          <thead>
            <tr>
              <th scope="col">Task</th>
              {options.hasPeople && <th scope="col">Who</th>}
              <th scope="col">Dates</th>
              {options.hasProgress && <th scope="col">Done</th>}
              <th scope="col" className="chart">
                {months.map(({ start, name }) => (
                  <span key={start} style={{ left: `${share(start, range)}%` }}>
                    {name}
                  </span>
                ))}
              </th>
            </tr>
          </thead>
          <tbody>
            {outline.tasks.map((entry) => (
              <Row key={entry.task.id} entry={entry} range={range} months={months} options={options} />
            ))}
          </tbody>
        </table>
        <footer>
          {options.studio} · as of {longDay(options.asOf)}
        </footer>
      </body>
    </html>
  );
}

function Head({ outline }: { outline: Redacted<Outline> }) {
  const { project, clientName, leadName, start, finish } = outline;
  const facts = [clientName, `${longDay(start)} – ${longDay(finish)}`, leadName && `led by ${leadName}`];
  return (
    <header>
      <h1>{project.name}</h1>
      <p>{facts.filter(Boolean).join(" · ")}</p>
      {project.description && <Markdown>{project.description}</Markdown>}
    </header>
  );
}

interface RowProps {
  entry: Redacted<OutlineTask>;
  range: Range;
  months: readonly { start: Day }[];
  options: PageOptions;
}

function Row({ entry, range, months, options }: RowProps) {
  const { task, depth, isSummary, dates, progress, work } = entry;
  const who = work.flatMap(({ kind, name }) => (kind === "person" || kind === "team" ? [name] : [])).join(", ");
  return (
    <tr className={isSummary ? "summary" : undefined}>
      <th scope="row" style={{ paddingLeft: 8 + depth * 16 }}>
        {task.name}
        {options.hasNotes && task.notes && (
          <div className="notes">
            <Markdown>{task.notes}</Markdown>
          </div>
        )}
      </th>
      {options.hasPeople && <td>{who}</td>}
      <td className="dates">
        {!dates
          ? "no dates yet"
          : dates.start === dates.finish
            ? shortDay(dates.start)
            : `${shortDay(dates.start)} – ${shortDay(dates.finish)}`}
      </td>
      {options.hasProgress && <td className="figure">{progress > 0 ? `${progress}%` : ""}</td>}
      <td className="chart">
        {months.map(({ start }) => (
          <i key={start} style={{ left: `${share(start, range)}%` }} />
        ))}
        {dates && <Bar entry={entry} dates={dates} range={range} hasProgress={options.hasProgress} />}
      </td>
    </tr>
  );
}

interface BarProps {
  entry: Redacted<OutlineTask>;
  dates: NonNullable<Redacted<OutlineTask>["dates"]>;
  range: Range;
  hasProgress: boolean;
}

function Bar({ entry: { isSummary, isMilestone, progress }, dates, range, hasProgress }: BarProps) {
  const left = share(dates.start, range);
  const width = share(dates.finish + 1, range) - left;
  if (isMilestone) return <b className="milestone" style={{ left: `${left}%` }} />;
  return (
    <b style={{ left: `${left}%`, width: `${width}%` }}>
      {hasProgress && progress > 0 && !isSummary && <u style={{ width: `${progress}%` }} />}
    </b>
  );
}

function rangeOf({ tasks, start, finish }: Redacted<Outline>): Range {
  const dated = tasks.flatMap(({ dates }) => dates ?? []);
  const first = Math.min(start, ...dated.map((dates) => dates.start));
  const last = Math.max(finish, ...dated.map((dates) => dates.finish));
  return { start: first - 3, stop: last + 4 };
}

/** The months that begin in a range; the range's own beginning comes first. */
function monthsOf(range: Range): { start: Day; name: string }[] {
  const months: { start: Day; name: string }[] = [];
  const { year, month } = dateOf(range.start);
  for (let at = 0; ; at++) {
    const start = dayOfDate(year, month + at, 1);
    if (start >= range.stop) return months;
    // A month of which only the last days show has no room for its name.
    const isShort = at === 0 && dayOfDate(year, month + 1, 1) - range.start < 12;
    months.push({ start: Math.max(start, range.start), name: isShort ? "" : shortDay(start).replace(/^\d+ /, "") });
  }
}

function share(day: Day, { start, stop }: Range): number {
  return Math.round(((day - start) / (stop - start)) * 10_000) / 100;
}

const css = `
:root{color-scheme:light}
body{margin:32px auto;max-width:1100px;padding:0 24px;font:14px/1.45 Georgia,"Times New Roman",serif;color:#1f2b2a;background:#fff}
h1{font-size:28px;font-weight:400;margin:0}
header p{margin:4px 0 12px;color:#55625f}
table{width:100%;border-collapse:collapse;table-layout:auto}
th,td{padding:5px 8px;text-align:left;vertical-align:top;border-bottom:1px solid #dedace;font-weight:400}
thead th{color:#55625f;font-size:12.5px;border-bottom-color:#86908c}
.summary th{font-style:italic;font-size:15px}
.dates{white-space:nowrap}
.figure{text-align:right}
.notes{color:#55625f;font-size:13px;max-width:46ch}
.notes :is(p,ul,ol,h1,h2,h3){margin:3px 0;font-size:13px}
.chart{position:relative;width:44%;min-width:260px;overflow:hidden}
.chart span{position:absolute;font-size:12px}
.chart i{position:absolute;top:0;bottom:0;border-left:1px solid #ebe8df}
.chart b{position:absolute;top:8px;height:11px;background:#8fb3a8;border-radius:2px;min-width:3px;overflow:hidden}
.chart b u{display:block;height:100%;background:#1d5c53}
.summary .chart b{top:11px;height:4px;background:#1f2b2a}
.chart b.milestone{width:11px;height:13px;top:7px;border-radius:0;background:#1f2b2a;clip-path:polygon(0 0,100% 32%,16% 64%,16% 100%,0 100%)}
footer{margin-top:16px;color:#55625f;font-size:12.5px}
@media print{body{margin:0;max-width:none;padding:0}tr{break-inside:avoid}b,u{print-color-adjust:exact;-webkit-print-color-adjust:exact}}
@page{size:A4 landscape;margin:14mm}
`;

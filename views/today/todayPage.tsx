// Today as a page to print: what wants attention, group by group.

import type { Redacted } from "../../client/seen.ts";
import type { Today } from "../../core/answers/today.ts";
import { longDay } from "../../ui/format.ts";
import { PrintedPage } from "../../ui/printedPage.tsx";
import { detailOf, figureOf, groupWords, sentenceOf } from "./attentionWords.ts";
import { groupOf } from "./signalList.tsx";

export function TodayPage({ today, studio }: { today: Redacted<Today>; studio: string }) {
  const { signals } = today;
  // As on the screen: the group of the worst signal first.
  const groups = [...new Set(signals.map(groupOf))];
  return (
    <PrintedPage title="Today" side={`${studio}, ${longDay(today.today)}`} css={css}>
      {signals.length === 0 && <p>Nothing needs attention.</p>}
      {groups.map((group) => {
        const own = signals.filter((signal) => groupOf(signal) === group);
        return (
          <table key={group}>
            <thead>
              <tr>
                <th scope="col">{groupWords[group]}</th>
                <th scope="col" aria-label="Figure" />
              </tr>
            </thead>
            <tbody>
              {own.map((signal) => (
                <tr key={signal.key}>
                  <th scope="row">
                    {sentenceOf(signal)} <small>{detailOf(signal)}</small>
                  </th>
                  <td>{figureOf(signal)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        );
      })}
    </PrintedPage>
  );
}

const css = "table{margin-bottom:14px}th[scope=row]{white-space:normal}small{color:#55625f}";

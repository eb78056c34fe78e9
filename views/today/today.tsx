"use client";
// Today: what wants attention, worst first, each with its figure and one step to what can be done; next to it the weeks ahead.
import { parseAsString, useQueryState } from "nuqs";
import { useState } from "react";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import { useAnswer } from "../../client/session.tsx";
import { Button } from "../../ui/button.tsx";
import { closed } from "../../ui/closed.ts";
import { countText, shareText } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { pageText, printPage } from "../../ui/savePage.tsx";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { useFrame, usePlanFacts } from "../scope/facts.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { HandSheet } from "./handSheet.tsx";
import { KindsSheet } from "./kindsSheet.tsx";
import { SignalList } from "./signalList.tsx";
import { SnoozedSheet } from "./snoozedSheet.tsx";
import { SnoozeSheet } from "./snoozeSheet.tsx";
import { WeeksAhead } from "./weeksAhead.tsx";
import { texts } from "./words.ts";

export function Today({ initial }: { initial: Initial<AnswerOf<"today">> }) {
  const { clock, frame } = useFrame();
  const linkTo = useLinkTo();
  const { counts } = useAnswer("frame", {}, frame);
  const [isWhole, setWhole] = useState(false);
  const today = useAnswer("today", isWhole ? { clock, isWhole } : { clock }, initial);
  const { planName } = usePlanFacts();
  const print = async () => {
    const { TodayPage } = await import("./todayPage.tsx");
    printPage(await pageText(<TodayPage today={today} studio={planName} />));
  };
  const [sheet, setSheet] = useQueryState("sheet", parseAsString.withOptions({ shallow: true }));
  const { signals, snoozed } = today;
  const meant = meantBy(sheet ?? "", today);
  return (
    <Screen
      title={texts.today}
      figures={counts.people > 0 && <TodayFigures today={today} />}
      actions={
        <>
          {snoozed.length > 0 && <Button onClick={() => void setSheet("snoozed")}>{countText(snoozed.length, "signal")} snoozed</Button>}
          <Button onClick={() => void setSheet("kinds")}>{texts.chooseSignals}</Button>
          {signals.length > 0 && <Button onClick={() => void print()}>{texts.print}</Button>}
        </>
      }
      sheet={<TodaySheet sheet={sheet ?? ""} today={today} onClose={() => void setSheet(closed(sheet))} />}
    >
      <div className="today-parts">
        {counts.people === 0 ? (
          <Empty title={texts.startWithThePeople}>
            Overloads, unassigned work and late dates appear here once there are people and work.{" "}
            <Link className="text-link" href={linkTo("/people/import")}>
              {texts.pasteOrImportPeople}
            </Link>
            , or{" "}
            <Link className="text-link" href={linkTo("/people")}>
              {texts.addThemOneByOne}
            </Link>
            .
          </Empty>
        ) : signals.length === 0 ? (
          <Empty title={texts.nothingNeedsAttention}>{texts.nobodyIsOverCapacity}</Empty>
        ) : (
          <SignalList
            today={today}
            openKey={meant?.key ?? null}
            onSnooze={(key) => void setSheet(`snooze:${key}`)}
            onHand={(key) => void setSheet(`hand:${key}`)}
            onWhole={() => setWhole(true)}
          />
        )}
        {counts.people > 0 && <WeeksAhead weeks={today.weeks} />}
      </div>
    </Screen>
  );
}

/** The signal that a sheet is about, as "snooze:" and its key say. */
const meantBy = (sheet: string, { signals }: AnswerOf<"today">) => signals.find(({ key }) => key === sheet.slice(sheet.indexOf(":") + 1));

interface SheetProps {
  sheet: string;
  today: AnswerOf<"today">;
  onClose: () => void;
}

function TodaySheet({ sheet, today, onClose }: SheetProps) {
  const meant = meantBy(sheet, today);
  switch (sheet.split(":")[0]) {
    case "kinds":
      return <KindsSheet onClose={onClose} />;
    case "snoozed":
      return <SnoozedSheet snoozed={today.snoozed} onClose={onClose} />;
    case "snooze":
      return meant ? <SnoozeSheet key={meant.key} signal={meant} today={today.today} onClose={onClose} /> : null;
    case "hand":
      return meant ? <HandSheet key={meant.key} signal={meant} onClose={onClose} /> : null;
    default:
      return null;
  }
}

function TodayFigures({ today: { assigned, used } }: Pick<SheetProps, "today">) {
  return (
    <>
      <Figure value={shareText(assigned.now)} says={`of this week’s work assigned, ${beforeText(assigned.before)}`} />
      <Figure value={shareText(used.now)} says={`of capacity used, ${beforeText(used.before)}`} />
    </>
  );
}

const beforeText = (before: number | null): string => `${shareText(before)} last week`;

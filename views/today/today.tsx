"use client";
// Today: what wants attention, worst first, each with its figure and one step to what can be done; beside it the weeks ahead.
import { parseAsString, useQueryState } from "nuqs";
import type { AnswerOf } from "../../client/questions.ts";
import { type Initial, useAnswer } from "../../client/session.tsx";
import { Button } from "../../ui/button.tsx";
import { closed } from "../../ui/closed.ts";
import { countText, shareText } from "../../ui/format.ts";
import { useFrame } from "../frame/facts.ts";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { HandSheet } from "./handSheet.tsx";
import { KindsSheet } from "./kindsSheet.tsx";
import { SignalList } from "./signalList.tsx";
import { SnoozedSheet } from "./snoozedSheet.tsx";
import { SnoozeSheet } from "./snoozeSheet.tsx";
import { WeeksAhead } from "./weeksAhead.tsx";

export function Today({ initial }: { initial: Initial<AnswerOf<"today">> }) {
  const { clock, frame } = useFrame();
  const { counts } = useAnswer("frame", {}, frame);
  const today = useAnswer("today", { clock }, initial);
  const [sheet, setSheet] = useQueryState("sheet", parseAsString.withOptions({ shallow: true }));
  const { signals, snoozed, assigned, used } = today;
  const close = () => void setSheet(closed(sheet));
  const [what, ...rest] = (sheet ?? "").split(":");
  const meant = signals.find(({ key }) => key === rest.join(":"));
  return (
    <Screen
      title="Today"
      figures={
        <>
          <Figure value={shareText(assigned.now)} says={`of this week’s work assigned, ${beforeText(assigned.before)}`} />
          <Figure value={shareText(used.now)} says={`of capacity used, ${beforeText(used.before)}`} />
        </>
      }
      actions={
        <>
          {snoozed.length > 0 && <Button onClick={() => void setSheet("snoozed")}>{countText(snoozed.length, "signal")} snoozed</Button>}
          <Button onClick={() => void setSheet("kinds")}>Choose signals</Button>
        </>
      }
      sheet={
        what === "kinds" ? (
          <KindsSheet onClose={close} />
        ) : what === "snoozed" ? (
          <SnoozedSheet snoozed={snoozed} onClose={close} />
        ) : what === "snooze" && meant ? (
          <SnoozeSheet key={meant.key} signal={meant} today={today.today} onClose={close} />
        ) : what === "hand" && meant ? (
          <HandSheet key={meant.key} signal={meant} onClose={close} />
        ) : null
      }
    >
      <div className="today-parts">
        {counts.people === 0 ? (
          <Empty title="Nobody is on the roster yet">
            What wants attention stands here once there are people and work. <i>First steps</i> in the menu <i>Plan</i> lead there.
          </Empty>
        ) : signals.length === 0 ? (
          <Empty title="Nothing wants attention">
            Nobody is over in the next four weeks, all work has somebody, an estimate and dates, and every date holds.
          </Empty>
        ) : (
          <SignalList
            today={today}
            openKey={meant?.key ?? null}
            onSnooze={(key) => void setSheet(`snooze:${key}`)}
            onHand={(key) => void setSheet(`hand:${key}`)}
          />
        )}
        <WeeksAhead weeks={today.weeks} />
      </div>
    </Screen>
  );
}

const beforeText = (before: number | null): string => `${shareText(before)} last week`;

"use client";
// When a pipeline project could start: the first week that fits, what keeps it from an earlier one, and the curve.
import { useState } from "react";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { EarliestAnswer } from "../../core/answers/earliest.ts";
import type { Counting } from "../../core/load/counting.ts";
import { readAmount } from "../../ui/amount.ts";
import { TextButton } from "../../ui/button.tsx";
import { DraftInput } from "../../ui/draftInput.tsx";
import { hoursText, longDay, rangeText, shortDay } from "../../ui/format.ts";
import { Unfold } from "../../ui/unfold.tsx";
import { PipelineChoice } from "../periods/pipelineChoice.tsx";
import { usePlanFacts } from "../scope/facts.ts";
import { BringForward } from "./bringForward.tsx";
import { texts } from "./words.ts";

const HEIGHT = 44;

interface Props {
  projectId: string;
  name: string;
  /** The start that is recorded for it. */
  begins: number;
  /** Shows it as if it began so many days later than written. */
  onShow: (days: number) => void;
}

export function EarliestStart(props: Props) {
  return (
    <Unfold title={texts.whenCouldItStart} look="action">
      <Curve {...props} />
    </Unfold>
  );
}

function Curve({ projectId, name, begins, onShow }: Props) {
  const { today } = usePlanFacts();
  const [tolerance, setTolerance] = useState(0);
  const minutes = Math.round(tolerance * 60);
  const of = { projectId };
  const [pipeline, setPipeline] = useState<Counting["pipeline"]>("none");
  const earliest = useMaybeAnswer("earliest", { of, from: today, tolerance: minutes, pipeline }, null);
  return (
    <div>
      <RoomBeside pipeline={pipeline} onChange={setPipeline} />
      <div className="flex items-center gap-2">
        <span>{texts.acceptedShortageHours}</span>
        <DraftInput
          value={tolerance}
          write={String}
          read={(text) => readAmount(text, 0, 1e6)}
          onSave={setTolerance}
          says={texts.n0HoursOrMore}
          aria-label={`Accepted shortage, hours, ${name}`}
          width={64}
          isSmall
          isFigure
        />
      </div>
      {earliest === null ? (
        <p className="pt-1 text-side">{texts.checkingEveryWeek}</p>
      ) : (
        <>
          <StartCurve earliest={earliest} begins={begins} onShow={onShow} />
          <BringForward of={of} tolerance={minutes} pipeline={pipeline} first={earliest.first} />
        </>
      )}
    </div>
  );
}

/** The other work that the room is calculated next to. */
export function RoomBeside({ pipeline, onChange }: { pipeline: Counting["pipeline"]; onChange: (next: Counting["pipeline"]) => void }) {
  return (
    <div className="flex items-center gap-2 pb-1.5">
      <span>{texts.besidesApprovedWork}</span>
      <PipelineChoice value={pipeline} onChange={onChange} />
    </div>
  );
}

/** The first week that fits, the role that prevents an earlier one, and the shortage of each week. */
export function StartCurve({
  earliest: { weeks, first, binds },
  begins,
  onShow,
}: {
  earliest: EarliestAnswer;
  begins: number;
  onShow: (days: number) => void;
}) {
  return (
    <>
      <p className="pt-1">
        {first ? (
          <>
            In the week of <span className="font-semibold">{longDay(first.start)}</span>, done by {longDay(first.finish)}.{" "}
            {first.start !== begins && <TextButton onClick={() => onShow(first.start - begins)}>{texts.showItInThatWeek}</TextButton>}
          </>
        ) : (
          "Not possible in any week of the plan."
        )}
      </p>
      {binds && (
        <p className="text-side">
          {first ? "Not earlier: " : "Largest shortage: "}
          {binds.roleName} would be short by {hoursText(binds.minutes)} h in the week of {rangeText(binds.week)}.
        </p>
      )}
      <Bars weeks={weeks} firstStart={first?.start ?? null} />
    </>
  );
}

/** The shortage by start week. */
function Bars({ weeks, firstStart }: { weeks: EarliestAnswer["weeks"]; firstStart: number | null }) {
  const most = Math.max(1, ...weeks.map(({ shortage }) => shortage));
  return (
    <span role="img" aria-label={texts.hoursShortByStartWeek} className="mt-1 flex items-end gap-px" style={{ height: HEIGHT + 2 }}>
      {weeks.map(({ start, shortage }) => (
        <span
          key={start}
          title={`week of ${shortDay(start)}: ${hoursText(shortage)} h short`}
          className={`min-w-px flex-1 ${start === firstStart ? "bg-pine" : shortage > 0 ? "sign-over" : "bg-room"}`}
          style={{ height: Math.max(2, Math.round((shortage / most) * HEIGHT)) }}
        />
      ))}
    </span>
  );
}

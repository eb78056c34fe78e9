"use client";
// The options that let a project or an enquiry start earlier, each tried over every week.
import type { AnswerOf } from "../../client/questions.ts";
import { useMaybeAnswer, usePlan } from "../../client/session.tsx";
import type { EarliestWeek, StartOf } from "../../core/answers/earliest.ts";
import type { Counting } from "../../core/load/counting.ts";
import { TextButton } from "../../ui/button.tsx";
import { countText, longDay } from "../../ui/format.ts";
import { newId } from "../../ui/newId.ts";
import { Unfold } from "../../ui/unfold.tsx";
import { usePlanFacts } from "../scope/facts.ts";
import { useTry } from "../scope/useTry.ts";
import { helpText } from "./helpText.ts";
import { texts } from "./words.ts";

interface Props {
  of: StartOf;
  /** Accepted shortage in minutes. */
  tolerance: number;
  /** The counting of pipeline projects against the room. */
  pipeline: Counting["pipeline"];
  /** When it fits as things are; null for in no week. */
  first: EarliestWeek | null;
}

export function BringForward(props: Props) {
  return (
    <Unfold title={texts.howCouldItStartEarlier} look="action">
      <Ways {...props} />
    </Unfold>
  );
}

function Ways({ of, tolerance, pipeline, first }: Props) {
  const { today } = usePlanFacts();
  const ways = useMaybeAnswer("sooner", { of, from: today, tolerance, pipeline }, null);
  if (!ways) return <p className="text-side">{texts.lookingForOptions}</p>;
  if (ways.length === 0) return <p className="text-side">{texts.noOptionsNoRolePrevents}</p>;
  return (
    <ul aria-label={texts.optionsToStartEarlier}>
      {ways.map((way) => (
        <WayLine key={JSON.stringify(way)} way={way} of={of} tolerance={tolerance} pipeline={pipeline} first={first} />
      ))}
    </ul>
  );
}

type Way = AnswerOf<"sooner">[number];

function WayLine({ way: { name, what, ...way }, of, tolerance, pipeline, first }: Props & { way: Way }) {
  const session = usePlan();
  const tryIt = useTry();
  const { today } = usePlanFacts();
  const found = useMaybeAnswer("startWith", { of, way, from: today, tolerance, pipeline }, null);
  const words = helpText({ ...way, name, what }, way.target);
  const draw = async () => {
    const edit = await session.ask("helpEdit", { ...way.target, help: way.help, idStem: newId("person"), words });
    if (edit) await tryIt(edit, words);
  };
  return (
    <li className="line-above py-1.5 first:border-t-0">
      <p>{words}</p>
      <p>
        <span className="text-side">{found ? outcomeText(found.first, first) : texts.checkingEveryWeek}</span>{" "}
        {found?.first && isSooner(found.first, first) && <TextButton onClick={() => void draw()}>{texts.tryItInASketch}</TextButton>}
      </p>
    </li>
  );
}

const isSooner = ({ start }: EarliestWeek, first: EarliestWeek | null): boolean => first === null || start < first.start;

function outcomeText(found: EarliestWeek | null, first: EarliestWeek | null): string {
  if (!found) return "Still not possible in any week of the plan.";
  if (!isSooner(found, first)) return "No earlier.";
  const week = `In the week of ${longDay(found.start)}`;
  return first ? `${week}, ${countText((first.start - found.start) / 7, "week")} earlier.` : `${week}.`;
}

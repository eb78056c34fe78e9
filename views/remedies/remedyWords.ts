// Remedies and what they result in, in words.
import type { RemedyProblem } from "../../client/searches.ts";
import type { Redacted } from "../../client/seen.ts";
import type { RemedyLine, RemedyStep } from "../../core/answers/remedyLines.ts";
import type { RemedyKind } from "../../core/balancing/kinds.ts";
import type { NamedEffect } from "../../core/balancing/namedEffect.ts";
import { TICKS_PER_DAY } from "../../core/calendar/workingLine.ts";
import type { Edit } from "../../core/edits/edit.ts";
import { isNegative } from "../../core/plan/moneySides.ts";
import { countText, hoursText, longDay, lowerFirst, marginText, pointsText, shortDay } from "../../ui/format.ts";
import { moneyPhrases } from "../effect/moneyChange.ts";

/** Each kind in a word or two, for filters and lists. */
export const kindWords: Record<RemedyKind, string> = {
  give: "Reassign",
  handOver: "Hand over the rest",
  share: "Share between two",
  delay: "Delay within the slack",
  postpone: "Delay past the slack",
  spread: "Spread over more days",
  lighten: "Fewer hours a day",
  overtime: "Overtime",
  timeOff: "Move leave",
  contractor: "Open to a contractor",
  accept: "Accept",
};

/** The description of a remedy, as one sentence without a full stop.
 * @param isFromNamed Whose the work is said too: elsewhere than next to their own cell it would not be known. */
export function remedyText({ steps }: Pick<Redacted<RemedyLine>, "steps">, isFromNamed = false): string {
  const from = ({ kind, donorName }: RemedyStep) =>
    isFromNamed && donorName !== null ? ` ${kind === "overtime" ? "for" : "from"} ${donorName}` : "";
  return steps.map((step, at) => (at === 0 ? stepText(step, from(step)) : lowerFirst(stepText(step, from(step))))).join("; and ");
}

/** A remedy as one edit and one undo. */
export function remedyEdit(line: Redacted<RemedyLine>): Edit {
  return { kind: "together", words: lowerFirst(remedyText(line)).slice(0, 300), edits: line.edits };
}

function stepText(step: RemedyStep, donor: string): string {
  const task = step.taskName ?? "";
  const { recipientName, from, to, days, before, after, unit } = step;
  switch (step.kind) {
    case "give":
      return step.isOpening ? `Assign ${task} (unassigned) to ${recipientName}` : `Reassign ${task}${donor} to ${recipientName}`;
    case "handOver":
      return `Hand over ${task}${donor} to ${recipientName}, ${day(from)} on`;
    case "share":
      return `Share ${task}${donor} with ${recipientName}${amount(step)}`;
    case "delay":
    case "postpone":
      if (days !== null && days < 0) return `Remove the delay of ${countText(-days, "working day")} from ${task}`;
      if (days !== null) return `Delay ${task} by ${countText(days, "working day")}`;
      return step.kind === "delay" && to === null && from !== null ? `Start ${task} on ${day(from)}` : `Move ${task} to ${day(from)}`;
    case "spread":
      return unit === "days"
        ? `Take ${countText(after ?? 0, "working day")} for ${task}, not ${before}`
        : `Extend ${task} until ${day(to)}`;
    case "lighten":
      return unit === "percent" ? `${after}% of the day on ${task}, not ${before}%` : `Fewer hours a day on ${task}, for longer`;
    case "overtime":
      return overtimeText(step, donor);
    case "timeOff":
      return leaveText(step);
    case "contractor":
      return `Open ${task} to a contractor${from === null ? "" : ` from ${day(from)}`}`;
    case "accept":
      return "Accept it for these days";
  }
}

function overtimeText({ from, to, days, after }: RemedyStep, person: string): string {
  const isWhole = from === null || to === null || days === to + 1 - from;
  const hours = isWhole ? `of ${after} h a day` : `of up to ${after} h on ${countText(days ?? 0, "day")}`;
  return `Overtime${person} ${hours}, ${span(from, to)}`;
}

function leaveText({ answer, from, to }: RemedyStep): string {
  if (answer === "approved") return "Approve the leave";
  if (answer === "requested") return `Suggest ${span(from, to)} instead`;
  return answer === "declined" ? `Decline the leave request, ${span(from, to)}` : `Move the leave to ${span(from, to)}`;
}

const day = (own: number | null): string => (own === null ? "" : shortDay(own));
const span = (from: number | null, to: number | null): string => (from === to ? day(from) : `${day(from)} – ${day(to)}`);

function amount({ before, after, unit }: RemedyStep): string {
  if (before === null || after === null) return "";
  return unit === "hours" ? `: ${hoursText(after * 60)} of ${hoursText(before * 60)} h` : `: ${after} of ${before}%`;
}

/** The texts shown if no option was found. */
export const nothingWords: Record<RemedyProblem["about"], string> = {
  overload: "No option reduces the overload. Accept it, or make the work itself smaller.",
  idle: "No suitable work: no opening for their role and skills falls on these days, and no overloaded person has work for them.",
  unplaced: "No option finds time for these hours.",
  leave: "No work conflicts with it.",
  margin: "Nobody who costs less has the role, the skills and the room for any of this work.",
  deadline: "No option brings the finish forward. Change the links, the scope or the deadline.",
};

/** The gain of a remedy in the measure of its problem: the figure, and the rest. */
export function gainOf(
  { effect, left, marginAfter = 0 }: Redacted<RemedyLine>,
  about: RemedyProblem["about"],
): { main: string; side: string } {
  const off = effect.peakOver < 0 ? `Reduces the overload by ${hoursText(-effect.peakOver)} h` : "Does not reduce the overload";
  switch (about) {
    case "overload":
      return { main: off, side: left === 0 ? ", removes it here" : `, ${hoursText(left)} h left here` };
    case "idle":
      return { main: effect.peakOver < 0 ? off : "", side: "" };
    case "leave":
      return { main: effect.peakOver <= 0 && effect.unplaced <= 0 ? "Creates no overload" : "", side: "" };
    case "unplaced":
      return { main: `${hoursText(-effect.unplaced)} h can be worked`, side: "" };
    case "margin":
      return { main: `Margin ${marginText(marginAfter)}`, side: left === 0 ? ", at its goal" : `, ${pointsText(left)} under its goal` };
    case "deadline": {
      const days = Math.round((10 * left) / TICKS_PER_DAY) / 10;
      return left === 0
        ? { main: "Keeps the deadline", side: "" }
        : { main: `Still missed by ${countText(days, "working day")}`, side: "" };
    }
  }
}

/** The further effects of a remedy, each a phrase; bad ones are marked. */
export function effectPhrases(
  effect: Redacted<NamedEffect>,
  currency: string,
  steps: readonly RemedyStep[] = [],
): { text: string; isBad: boolean }[] {
  const phrases: { text: string; isBad: boolean }[] = [];
  const unassigned = steps.reduce((sum, step) => sum + (step.unassigned ?? 0), 0);
  if (unassigned > 0) phrases.push({ text: `${hoursText(unassigned)} h become unassigned`, isBad: true });
  if (effect.grown > 0) {
    const [first, ...more] = effect.grows;
    const where = more.length === 0 ? `${first.name}, week of ${shortDay(first.week.start)}` : `${namesOf(effect.grows)}`;
    phrases.push({ text: `New overload: ${where}, ${hoursText(effect.grown)} h`, isBad: true });
  }
  for (const { name, days, finish } of effect.finishes.slice(0, 3))
    phrases.push({ text: `${name} finishes ${daysText(days)}, on ${longDay(finish)}`, isBad: days > 0 });
  if (effect.finishes.length > 3) phrases.push({ text: `and ${effect.finishes.length - 3} more finishes move`, isBad: true });
  if (effect.unplaced !== 0)
    phrases.push({
      text:
        effect.unplaced > 0
          ? `${hoursText(effect.unplaced)} h that cannot be worked`
          : `${hoursText(-effect.unplaced)} h can be worked again`,
      isBad: effect.unplaced > 0,
    });
  // The contractor's price is not known yet: less cost without it is no saving.
  if (unassigned > 0 && isNegative(effect.cost))
    return [...phrases, { text: "the contractor's price is not in the plan yet", isBad: false }];
  return [...phrases, ...moneyPhrases(effect, currency)];
}

function namesOf(grows: Redacted<NamedEffect>["grows"]): string {
  const names = [...new Set(grows.map(({ name }) => name))];
  return names.length === 1
    ? `${names[0]}, ${countText(grows.length, "week")}`
    : `${names.slice(0, 2).join(" and ")}${names.length > 2 ? ` and ${names.length - 2} more` : ""}`;
}

const daysText = (days: number): string => `${countText(Math.abs(days), "day")} ${days > 0 ? "later" : "earlier"}`;

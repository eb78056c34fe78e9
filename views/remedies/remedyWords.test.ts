// Remedies and signals as they are read: whole sentences, with every name and figure in its place.
import { expect, test } from "vitest";
import { remedyLine } from "../../core/answers/remedyLines.ts";
import { attentionOf } from "../../core/attention/attention.ts";
import { searchForDeadline } from "../../core/balancing/deadline.ts";
import { searchForIdle } from "../../core/balancing/idle.ts";
import { searchForLeave } from "../../core/balancing/leave.ts";
import { remediesOf, type Tried } from "../../core/balancing/remedies.ts";
import { searchForUnplaced } from "../../core/balancing/unplaced.ts";
import { parseDay } from "../../core/calendar/day.ts";
import { buildModel } from "../../core/model.ts";
import { fernhollow } from "../../demo/fernhollow.ts";
import { figureOf, sentenceOf, stepOf } from "../today/attentionWords.ts";
import { effectPhrases, gainOf, remedyEdit, remedyText } from "./remedyWords.ts";

const model = buildModel(fernhollow());
const today = parseDay("2027-02-01");
const february = { start: today, stop: today + 28 };
const options = { today, idStem: "new" };
const broken = /undefined|null|NaN|\bInvalid\b| {2}/;

const linesOf = (steps: Iterable<Tried>) => [...steps].flatMap((own) => (own ? [remedyLine(model, own)] : []));

test("every remedy says what it does, what it results in and what it is undone as, in whole words", () => {
  for (const [about, lines] of [
    ["overload", linesOf(remediesOf(model, { personId: "mara", range: february }, options))],
    ["overload", linesOf(remediesOf(model, { personId: "ines", range: february }, options))],
    ["idle", linesOf(searchForIdle(model, { personId: "rui", range: february }, options))],
    ["unplaced", linesOf(searchForUnplaced(model, "rockpools-yara", options))],
    ["deadline", linesOf(searchForDeadline(model, { taskId: "rivers-opening" }, options))],
    ["leave", linesOf(searchForLeave(model, { personId: "bo", timeOffId: "bo-1" }, options))],
  ] as const) {
    expect(lines.length, about).toBeGreaterThan(0);
    for (const line of lines) {
      const said = [
        remedyText(line),
        remedyText(line, true),
        gainOf(line, about).main,
        gainOf(line, about).side,
        ...effectPhrases(line.effect, "EUR").map(({ text }) => text),
      ];
      for (const text of said) expect(text, `${about} ${JSON.stringify(line.edits)}`).not.toMatch(broken);
      expect(remedyText(line)).toMatch(/^[A-Z0-9]/);
      const edit = remedyEdit(line);
      expect(edit.kind === "together" && edit.words).toMatch(/^[a-z0-9]/);
    }
  }
});

test("a remedy of each kind reads as the trade says it", () => {
  const lines = linesOf(remediesOf(model, { personId: "mara", range: february }, options));
  const first = (kind: string) => remedyText(lines.find((line) => line.kind === kind) ?? { steps: [] });
  expect(first("give")).toBe("Reassign Rock pool trial casts to Rui Monteverde");
  expect(first("handOver")).toBe("Hand over Rock pool trial casts to Rui Monteverde, 9 Feb on");
  expect(first("share")).toBe("Share Rock pool trial casts with Rui Monteverde: 45 of 60 h");
  expect(first("overtime")).toMatch(/^Overtime of [\d.]+ h a day, 9 Feb – \d+ \w+$/);
  expect(first("contractor")).toBe("Open Build to a contractor");
});

test("every signal of the demo plan is one sentence, and leads somewhere", () => {
  for (const signal of attentionOf(model, today)) {
    const sentence = sentenceOf(signal);
    expect(sentence, signal.key).toMatch(/^[A-Z0-9].*\.$/);
    expect(`${sentence} ${figureOf(signal)}`, signal.key).not.toMatch(broken);
    const { text, path, more } = stepOf(signal);
    expect(text).not.toBe("");
    expect(path).toMatch(/^\/[a-z]/);
    expect(Object.values(more).join(), signal.key).not.toMatch(broken);
  }
});

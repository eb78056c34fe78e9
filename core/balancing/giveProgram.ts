// Who should have which work, as a mixed-integer program in the LP text that solvers read: each piece stays or goes to one of
// those who may take it, and what is too much on any day of anybody is least. Of equal ones, fewest pieces move.
import type { Day } from "../calendar/day.ts";
import type { Solver } from "../staffing/program.ts";
import type { Move } from "./moves.ts";

/** A gift that the program may choose, by the assignment's id and the taker's. */
export interface Gift {
  assignmentId: string;
  personId: string;
}

export interface GiveProgram {
  text: string;
  /** Gifts by the name of their column. */
  gifts: ReadonlyMap<string, Gift>;
}

/** What the program is made of: every gift with what it changes of people's days, and their load and capacity as it is. */
export interface GiveScene {
  gifts: readonly { move: Move; gift: Gift }[];
  /** Minutes of a person on a day. */
  loadOn: (person: number, day: Day) => number;
  capacityOn: (person: number, day: Day) => number;
  /** True of the days that are to be level; others must not get worse. */
  isMeant: (day: Day) => boolean;
}

/** The program of a scene; null where there is nothing to choose. */
export function giveProgram({ gifts, loadOn, capacityOn, isMeant }: GiveScene): GiveProgram | null {
  if (gifts.length === 0) return null;
  const names = new Map<string, Gift>();
  const byRow = new Map<number, string[]>();
  const changes = new Map<string, { person: number; day: Day; terms: [number, string][] }>();
  gifts.forEach(({ move, gift }, at) => {
    const name = `x${at}`;
    names.set(name, gift);
    byRow.set(move.row, [...(byRow.get(move.row) ?? []), name]);
    for (const { person, parts } of move.parts)
      for (const { start, minutes, sign } of parts)
        minutes.forEach((own, i) => {
          if (own === 0) return;
          const key = `${person} ${start + i}`;
          const known = changes.get(key) ?? { person, day: start + i, terms: [] };
          known.terms.push([sign * own, name]);
          changes.set(key, known);
        });
  });
  const rules: string[] = [];
  const over: string[] = [];
  let number = 0;
  for (const { person, day, terms } of changes.values()) {
    const name = `o${number++}`;
    const room = capacityOn(person, day) - loadOn(person, day);
    rules.push(`${name} ${sumOf(terms.map(([factor, own]) => [-factor, own]))} >= ${-room}`);
    // Days outside the window weigh too, so that nothing is pushed onto them.
    over.push(isMeant(day) ? name : `0.5 ${name}`);
  }
  for (const own of byRow.values()) rules.push(`${own.join(" + ")} <= 1`);
  const few = 0.4 / names.size;
  const objective = [...over, ...[...names.keys()].map((name) => `${few.toFixed(8)} ${name}`)].join(" + ");
  const numbered = rules.map((rule, at) => `c${at}: ${rule}`).join("\n");
  return { text: `Minimize\nobj: ${objective}\nSubject To\n${numbered}\nBinary\n${[...names.keys()].join(" ")}\nEnd\n`, gifts: names };
}

/** The gifts that a solver chooses, and whether nothing better is possible; null where it finds none in time. */
export async function solvedGifts(
  program: GiveProgram,
  solve: Solver,
  seconds: number,
): Promise<{ gifts: Gift[]; isOptimal: boolean } | null> {
  const solved = await solve(program.text, seconds);
  if (!solved) return null;
  const gifts = [...program.gifts].flatMap(([name, gift]) => ((solved.values.get(name) ?? 0) > 0.5 ? [gift] : []));
  return { gifts, isOptimal: solved.isOptimal };
}

function sumOf(terms: readonly [number, string][]): string {
  return terms.map(([factor, name]) => `${factor < 0 ? "-" : "+"} ${Math.abs(factor)} ${name}`).join(" ");
}

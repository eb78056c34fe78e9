// The assignment of work as a mixed-integer program in the LP text that solvers read: each piece stays or goes to one of its
// candidates, and the total overload by day is minimal. Among equal solutions, the fewest pieces move.
import type { Day } from "../calendar/day.ts";
import type { Solver } from "../staffing/program.ts";
import type { Move } from "./moves.ts";

/** A transfer that the program may choose, by the ids of the assignment and the recipient. */
export interface Transfer {
  assignmentId: string;
  personId: string;
}

export interface TransferProgram {
  text: string;
  /** Transfers by the name of their column. */
  transfers: ReadonlyMap<string, Transfer>;
}

/** The input of the program: every possible reassignment with its change of people's days, and their current load and capacity. */
export interface TransferInput {
  transfers: readonly { move: Move; transfer: Transfer }[];
  /** Minutes of a person on a day. */
  loadOn: (person: number, day: Day) => number;
  capacityOn: (person: number, day: Day) => number;
  /** True of the days that are to be level; others must not get worse. */
  isMeant: (day: Day) => boolean;
}

/** The program of a scene; null where there is nothing to choose. */
export function transferProgram({ transfers, loadOn, capacityOn, isMeant }: TransferInput): TransferProgram | null {
  if (transfers.length === 0) return null;
  const names = new Map<string, Transfer>();
  const byRow = new Map<number, string[]>();
  const changes = new Map<string, { person: number; day: Day; terms: [number, string][] }>();
  transfers.forEach(({ move, transfer }, at) => {
    const name = `x${at}`;
    names.set(name, transfer);
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
  return { text: `Minimize\nobj: ${objective}\nSubject To\n${numbered}\nBinary\n${[...names.keys()].join(" ")}\nEnd\n`, transfers: names };
}

/** The transfers that a solver chooses, and whether they are proven optimal; null if it finds none in time. */
export async function solvedTransfers(
  program: TransferProgram,
  solve: Solver,
  seconds: number,
): Promise<{ transfers: Transfer[]; isOptimal: boolean } | null> {
  const solved = await solve(program.text, seconds);
  if (!solved) return null;
  const transfers = [...program.transfers].flatMap(([name, transfer]) => ((solved.values.get(name) ?? 0) > 0.5 ? [transfer] : []));
  return { transfers, isOptimal: solved.isOptimal };
}

function sumOf(terms: readonly [number, string][]): string {
  return terms.map(([factor, name]) => `${factor < 0 ? "-" : "+"} ${Math.abs(factor)} ${name}`).join(" ");
}

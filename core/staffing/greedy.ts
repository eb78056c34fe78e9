// A quick proposal: the openings with the fewest people first, each to the person who covers most of it.
import type { Problem, Transfer } from "./problem.ts";

/** Goes through the openings once; nobody gets more than their room of a week. */
export function quickProposal({ openings, options, room }: Problem): Transfer[] {
  const left = room.map((weeks) => weeks.slice());
  const byOpening = openings.map((): number[] => []);
  options.forEach(({ opening }, at) => {
    byOpening[opening].push(at);
  });
  const order = openings
    .map((_, opening) => opening)
    .sort((a, b) => byOpening[a].length - byOpening[b].length || openings[b].total - openings[a].total);
  const transfers: Transfer[] = [];
  for (const opening of order) {
    const { needs } = openings[opening];
    let best: { option: number; minutes: number[]; sum: number } | null = null;
    for (const option of byOpening[opening]) {
      const own = left[options[option].person];
      const minutes = needs.map(({ week, minutes: need }) => Math.min(need, own[week]));
      const sum = minutes.reduce((total, part) => total + part, 0);
      // Options are by cover, fit and cost, so the first of equal sums is the better one.
      if (sum > (best?.sum ?? 0)) best = { option, minutes, sum };
    }
    if (!best) continue;
    const own = left[options[best.option].person];
    needs.forEach(({ week }, at) => {
      own[week] -= best?.minutes[at] ?? 0;
    });
    transfers.push({ option: best.option, minutes: best.minutes });
  }
  return transfers;
}

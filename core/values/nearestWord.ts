// The most likely meaning of a mistyped word, by Levenshtein distance.
import { distance } from "fastest-levenshtein";

/** The one of some words that is at most two letters away from a word, the nearest first; null where none is. */
export function nearestWord(word: string, words: readonly string[]): string | null {
  let best: string | null = null;
  let least = 3;
  for (const other of words) {
    if (Math.abs(other.length - word.length) >= least) continue;
    const apart = distance(word, other);
    if (apart < least && apart < word.length) [best, least] = [other, apart];
  }
  return best;
}

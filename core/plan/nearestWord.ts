// The most likely meaning of a mistyped word.

/** The one of some words that is at most two letters away from a word, the nearest first; null where none is. */
export function nearestWord(word: string, words: readonly string[]): string | null {
  let best: string | null = null;
  let least = 3;
  for (const other of words) {
    if (Math.abs(other.length - word.length) >= least) continue;
    const apart = lettersApart(word, other);
    if (apart < least && apart < word.length) [best, least] = [other, apart];
  }
  return best;
}

// Levenshtein's distance, by rows.
function lettersApart(a: string, b: string): number {
  let above = Array.from({ length: b.length + 1 }, (_, at) => at);
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    for (let j = 1; j <= b.length; j++) row.push(Math.min(row[j - 1] + 1, above[j] + 1, above[j - 1] + (a[i - 1] === b[j - 1] ? 0 : 1)));
    above = row;
  }
  return above[b.length];
}

// The nesting depth of brackets in a JSON text, found before it is parsed: parsing costs memory level by level.

const [QUOTE, BACKSLASH, OPEN_LIST, CLOSE_LIST, OPEN_ROW, CLOSE_ROW] = [34, 92, 91, 93, 123, 125];

/** True where a text has more than `most` brackets within each other. Looks no further than the first such place. */
export function isNestedDeeper(text: string, most: number): boolean {
  let depth = 0;
  let isInside = false;
  for (let at = 0; at < text.length; at++) {
    const letter = text.charCodeAt(at);
    if (isInside) {
      if (letter === BACKSLASH) at++;
      else if (letter === QUOTE) isInside = false;
    } else if (letter === QUOTE) isInside = true;
    else if (letter === OPEN_LIST || letter === OPEN_ROW) {
      if (++depth > most) return true;
    } else if (letter === CLOSE_LIST || letter === CLOSE_ROW) depth--;
  }
  return false;
}

/** A JSON text as a value.
 * @throws {SyntaxError} where it is none, or nested deeper than `most`. */
export function parseJson(text: string, most: number): unknown {
  if (isNestedDeeper(text, most)) throw new SyntaxError(`brackets are nested more than ${most} deep`);
  return JSON.parse(text.charCodeAt(0) === 0xfeff ? text.slice(1) : text);
}

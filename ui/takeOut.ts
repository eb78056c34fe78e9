// A text that Enter takes out of its field at once, so that the next one can be typed while it is being used.
type SetText = (next: (now: string) => string) => void;

/** Empties a field and uses its text. A text that cannot be used comes back, unless something was typed since. */
export async function takeOut(text: string, setText: SetText, use: () => Promise<boolean>): Promise<void> {
  setText(() => "");
  if (!(await use())) setText((now) => (now === "" ? text : now));
}

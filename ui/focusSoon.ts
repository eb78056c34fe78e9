/** Puts the focus on an element: at once where it is drawn, so that keys pressed in a row all count; else with the next
 * frame, which draws what was scrolled to. */
export function focusSoon(id: string): void {
  const drawn = document.getElementById(id);
  if (drawn) drawn.focus();
  else requestAnimationFrame(() => document.getElementById(id)?.focus());
}

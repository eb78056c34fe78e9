/** The most frames until the element scrolled to is drawn. */
const MOST_FRAMES = 20;

let latest = 0;

/** Puts the focus on an element: at once where it is drawn, so that keys pressed in a row all count; else with the frame
 * that draws what was scrolled to, unless the focus has been sent elsewhere by then. */
export function focusSoon(id: string): void {
  const own = ++latest;
  const before = document.activeElement;
  const attempt = (frames: number) => {
    const drawn = document.getElementById(id);
    if (drawn) drawn.focus();
    else if (frames > 0)
      requestAnimationFrame(() => {
        // The focused element may have been scrolled out of the page: then the body has the focus.
        const now = document.activeElement;
        if (own === latest && (now === before || now === document.body)) attempt(frames - 1);
      });
  };
  attempt(MOST_FRAMES);
}

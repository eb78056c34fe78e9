// Scrolling while something is held at an edge, faster the nearer it is.

/** From how near on, in pixels, and how far in a frame at most. */
const [NEAR, FASTEST] = [44, 16];

/** Scrolls an element where a point is near one of its edges. @returns Whether it has scrolled. */
export function scrollAtEdge(view: HTMLElement, x: number, y: number): boolean {
  const { left, right, top, bottom } = view.getBoundingClientRect();
  if (x < left || x > right || y < top - NEAR || y > bottom + NEAR) return false;
  const before = { left: view.scrollLeft, top: view.scrollTop };
  view.scrollBy(speedAt(x, left, right), speedAt(y, top, bottom));
  return view.scrollLeft !== before.left || view.scrollTop !== before.top;
}

/** Pixels a frame: negative near the beginning, positive near the end, 0 in between. */
export function speedAt(at: number, start: number, end: number): number {
  const [before, after] = [at - start, end - at];
  const near = Math.min(before, after);
  if (near >= NEAR) return 0;
  const speed = Math.ceil((1 - Math.max(0, near) / NEAR) * FASTEST);
  return before < after ? -speed : speed;
}

"use client";
import { type RefObject, useLayoutEffect, useState } from "react";

interface Size {
  width: number;
  height: number;
}

/** Inside what fills a screen, in a window 1,280 wide: what comes with a page is drawn for that. */
export const SCREEN_WIDTH = 1114;

/** Sizes as they were last measured, by place: what opens there next begins with them, and is not drawn twice. */
const known = new Map<string, { inner: number; outer: Size }>();

/** The inner width of an element in pixels, followed as it changes. @param place Where it is: one name for all that are
 * as large there. @param first The value until one has been measured. */
export function useWidth(element: RefObject<HTMLElement | null>, place: string, first: number): number {
  const [width, setWidth] = useState(() => known.get(place)?.inner ?? first);
  useLayoutEffect(() => {
    const { current } = element;
    if (!current) return;
    const measure = () => {
      known.set(place, { inner: current.clientWidth, outer: { width: current.offsetWidth, height: current.offsetHeight } });
      setWidth(current.clientWidth);
    };
    const observer = new ResizeObserver(measure);
    observer.observe(current);
    measure();
    return () => observer.disconnect();
  }, [element, place]);
  return width;
}

/** The whole size of what was last measured in a place; `first` where nothing has been. */
export const sizeIn = (place: string, first: Size): Size => known.get(place)?.outer ?? first;

"use client";
import { type RefObject, useLayoutEffect, useState } from "react";

/** The inner width of an element in pixels, followed as it changes; `first` stands in until it is known. */
export function useWidth(element: RefObject<HTMLElement | null>, first: number): number {
  const [width, setWidth] = useState(first);
  useLayoutEffect(() => {
    const { current } = element;
    if (!current) return;
    const observer = new ResizeObserver(() => setWidth(current.clientWidth));
    observer.observe(current);
    setWidth(current.clientWidth);
    return () => observer.disconnect();
  }, [element]);
  return width;
}

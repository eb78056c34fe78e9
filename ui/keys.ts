"use client";
// Keyboard shortcuts of a screen: not while a person types, nor with a modifier that belongs to the browser.
import { useEffect, useRef } from "react";

export type Keys = Record<string, (event: KeyboardEvent) => void>;

/** True where a key press is meant for a control that takes text. */
export function isTyping(event: KeyboardEvent): boolean {
  const { target } = event;
  if (!(target instanceof HTMLElement)) return false;
  const takesText = target instanceof HTMLInputElement && !["checkbox", "radio", "button"].includes(target.type);
  return takesText || target.isContentEditable || ["TEXTAREA", "SELECT"].includes(target.tagName);
}

/** Calls the handler of a pressed key; keys are named as in `KeyboardEvent.key`, in small letters. */
export function useKeys(keys: Keys): void {
  const latest = useRef(keys);
  latest.current = keys;
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || isTyping(event)) return;
      const handler = latest.current[event.key.toLowerCase()];
      if (!handler) return;
      event.preventDefault();
      handler(event);
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, []);
}

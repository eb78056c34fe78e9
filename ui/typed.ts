"use client";
// Typed values that are not saved yet, by form: kept as long as the browser's tab is open, so that leaving a form in any way, a
// reload included, loses none of them.
import { useEffect, useRef, useState } from "react";

const PREFIX = "roster-typed ";

/** The values typed in a form; none where nothing was. @param name What the form is about: "tasks t1". */
export function typedIn(name: string): Readonly<Record<string, unknown>> {
  try {
    return JSON.parse(sessionStorage.getItem(PREFIX + name) ?? "{}");
  } catch {
    return {};
  }
}

/** Keeps what is typed in a form; where that is nothing, what was kept is forgotten. */
export function keepTyped(name: string, values: Readonly<Record<string, unknown>>): void {
  try {
    if (Object.keys(values).length === 0) sessionStorage.removeItem(PREFIX + name);
    else sessionStorage.setItem(PREFIX + name, JSON.stringify(values));
  } catch {
    // No room, or none allowed: it is kept for as long as the form is open.
  }
}

/** A single text that is kept in the same way until it is made empty. */
export function useTyped(name: string): [string, (next: (now: string) => string) => void] {
  const [text, setText] = useState("");
  const now = useRef("");
  useEffect(() => {
    now.current = String(typedIn(name).text ?? "");
    setText(now.current);
  }, [name]);
  const type = (next: (now: string) => string) => {
    now.current = next(now.current);
    setText(now.current);
    keepTyped(name, now.current === "" ? {} : { text: now.current });
  };
  return [text, type];
}

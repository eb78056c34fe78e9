"use client";
// When a project finished the last time a person looked at it in this browser: what has moved since then is reported.
import { useEffect, useRef, useState } from "react";

const keyOf = (projectId: string) => `finish seen of ${projectId}`;

/** The finish as it was seen before this visit; the one now where it never was.
 * @param finish Undefined while the project is not known. */
export function useLastSeen(projectId: string, finish: number | undefined): number | undefined {
  const [seen, setSeen] = useState<number | undefined>(finish);
  const latest = useRef(finish);
  latest.current = finish;
  useEffect(() => {
    const kept = read(projectId);
    if (kept !== null) setSeen(kept);
    const keep = () => write(projectId, latest.current);
    window.addEventListener("pagehide", keep);
    return () => {
      window.removeEventListener("pagehide", keep);
      keep();
    };
  }, [projectId]);
  return seen;
}

function read(projectId: string): number | null {
  try {
    const kept = localStorage.getItem(keyOf(projectId));
    return kept !== null && /^-?\d+$/.test(kept) ? Number(kept) : null;
  } catch {
    return null;
  }
}

function write(projectId: string, finish: number | undefined): void {
  try {
    if (finish !== undefined) localStorage.setItem(keyOf(projectId), String(finish));
  } catch {
    // A browser that stores nothing shows only the moves during the visit.
  }
}

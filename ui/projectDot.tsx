import { hueOf } from "./format.ts";

/** The hue of a project; its name or code is next to it. */
export function ProjectDot({ row, isSmall = false }: { row: number; isSmall?: boolean }) {
  return (
    <span aria-hidden className={`shrink-0 rounded-[2px] ${isSmall ? "size-[8px]" : "size-[10px]"}`} style={{ background: hueOf(row) }} />
  );
}

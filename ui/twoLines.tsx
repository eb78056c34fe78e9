// A name with what is worth knowing next to it on a second, smaller line.
import type { ReactNode } from "react";

export function TwoLines({
  main,
  side,
  isStrong = false,
  tone = "plain",
}: {
  main: ReactNode;
  side: ReactNode;
  isStrong?: boolean;
  tone?: "plain" | "warn";
}) {
  return (
    <span className="min-w-0 leading-tight">
      <span className={`block truncate ${isStrong ? "font-semibold" : ""}`}>{main}</span>
      {side && <span className={`block truncate ${tone === "warn" ? "text-small text-ochre-ink" : "text-side"}`}>{side}</span>}
    </span>
  );
}

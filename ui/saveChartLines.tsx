"use client";
// The lines of an export menu that save what is drawn as a picture.
import type { RefObject } from "react";
import type { ChartMark } from "./chartParts.tsx";

interface SaveChartLinesProps {
  /** "Chart" or "Charts". */
  what: string;
  /** The element that contains the drawing. */
  chart: RefObject<HTMLDivElement | null>;
  /** The file, without its ending. */
  name: string;
  title: string;
  /** The text next to the title. */
  side: () => string;
  marks: readonly ChartMark[];
  /** Nothing is drawn. */
  disabled: boolean;
}

export function SaveChartLines({ what, chart, name, title, side, marks, disabled }: SaveChartLinesProps) {
  const save = async (as: "svg" | "png") => {
    const { saveChartPng, saveChartSvg } = await import("./saveChart.ts");
    if (!chart.current) return;
    const saved = as === "svg" ? saveChartSvg : saveChartPng;
    await saved(chart.current, { name, title, side: side(), marks });
  };
  return (["png", "svg"] as const).map((as) => (
    <button key={as} type="button" className="menu-line" disabled={disabled} onClick={() => void save(as)}>
      {what} as {as.toUpperCase()}
    </button>
  ));
}

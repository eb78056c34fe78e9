"use client";
// A page of its own from a component: saved as a file that holds all it needs, or sent to the printer.
import type { ReactElement } from "react";
import { saveFile } from "./saveFile.ts";

/** The page as one text; what writes it is only loaded when a person asks for it. */
export async function pageText(page: ReactElement): Promise<string> {
  const { renderToStaticMarkup } = await import("react-dom/server");
  return `<!doctype html>${renderToStaticMarkup(page)}`;
}

export function savePage(html: string, name: string): void {
  saveFile(new Blob([html], { type: "text/html" }), name);
}

export function printPage(html: string): void {
  const frame = document.createElement("iframe");
  frame.style.cssText = "position:fixed;width:0;height:0;border:0";
  frame.title = "Page to print";
  frame.srcdoc = html;
  frame.onload = () => {
    const { contentWindow } = frame;
    if (!contentWindow) return;
    contentWindow.onafterprint = () => frame.remove();
    contentWindow.print();
  };
  document.body.append(frame);
}

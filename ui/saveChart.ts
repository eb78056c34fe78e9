"use client";
// Charts as a file that can be shown as it is: their drawings with their colours written in, a heading above and the legend below.
import type { ChartMark } from "./chartParts.tsx";
import { saveFile } from "./saveFile.ts";

const SVG = "http://www.w3.org/2000/svg";
/** Styles copied from the page, which a file does not have. */
const taken = ["fill", "stroke", "stroke-width", "stroke-dasharray", "font-size", "font-weight", "opacity"] as const;
const FONT = "Instrument Sans Variable, Helvetica, Arial, sans-serif";
const [PAD, HEAD, FOOT] = [24, 56, 40];

/** The drawings in an element, once each of its figures has one: charts come a moment after their page. */
function drawingsIn(element: Element): Promise<SVGElement[]> {
  return new Promise((resolve) => {
    const look = () => {
      const drawn = [...element.querySelectorAll<SVGElement>(".recharts-wrapper > svg")];
      if (drawn.length < Math.max(1, element.querySelectorAll("figure").length)) return;
      coming.disconnect();
      resolve(drawn);
    };
    const coming = new MutationObserver(look);
    coming.observe(element, { childList: true, subtree: true });
    look();
  });
}

/** A file of charts. */
interface ChartFile {
  /** Without its ending. */
  name: string;
  title: string;
  /** The smaller text under the title. */
  side: string;
  marks: readonly ChartMark[];
}

/** The drawings in an element, each where it is with its caption, as a whole SVG text. */
async function chartText(element: Element, { title, side, marks }: ChartFile): Promise<{ svg: string; width: number; height: number }> {
  const drawn = await drawingsIn(element);
  const box = element.getBoundingClientRect();
  const { width, height } = drawn.length === 1 ? drawn[0].getBoundingClientRect() : box;
  const [whole, tall] = [width + 2 * PAD, height + HEAD + FOOT + PAD];
  const styles = getComputedStyle(element);
  const [ink, paper] = [styles.color, styles.getPropertyValue("--sheet").trim() || "#fff"];
  const out = made("svg", { xmlns: SVG, width: whole, height: tall, viewBox: `0 0 ${whole} ${tall}`, "font-family": FONT });
  out.append(made("rect", { width: whole, height: tall, fill: paper }));
  out.append(made("text", { x: PAD, y: 34, "font-size": 18, "font-weight": 600, fill: ink }, title));
  out.append(made("text", { x: PAD, y: 54, "font-size": 12, fill: ink }, side));
  const placed = (own: Element) => {
    const { left, top } = own.getBoundingClientRect();
    return drawn.length === 1 ? { x: PAD, y: HEAD + PAD / 2 } : { x: PAD + left - box.left, y: HEAD + PAD / 2 + top - box.top };
  };
  for (const own of drawn) {
    const inner = withStyles(own);
    const { x, y } = placed(own);
    inner.setAttribute("x", String(x));
    inner.setAttribute("y", String(y));
    out.append(inner);
  }
  for (const caption of element.querySelectorAll("figcaption")) {
    const { x, y } = placed(caption);
    out.append(made("text", { x, y: y + 14, "font-size": 13, fill: ink }, caption.textContent ?? ""));
  }
  out.append(...legend(marks, styles, tall - FOOT / 2));
  return { svg: new XMLSerializer().serializeToString(out), width: whole, height: tall };
}

/** The legend of the marks, in a line at a height. */
function legend(marks: readonly ChartMark[], styles: CSSStyleDeclaration, y: number): SVGElement[] {
  let x = PAD;
  return marks.flatMap(({ name, color, as }) => {
    const painted = color.startsWith("var(") ? styles.getPropertyValue(color.slice(4, -1)).trim() : color;
    const dashes: Record<string, string> = as === "dashed" ? { "stroke-dasharray": "4 3" } : {};
    const mark =
      as === "bar"
        ? made("rect", { x, y: y - 9, width: 10, height: 10, fill: painted })
        : made("line", { x1: x, y1: y - 4, x2: x + 14, y2: y - 4, stroke: painted, "stroke-width": 2, ...dashes });
    const text = made("text", { x: x + 18, y, "font-size": 12, fill: styles.color }, name);
    x += 42 + name.length * 7;
    return [mark, text];
  });
}

function made(tag: string, attributes: Record<string, string | number>, text?: string): SVGElement {
  const element = document.createElementNS(SVG, tag);
  for (const [name, value] of Object.entries(attributes)) if (name !== "xmlns") element.setAttribute(name, String(value));
  if (text !== undefined) element.textContent = text;
  return element;
}

/** A copy whose looks no longer depend on the page. */
function withStyles(drawn: SVGElement): SVGElement {
  const copy = drawn.cloneNode(true) as SVGElement;
  const [from, to] = [drawn.querySelectorAll("*"), copy.querySelectorAll("*")];
  to.forEach((element, at) => {
    const styles = getComputedStyle(from[at]);
    for (const name of taken) element.setAttribute(name, styles.getPropertyValue(name));
    element.removeAttribute("class");
    element.removeAttribute("style");
  });
  copy.removeAttribute("style");
  return copy;
}

export async function saveChartSvg(element: Element, file: ChartFile): Promise<void> {
  const { svg } = await chartText(element, file);
  saveFile(new Blob([svg], { type: "image/svg+xml" }), `${file.name}.svg`);
}

/** Drawn at twice its size, so that it stays sharp on a large screen. */
export async function saveChartPng(element: Element, file: ChartFile): Promise<void> {
  const { svg, width, height } = await chartText(element, file);
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  await image.decode();
  const canvas = document.createElement("canvas");
  [canvas.width, canvas.height] = [width * 2, height * 2];
  const context = canvas.getContext("2d");
  context?.scale(2, 2);
  context?.drawImage(image, 0, 0);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, "image/png"));
  if (blob) saveFile(blob, `${file.name}.png`);
}

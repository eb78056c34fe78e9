"use client";
// Text with plain formatting: bold, slanted, lists, headings, addresses. Markup of the web in it is shown as it stands.
import dynamic from "next/dynamic";

const Markdown = dynamic(() => import("react-markdown"));

const allowed = ["p", "strong", "em", "ul", "ol", "li", "a", "h1", "h2", "h3", "code", "blockquote", "br", "hr"];

export function RichText({ text }: { text: string }) {
  return (
    <div className="rich-text">
      <Markdown allowedElements={allowed} unwrapDisallowed>
        {text}
      </Markdown>
    </div>
  );
}

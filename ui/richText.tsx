"use client";
// Text with plain formatting: bold, slanted, lists, headings, addresses. Markup of the web in it is shown as it is now.
import dynamic from "next/dynamic";

// With nothing to show meanwhile, all of the screen would wait for it, and the person who types in it would lose their place.
const Markdown = dynamic(() => import("react-markdown"), { loading: () => null });

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

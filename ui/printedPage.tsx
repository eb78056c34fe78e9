// A page to print: its heading, its table's looks and the size of its paper; it holds all it needs.
import type { ReactNode } from "react";

interface PrintedPageProps {
  title: string;
  /** Under the heading, smaller. */
  side: string;
  /** Styles of what only this page has. */
  css: string;
  children: ReactNode;
}

export function PrintedPage({ title, side, css, children }: PrintedPageProps) {
  return (
    <html lang="en">
      <body>
        <meta charSet="utf-8" />
        <title>{title}</title>
        <style>{shared + css}</style>
        <h1>{title}</h1>
        <p>{side}</p>
        {children}
      </body>
    </html>
  );
}

const shared = `
:root{color-scheme:light}
body{margin:24px;font:12px/1.35 Georgia,"Times New Roman",serif;color:#1f2b2a;background:#fff}
h1{font-size:22px;font-weight:400;margin:0}
p{margin:2px 0 10px;color:#55625f}
table{width:100%;border-collapse:collapse}
th,td{padding:3px 6px;border-bottom:1px solid #dedace;text-align:right;font-weight:400;white-space:nowrap}
th[scope=row],thead th:first-child{text-align:left}
thead th{border-bottom-color:#86908c;color:#55625f}
.over{font-weight:700;color:#9c3c16;background:repeating-linear-gradient(135deg,#f6dfd2 0 3px,#fff 3px 6px)}
@media print{body{margin:0}tr,figure{break-inside:avoid}*{print-color-adjust:exact;-webkit-print-color-adjust:exact}}
@page{size:A4 landscape;margin:12mm}
`;

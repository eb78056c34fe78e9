"use client";
// A link to a file that the server may have to write first: that is said while it lasts and can be stopped, and a refusal is
// reported instead of being saved under the file's name.
import type { MouseEvent, ReactNode } from "react";
import { toast } from "sonner";
import { saveFile } from "./saveFile.ts";

/** A download that is faster than this is not announced. */
const SOON_MS = 400;

interface DownloadLinkProps {
  href: string;
  /** The file name if the server does not give one. */
  name: string;
  label?: string;
  className?: string;
  children: ReactNode;
}

export function DownloadLink({ href, name, label, className, children }: DownloadLinkProps) {
  const press = (event: MouseEvent) => {
    if (event.ctrlKey || event.metaKey || event.shiftKey || event.altKey) return;
    event.preventDefault();
    void download(href, name);
  };
  return (
    <a href={href} download aria-label={label} className={className} onClick={press}>
      {children}
    </a>
  );
}

async function download(href: string, usualName: string): Promise<void> {
  const call = new AbortController();
  const notice = `file ${href}`;
  const announced = setTimeout(
    () =>
      toast.loading(`Writing ${usualName} …`, { id: notice, duration: Infinity, action: { label: "Stop", onClick: () => call.abort() } }),
    SOON_MS,
  );
  try {
    const response = await fetch(href, { signal: call.signal, cache: "no-store" });
    if (response.ok) saveFile(await response.blob(), nameIn(response) ?? usualName);
    else {
      const { message }: { message?: string } = await response.json().catch(() => ({}));
      toast.error(message ?? `The server answered ${response.status}.`);
    }
  } catch {
    if (!call.signal.aborted) toast.error("The server cannot be reached. Try again when it answers.");
  } finally {
    clearTimeout(announced);
    toast.dismiss(notice);
  }
}

const nameIn = (response: Response): string | undefined =>
  /filename="([^"]+)"/.exec(response.headers.get("content-disposition") ?? "")?.[1];

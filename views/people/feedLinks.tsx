"use client";
// A feed as a file or as an address to subscribe to. The address is asked for when it is wanted: the person who has it can read
// the feed.
import { useState } from "react";
import { toast } from "sonner";
import { TextButton } from "../../ui/button.tsx";
import { texts } from "./words.ts";

interface Feed {
  kind: "people" | "leave";
  id: string;
}

export function FeedLinks({ kind, id }: Feed) {
  const [address, setAddress] = useState<string | null>(null);
  const withAddress = async (use: (address: string) => void | Promise<void>) => {
    try {
      const response = await fetch(`/api/feeds/address?${new URLSearchParams({ kind, id })}`, { cache: "no-store" });
      const { path, message } = await response.json();
      if (response.ok) await use(`${window.location.origin}${path}`);
      else toast.error(message);
    } catch {
      toast.error("The server cannot be reached. Try again when it answers.");
    }
  };
  const save = (url: string) => {
    const link = document.createElement("a");
    link.href = url;
    link.download = `${id}.ics`;
    link.click();
  };
  const copy = async (url: string) => {
    setAddress(url);
    // A browser may forbid it: the address is there to be copied by hand.
    const isCopied = await navigator.clipboard?.writeText(url).then(
      () => true,
      () => false,
    );
    if (isCopied) toast("The address is copied. Anyone who has it can read this calendar.");
  };
  return (
    <span className="min-w-0">
      <TextButton onClick={() => void withAddress(save)}>{texts.saveAsAFile}</TextButton>
      {" · "}
      <TextButton onClick={() => void withAddress(copy)}>{texts.copyTheAddress}</TextButton>
      {address !== null && <span className="block font-mono text-[12px] break-all">{address}</span>}
    </span>
  );
}

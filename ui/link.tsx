"use client";
// A link to another screen. Nothing is fetched before it is pressed: a screen comes with its figures worked out, and
// doing so for every link in sight would keep the server from what a person waits for.
import NextLink from "next/link";
import type { ComponentProps } from "react";

export default function Link(props: ComponentProps<typeof NextLink>) {
  return <NextLink prefetch={false} {...props} />;
}

// Before every page: what it may load, and the sketch it is asked for with.
import { type NextRequest, NextResponse } from "next/server";
import { contentPolicy } from "./app/contentPolicy.ts";
import { noteSketch } from "./app/openedSketch.ts";

export function proxy(request: NextRequest): Response {
  const policy = contentPolicy(btoa(crypto.randomUUID()));
  const headers = new Headers(request.headers);
  headers.set("content-security-policy", policy);
  noteSketch(headers, request.nextUrl);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set("content-security-policy", policy);
  return response;
}

export const config = { matcher: ["/((?!_next/static|api/|icon.svg).*)"] };

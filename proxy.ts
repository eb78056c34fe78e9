// Before every page: what it may load.
import { type NextRequest, NextResponse } from "next/server";
import { contentPolicy } from "./app/contentPolicy.ts";

export function proxy(request: NextRequest): Response {
  const policy = contentPolicy(btoa(crypto.randomUUID()));
  const headers = new Headers(request.headers);
  headers.set("content-security-policy", policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set("content-security-policy", policy);
  return response;
}

export const config = { matcher: ["/((?!_next/static|api/|icon.svg).*)"] };

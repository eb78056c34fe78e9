// Before every request: who asks, under which name, and what the page may load.
import { type NextRequest, NextResponse } from "next/server";
import { contentPolicy, hostNames, refusalOf } from "./app/guard.ts";

const names = hostNames(process.env);

export function proxy(request: NextRequest): Response {
  const refusal = refusalOf(request.method, request.headers, names);
  if (refusal) return new Response(refusal.text, { status: refusal.status, headers: { "content-type": "text/plain; charset=utf-8" } });
  if (request.nextUrl.pathname.startsWith("/api/")) return NextResponse.next();
  const policy = contentPolicy(btoa(crypto.randomUUID()));
  const headers = new Headers(request.headers);
  headers.set("content-security-policy", policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set("content-security-policy", policy);
  return response;
}

export const config = { matcher: ["/((?!_next/static|icon.svg).*)"] };
